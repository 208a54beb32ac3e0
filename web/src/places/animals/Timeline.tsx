import { useQuery } from '@tanstack/react-query';
import type { AnimalView, Entry, TimelineItem } from '@yaylak/contract';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { useRecord } from '../../outbox/useRecord';
import { asDraft } from '../../outbox/wayBack';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { useUndo } from '../../parts/Undo';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { useWeightUnit } from '../../words/useHolding';
import { useMay } from '../../words/writer';
import { entryWords } from '../../words/entryWords';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

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
  const may = useMay();
  const writer = holding?.writer?.name;
  const mayStrike = ({ writtenBy }: Entry): boolean => may('strike-others') || (may('write') && writtenBy === writer);
  const { shown: items, more } = useFirst(view.timeline, FIRST_SHOWN);
  const strike = async (item: TimelineItem, words: string): Promise<void> => {
    const outcome = await record([{ type: 'strike', on: today, entryId: item.entry.id, reason: say('wrong entry') }]);
    if (outcome.kind === 'refused') return undo.say(outcome.messages.join(' '));
    undo.offer({
      done: say('Struck out: {words}', { words }),
      undo: { kind: 'again', drafts: [asDraft(item.entry)] },
    });
  };
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{say('Time line')}</h2>
        <Small>{say('{n} entries, newest first', { n: view.timeline.length })}</Small>
      </Row>
      <List>
        {items.map((item) => {
          const words = entryWords(item.entry, {
            ...item,
            nameOf: (id) => item.names?.[id],
            species: view.row.species,
            ...answered(item.entry, view.timeline),
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
                    ? say('struck out by {by}, {date}{value}', {
                        by: item.struck.by,
                        date: fullDate(item.struck.at),
                        value: item.struck.reason ? `: ${item.struck.reason}` : '',
                      })
                    : `${item.entry.writtenBy}${item.entry.source === 'import' ? say(', from a file') : ''}`}
                </Small>
              </span>
              {item.struck || !mayStrike(item.entry) ? (
                <span />
              ) : (
                <Button
                  kind="quiet"
                  aria-label={say('Strike out: {words}', { words })}
                  onPress={() => void strike(item, words)}
                >
                  {say('Strike out')}
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

/** Purposes whose result is awaited: it is recorded by the tube. */
const AWAITED: readonly string[] = ['pregnancy', 'gene'];

/** Of a sample, the day its result came; null while it is out. */
function answered(entry: Entry, timeline: readonly TimelineItem[]): { readonly answeredOn?: string | null } {
  if (entry.type !== 'sample') return {};
  const result = timeline.find(
    ({ entry: other, struck }) => struck === null && 'sampleId' in other && other.sampleId === entry.id,
  );
  if (result) return { answeredOn: result.entry.on };
  return AWAITED.includes(entry.purpose) ? { answeredOn: null } : {};
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
