import { useQuery } from '@tanstack/react-query';
import type { AnimalView, TimelineItem } from '@yaylak/contract';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { useRecord } from '../../outbox/useRecord';
import { asDraft } from '../../outbox/wayBack';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { useUndo } from '../../parts/Undo';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { entryWords } from '../../words/entryWords';
import { PlainList } from '../../parts/PlainList';

const FIRST_SHOWN = 12;

interface Props {
  readonly view: AnimalView;
  readonly today: string;
}

/** Everything written of an animal, newest first; a wrong entry is struck out and stays readable. */
export function Timeline({ view, today }: Props) {
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const record = useRecord();
  const undo = useUndo();
  const { shown: items, more } = useFirst(view.timeline, FIRST_SHOWN);
  const strike = async (item: TimelineItem, words: string): Promise<void> => {
    const outcome = await record([{ type: 'strike', on: today, entryId: item.entry.id, reason: 'wrong entry' }]);
    if (outcome.kind === 'refused') return undo.say(outcome.messages.join(' '));
    undo.offer({
      done: `Struck out: ${words}`,
      undo: { kind: 'again', drafts: [asDraft(item.entry)] },
    });
  };
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>Time line</h2>
        <Small>{view.timeline.length} entries, newest first</Small>
      </Row>
      <List>
        {items.map((item) => {
          const words = entryWords(item.entry, {
            ...item,
            nameOf: (id) => item.names?.[id],
            species: view.row.species,
            unit,
            currency: holding?.currency ?? '',
            standards: holding?.standards ?? [],
          });
          return (
            <li key={item.entry.id} data-struck={item.struck !== null || undefined}>
              <time dateTime={item.entry.on}>{fullDate(item.entry.on)}</time>
              <span>
                {item.struck ? <s>{words}</s> : words}
                <Small>
                  {item.struck
                    ? `struck out by ${item.struck.by}, ${fullDate(item.struck.at)}${item.struck.reason ? `: ${item.struck.reason}` : ''}`
                    : `${item.entry.writtenBy}${item.entry.source === 'import' ? ', from a file' : ''}`}
                </Small>
              </span>
              {item.struck ? (
                <span />
              ) : (
                <Button kind="quiet" aria-label={`Strike out: ${words}`} onPress={() => void strike(item, words)}>
                  Strike out
                </Button>
              )}
            </li>
          );
        })}
      </List>
      {more}
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(2)} 0;
  li {
    display: grid;
    grid-template-columns: 110px minmax(0, 1fr) auto;
    gap: ${space(3)};
    align-items: center;
    border-bottom: 1px solid ${colour('line')};
    min-height: 44px;
  }
  li[data-struck] {
    color: ${colour('inkSoft')};
  }
  time {
    color: ${colour('inkSoft')};
    font-size: 14px;
  }
`;
