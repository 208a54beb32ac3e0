import { useQuery } from '@tanstack/react-query';
import type { ChoosingRow } from '@yaylak/contract';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { BreakdownPanel } from './BreakdownPanel';
import type { StepProps } from './Chooser';
import { CompareSheet } from './CompareSheet';
import { HowPanel } from './HowPanel';
import { LinesFields } from './LinesFields';
import { Beside } from '../../parts/Beside';
import { RankedList } from './RankedList';
import { useDecide } from './useDecide';
import { say } from '@yaylak/contract';

/** The list in its order, and why each stands where it stands. */
export function NumbersStep({ choosing, view, set }: StepProps) {
  const { data: holding } = useQuery(holdingQuery);
  const decide = useDecide(choosing);
  const [groupId, setGroupId] = useState('');
  const [selectedId, setSelectedId] = useState<string>();
  const [compared, setCompared] = useState<readonly string[]>([]);
  const [isComparing, setComparing] = useState(false);
  const rows = groupId === '' ? view.rows : view.rows.filter((r) => r.groupId === groupId);
  const selected = rows.find((r) => r.tag.animalId === selectedId) ?? mostSurprising(rows);
  const currency = holding?.currency ?? '';
  return (
    <>
      <Beside
        aside={
          <>
            {selected ? (
              <BreakdownPanel
                key={selected.tag.animalId}
                row={selected}
                view={view}
                currency={currency}
                onReason={(reason) =>
                  selected.decided &&
                  choosing.change({
                    decide: [{ animalId: selected.tag.animalId, decision: selected.decided.decision, reason }],
                  })
                }
              />
            ) : null}
            <HowPanel view={view} currency={currency} onChange={(how) => choosing.change({ how })} />
          </>
        }
      >
        <Row className="no-print" $gap={3} style={{ alignItems: 'flex-end' }}>
          {view.rows.length > 1 ? (
            <LinesFields lines={view.lines} ranked={view.rows.length} onLines={(lines) => choosing.change(lines)} />
          ) : null}
          {view.groups.length > 1 ? (
            <Choice
              label={say('Show')}
              value={groupId}
              options={[['', say('all groups')], ...view.groups.map((g) => [g.id, `${g.name} (${g.count})`] as const)]}
              onChange={setGroupId}
            />
          ) : null}
          {view.standardDays === null ? null : (
            <Choice
              label={say('Weight set to')}
              value={String(view.standardDays)}
              options={view.standardAges.map((a) => [String(a), say('{a} days', { a })])}
              onChange={(v) => choosing.change({ standardDays: Number(v) })}
            />
          )}
          <Button isDisabled={compared.length < 2} onPress={() => setComparing(true)}>
            {say('Side by side{value}', { value: compared.length > 0 ? ` (${compared.length})` : '' })}
          </Button>
          {view.withoutWeight > 0 && view.standardDays !== null ? (
            <Small>
              {say('{withoutWeight} without a weight near that age', { withoutWeight: view.withoutWeight })}
            </Small>
          ) : null}
        </Row>
        {view.rows.length === 1 ? (
          <NotePanel $tone="indigo">
            {say(
              'One animal stands alone here. There is nothing to set it against, so nothing speaks for selling it: judge it by eye.',
            )}
          </NotePanel>
        ) : null}
        <RankedList
          view={view}
          currency={currency}
          rows={rows}
          onLines={(lines) => choosing.change(lines)}
          onDecide={decide}
          selectedId={selected?.tag.animalId}
          onSelect={setSelectedId}
          compared={compared}
          onCompare={setCompared}
        />
      </Beside>
      <CompareSheet
        view={view}
        species={set.species}
        currency={currency}
        rows={view.rows.filter((r) => compared.includes(r.tag.animalId))}
        isOpen={isComparing}
        onClose={() => setComparing(false)}
      />
    </>
  );
}

/** The one whose place the bare weight explains least: heavy and far down, before all. */
function mostSurprising(rows: readonly ChoosingRow[]): ChoosingRow | undefined {
  const falls = (r: ChoosingRow): number => r.place - (r.placeByWeight ?? r.place);
  return rows.reduce<ChoosingRow | undefined>((most, r) => (most && falls(most) >= falls(r) ? most : r), undefined);
}
