import type { DueWork } from '@yaylak/contract';
import { fieldWord, groupOn, sharedWindow, windowStage, type AnimalFacts, type Day, type Window } from '@yaylak/core';
import type { HoldingState } from '../book/holdingState';
import { windowView } from '../common/views';

/** Work that opens within so many days is shown. */
export const AHEAD_DAYS = 7;

/** A row of work, but for what is done. */
export type Batch = Omit<DueWork, 'does' | 'job' | 'steps'>;

/** Animals due by the same thing as one row of their group and sex. */
export function batches(
  state: HoldingState,
  due: readonly { readonly facts: AnimalFacts; readonly what: string; readonly window: Window }[],
  today: Day,
): Batch[] {
  const rows = new Map<string, { what: string; facts: AnimalFacts[]; windows: Window[] }>();
  for (const { facts, what, window } of due) {
    if (window.opens > today + AHEAD_DAYS) continue;
    const { species, sex } = facts.record;
    const key = `${species} ${sex} ${groupOn(facts, today) ?? '-'} ${what}`;
    const batch = rows.get(key) ?? { what, facts: [], windows: [] };
    rows.set(key, batch);
    batch.facts.push(facts);
    batch.windows.push(window);
  }
  return [...rows].flatMap(([key, { what, facts, windows }]) => {
    const window = sharedWindow(windows);
    const first = facts[0];
    if (!window || !first) return [];
    const groupId = groupOn(first, today);
    const group = groupId === undefined ? undefined : state.groups.get(groupId);
    const age = today - (first.record.bornOn ?? today);
    return [
      {
        key,
        who: `${facts.length} ${fieldWord(first.record, age, facts.length > 1)}`,
        why: [what],
        group: group ? { id: group.id, name: group.name } : null,
        species: first.record.species,
        animalIds: facts.map((f) => f.record.id),
        window: windowView(window),
        isOpen: windowStage(window, today) !== 'early',
      },
    ];
  });
}
