import type { DueWho, DueWork } from '@yaylak/contract';
import { fieldWord, groupOn, sharedWindow, windowStage, type AnimalFacts, type Day, type Window } from '@yaylak/core';
import type { HoldingState } from '../book/holdingState';
import { windowView } from '../common/views';

/** Work that opens within so many days is shown. */
export const AHEAD_DAYS = 7;

/** One animal that is due by something. */
export interface Due<What> {
  readonly facts: AnimalFacts;
  readonly what: What;
  readonly window: Window;
}

/** A row of work, but for what is done: who is due by what. */
export interface Batch<What> extends Pick<DueWork, 'key' | 'group' | 'species' | 'animalIds' | 'window' | 'isOpen'> {
  readonly what: What;
  readonly who: DueWho;
}

/**
 * Animals due by the same thing as one row of their group and sex.
 * @param same what tells two things apart, where they are more than a word
 */
export function batches<What>(
  state: HoldingState,
  due: readonly Due<What>[],
  today: Day,
  same: (what: What) => string = String,
): Batch<What>[] {
  const rows = new Map<string, { readonly what: What; readonly facts: AnimalFacts[]; readonly windows: Window[] }>();
  for (const { facts, what, window } of due) {
    if (window.opens > today + AHEAD_DAYS) continue;
    const { species, sex } = facts.record;
    const key = `${species} ${sex} ${groupOn(facts, today) ?? '-'} ${same(what)}`;
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
    return [
      {
        key,
        what,
        who: counted(first, facts.length, today),
        group: group ? { id: group.id, name: group.name } : null,
        species: first.record.species,
        animalIds: facts.map((f) => f.record.id),
        window: windowView(window),
        isOpen: windowStage(window, today) !== 'early',
      },
    ];
  });
}

/** What a row of work has of its batch. */
export const rowOf = <What>({ who, group, species, animalIds, window, isOpen }: Batch<What>) => ({
  who,
  group,
  species,
  animalIds,
  window,
  isOpen,
});

/** So many of a kind, by the field word of the first. */
export function counted({ record }: AnimalFacts, count: number, today: Day): DueWho {
  const age = today - (record.bornOn ?? today);
  return { count, words: [fieldWord(record, age), fieldWord(record, age, true)] };
}
