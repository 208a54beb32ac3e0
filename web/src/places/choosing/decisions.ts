import type { ChoosingRow } from '@yaylak/contract';
import type { Decision } from '@yaylak/core';

/** What a person decided, where it is not what was suggested. */
export type Decisions = Readonly<Record<string, Decision>>;

export const decisionOf = (row: ChoosingRow, decisions: Decisions): Decision =>
  decisions[row.tag.animalId] ?? row.suggestion;

/** Rows decided against the ranking; each wants a reason. */
export const decisionsAgainst = (rows: readonly ChoosingRow[], decisions: Decisions): ChoosingRow[] =>
  rows.filter((r) => decisionOf(r, decisions) !== r.suggestion);
