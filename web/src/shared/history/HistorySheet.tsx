import { useInfiniteQuery } from '@tanstack/react-query';
import { say, type ChangeView, type HistoryView } from '@yaylak/contract';
import styled from 'styled-components';
import { ask, withQuery } from '../../api/client';
import { Button } from '../../parts/Button';
import { Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Sheet } from '../../parts/Sheet';
import { Failed, Loading } from '../../parts/States';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { timeText } from '../../words/dates';
import type { HistoryProps } from './HistoryButton';

/** Of a thing that was made or removed as a whole the first few fields say enough. */
const SHOWN_OF_WHOLE = 4;
const NOTHING = '–';

/** Who changed what of a thing, when, and what it said before; the newest first. */
export function HistorySheet({ what, thingId, name, onClose }: HistoryProps & { readonly onClose: () => void }) {
  const { data, error, refetch, hasNextPage, fetchNextPage } = useInfiniteQuery({
    queryKey: ['history', what, thingId],
    queryFn: ({ pageParam, signal }) =>
      ask<HistoryView>(withQuery('/api/history', { what, thingId, after: pageParam }), { signal }),
    initialPageParam: '',
    getNextPageParam: ({ next }) => next,
  });
  const changes = data?.pages.flatMap((page) => page.changes);
  return (
    <Sheet title={say('Changes of {name}', { name })} isOpen isForLooking onClose={onClose}>
      {!changes ? (
        error ? (
          <Failed error={error} onRetry={() => void refetch()} />
        ) : (
          <Loading rows={3} />
        )
      ) : changes.length === 0 ? (
        <p>{say('Nothing was changed since changes are kept.')}</p>
      ) : (
        <Changes>
          {changes.map((change) => (
            <Change key={change.id} change={change} isOfAll={thingId === undefined} />
          ))}
        </Changes>
      )}
      {hasNextPage ? <Button onPress={() => void fetchNextPage()}>{say('Older changes')}</Button> : null}
    </Sheet>
  );
}

function Change({
  change: { at, by, kind, name, fields },
  isOfAll,
}: {
  readonly change: ChangeView;
  readonly isOfAll: boolean;
}) {
  const { shown, more } = useFirst(fields, kind === 'changed' ? fields.length : SHOWN_OF_WHOLE);
  return (
    <li>
      <b>
        {isOfAll && name ? `${name}: ` : ''}
        {kind === 'made' ? say('made') : kind === 'removed' ? say('removed') : say('changed')}
      </b>{' '}
      <Small as="span">{say('by {by}, {at}', { by, at: timeText(at) })}</Small>
      <Fields>
        {shown.map(({ field, before, after }) => (
          <li key={field}>
            {field}:{' '}
            {kind === 'changed' ? (
              <>
                <s>{before ?? NOTHING}</s> {after ?? NOTHING}
              </>
            ) : (
              (after ?? before)
            )}
          </li>
        ))}
        {more ? <li>{more}</li> : null}
      </Fields>
    </li>
  );
}

const Changes = styled(PlainList)`
  > li {
    padding-block: ${space(2)};
    border-bottom: 1px solid ${colour('line')};
    overflow-wrap: anywhere;
  }
`;
const Fields = styled(PlainList)`
  font-size: 14px;
  s {
    color: ${colour('inkSoft')};
  }
`;
