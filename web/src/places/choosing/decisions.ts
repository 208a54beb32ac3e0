import type { ChoosingRow, ChoosingView, DraftDecision, FailedAnimal, SetAnimal } from '@yaylak/contract';
import type { Suggestion } from '@yaylak/core';

/** One that can be decided on: ranked, or failed by eye. */
export type Choosable = (ChoosingRow | FailedAnimal) & { readonly suggestion: Suggestion };

/** What stands of an animal: what was decided, or else what is suggested. */
export const decisionOf = ({ decided, suggestion }: Choosable): DraftDecision => decided?.decision ?? suggestion;

/** Decided otherwise than suggested: it wants its reason. Undecided is no decision. */
export const isOverruled = (row: Choosable): boolean =>
  decisionOf(row) !== row.suggestion && decisionOf(row) !== 'undecided';

export const lacksReason = (row: Choosable): boolean => isOverruled(row) && !row.decided?.reason;

/** All that can be decided on, the ranked first. */
export const choosable = ({ rows, failed }: ChoosingView): Choosable[] => [...rows, ...failed];

export const countsOf = (all: readonly Choosable[]): Readonly<Record<DraftDecision, number>> => {
  const counts = { keep: 0, second: 0, sell: 0, cull: 0, undecided: 0 };
  for (const row of all) counts[decisionOf(row)]++;
  return counts;
};

/** Written otherwise than it stands now. */
export const changedSinceWritten = (row: Choosable): boolean =>
  row.written !== null && decisionOf(row) !== 'undecided' && row.written.decision !== decisionOf(row);

export const idOf = ({ tag }: SetAnimal): string => tag.animalId;
