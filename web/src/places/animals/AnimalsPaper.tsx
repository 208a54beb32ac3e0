import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { say } from '@yaylak/contract';
import { useEffect, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { animalsQuery, holdingQuery } from '../../api/queries';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { fullDate } from '../../words/dates';
import { useWeightUnit } from '../../words/useHolding';
import { queryOf, rememberedColumns } from './animalsAsked';
import { COLUMNS } from './columns';

/** The list of animals on paper: all that the filters leave, not only those in sight, with the columns chosen. */
export function AnimalsPaper() {
  const [params] = useSearchParams();
  const query = useMemo(() => queryOf(params), [params]);
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const { data, error, refetch, hasNextPage, isFetching, fetchNextPage } = useInfiniteQuery(animalsQuery(query));
  // The server gives a list page by page; paper wants all of it.
  useEffect(() => {
    if (hasNextPage && !isFetching && !error) void fetchNextPage();
  }, [hasNextPage, isFetching, error, fetchNextPage]);
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />;
  const rows = data.pages.flatMap((page) => page.rows);
  const total = data.pages[0]?.total ?? 0;
  const columns = rememberedColumns().map((id) => ({ id, ...COLUMNS[id] }));
  return (
    <PaperSheet>
      <PaperHead
        title={say('{total} {total, plural, one {animal} other {animals}}, {date}', {
          total,
          date: fullDate(holding?.today ?? ''),
        })}
        back={{ to: `/animals?${params}`, words: say('Back to Animals') }}
      />
      {error ? <Failed error={error} onRetry={() => void fetchNextPage()} /> : null}
      {hasNextPage && !error ? <p role="status">{say('{n} of {total} read …', { n: rows.length, total })}</p> : null}
      {total === 0 ? (
        <Empty title={say('No animal fits')}>{say('Take a filter off, or add the animal.')}</Empty>
      ) : (
        <LineTable>
          <thead>
            <tr>
              {columns.map(({ id, heading }) => (
                <th key={id}>{heading}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.tag.animalId}>
                {columns.map(({ id, cell }) => (
                  <td key={id}>{cell(row, unit)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </LineTable>
      )}
      <Small className="no-print">
        {say('The columns are those chosen under Animals, the order and the filters too.')}
      </Small>
    </PaperSheet>
  );
}
