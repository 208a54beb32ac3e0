import { useQuery } from '@tanstack/react-query';
import type { ChoosingQuery, ChoosingRow, ChoosingSet } from '@yaylak/contract';
import { fieldWord, type Decision } from '@yaylak/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { choosingQuery, choosingSetsQuery, holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { Page } from '../../parts/Page';
import { Row, Small } from '../../parts/Panel';
import { PointsPanel } from '../../parts/PointsPanel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { BreakdownPanel } from './BreakdownPanel';
import { CompareSheet } from './CompareSheet';
import { DecisionMarks } from './DecisionMarks';
import { decisionOf, decisionsAgainst, type Decisions } from './decisions';
import { RankedList } from './RankedList';
import { SaleList } from './SaleList';
import { WriteSheet } from './WriteSheet';

const keyOf = (s: ChoosingSet): string => `${s.species} ${s.sex} ${s.bornIn}`;
const setWords = (s: ChoosingSet): string => `${fieldWord(s, 1, true)} of ${s.bornIn}`;

/** Who stays: ranked by the numbers, with the line drawn at the number wanted. */
export function ChoosingPage() {
  const sets = useQuery(choosingSetsQuery);
  const [params, setParams] = useSearchParams();
  const set = sets.data?.find((s) => keyOf(s) === params.get('set')) ?? sets.data?.[0];
  if (!sets.data)
    return (
      <Page title="Choosing">
        {sets.error ? <Failed error={sets.error} onRetry={() => void sets.refetch()} /> : <Loading rows={10} />}
      </Page>
    );
  if (!set)
    return (
      <Page title="Choosing">
        <Empty title="Nobody to choose from">
          Young of this year or the last appear here by themselves when they are in the book with a birth date.
        </Empty>
      </Page>
    );
  return (
    <Chooser
      key={keyOf(set)}
      set={set}
      picker={
        <Choice
          label="Among"
          isLabelHidden
          value={keyOf(set)}
          options={sets.data.map((s) => [keyOf(s), `${setWords(s)} (${s.count})`])}
          onChange={(next) => setParams({ set: next })}
        />
      }
    />
  );
}

function Chooser({ set, picker }: { readonly set: ChoosingSet; readonly picker: React.ReactNode }) {
  const [lines, setLines] = useState<{ keep?: number; second?: number }>({});
  const [standardDays, setStandardDays] = useState<number>();
  const [groupId, setGroupId] = useState<string>();
  const [decisions, setDecisions] = useState<Decisions>({});
  const [selectedId, setSelectedId] = useState<string>();
  const [pair, setPair] = useState<readonly string[]>([]);
  const [isComparing, setComparing] = useState(false);
  const [isWriting, setWriting] = useState(false);
  const query = useMemo(
    (): ChoosingQuery => ({
      species: set.species,
      sex: set.sex,
      bornIn: set.bornIn,
      ...lines,
      ...(groupId === undefined ? {} : { groupId }),
      ...(standardDays === undefined ? {} : { standardDays }),
    }),
    [set, lines, groupId, standardDays],
  );
  const { data, error, refetch } = useQuery({ ...choosingQuery(query), placeholderData: (before) => before });
  const { data: holding } = useQuery(holdingQuery);
  const write = useWrite();
  const rows = data?.rows ?? [];
  const selected =
    rows.find((r) => r.tag.animalId === selectedId) ?? rows.find((r) => r.placeByWeight === 1) ?? rows[0];
  const groupName = data?.groups.find((g) => g.id === groupId)?.name;
  const among = `${setWords(set)}${groupName ? `, ${groupName}` : ''}`;

  const decide = (row: ChoosingRow, decision: Decision): void =>
    setDecisions((d) => ({ ...d, [row.tag.animalId]: decision }));
  const writeDown = async (reasons: Readonly<Record<string, string>>): Promise<string | undefined> => {
    const refused = await write(
      rows.map((r) => {
        const decision = decisionOf(r, decisions);
        const reason = reasons[r.tag.animalId];
        return {
          type: 'choice',
          animalId: r.tag.animalId,
          on: holding?.today ?? '',
          decision,
          suggested: r.suggestion,
          among,
          place: r.place,
          of: rows.length,
          ...(reason ? { reason } : {}),
        };
      }),
      `Wrote down the choice among ${countText(rows.length, 'animal', 'animals')}`,
    );
    if (refused.length > 0) return refused.join(' ');
    setWriting(false);
    return undefined;
  };

  if (!data)
    return (
      <Page title={`Choosing: ${among}`}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={12} />}
      </Page>
    );
  const counts = { keep: 0, second: 0, sell: 0 };
  for (const r of rows) counts[decisionOf(r, decisions)]++;
  return (
    <>
      <Page
        title={`Choosing: ${among}`}
        lead={`${counts.keep} keep, ${counts.second} second string, ${counts.sell} sell${rows.some((r) => r.isGrey) ? `; ${rows.filter((r) => r.isGrey).length} too near to a line to tell` : ''}`}
        actions={
          <>
            {picker}
            <Button isDisabled={pair.length !== 2} onPress={() => setComparing(true)}>
              Compare two{pair.length > 0 ? ` (${pair.length})` : ''}
            </Button>
            <Button kind="main" isDisabled={rows.length === 0} onPress={() => setWriting(true)}>
              Write down the choice
            </Button>
          </>
        }
        aside={
          <div className="no-print" style={{ display: 'flex', flexDirection: 'column', gap: 16 }}>
            {selected ? <BreakdownPanel row={selected} size={rows.length} /> : null}
            <PointsPanel weights={data.weights} />
            <DecisionMarks />
          </div>
        }
      >
        <Row className="no-print" $gap={3}>
          {data.groups.length > 1 ? (
            <Choice
              label="Group"
              value={groupId ?? ''}
              options={[['', 'all groups'], ...data.groups.map((g) => [g.id, `${g.name} (${g.count})`] as const)]}
              onChange={(id) => {
                setGroupId(id || undefined);
                // A line drawn for all of them is no line for a part.
                setLines({});
              }}
            />
          ) : null}
          <Choice
            label="Weight set to"
            value={String(standardDays ?? data.standardDays ?? '')}
            options={data.standardAges.map((a) => [String(a), `${a} days`])}
            onChange={(v) => setStandardDays(Number(v))}
          />
          {data.withoutWeight > 0 ? (
            <Small>{data.withoutWeight} without a weight near that age: ranked on the rest</Small>
          ) : null}
        </Row>
        <RankedList
          species={set.species}
          rows={rows}
          lines={data.lines}
          onLinesChange={setLines}
          decisions={decisions}
          onDecide={decide}
          selectedId={selected?.tag.animalId}
          onSelect={setSelectedId}
          pair={pair}
          onPairChange={setPair}
        />
        <SaleList
          species={set.species}
          rows={rows.filter((r) => decisionOf(r, decisions) === 'sell')}
          title={among}
          today={holding?.today ?? ''}
        />
      </Page>
      <CompareSheet
        species={set.species}
        rows={rows.filter((r) => pair.includes(r.tag.animalId))}
        isOpen={isComparing}
        onClose={() => setComparing(false)}
      />
      <WriteSheet
        against={decisionsAgainst(rows, decisions)}
        counts={counts}
        decisions={decisions}
        isOpen={isWriting}
        onClose={() => setWriting(false)}
        onWrite={writeDown}
      />
    </>
  );
}
