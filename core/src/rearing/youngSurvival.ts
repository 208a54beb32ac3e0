import type { Days } from '../units';

/** How long a young was seen from its birth: to its death, or until it was weaned, left alive or today. */
export interface YoungSeenFor {
  readonly days: Days;
  readonly died: boolean;
}

/**
 * Share of young alive at each age up to weaning (Kaplan & Meier 1958, J Am Stat Assoc 53: 457-481): who left alive, or
 * is younger than weaning age, counts for the days it was seen. Cost n + weaning age.
 * @returns `[a]` is the share alive at the end of day `a` of life, 0 to `weaningAge`; all 1 where nobody was seen
 */
export function youngSurvival(young: readonly YoungSeenFor[], weaningAge: number): readonly number[] {
  const deaths = new Float64Array(weaningAge + 1);
  const ended = new Float64Array(weaningAge + 2);
  for (const { days, died } of young) {
    const last = Math.max(0, Math.min(days, weaningAge + 1));
    ended[last] = (ended[last] as number) + 1;
    if (died && days <= weaningAge) deaths[last] = (deaths[last] as number) + 1;
  }
  const alive: number[] = [];
  let atRisk = young.length;
  let share = 1;
  for (let age = 0; age <= weaningAge; age++) {
    if (atRisk > 0) share *= 1 - (deaths[age] as number) / atRisk;
    alive.push(share);
    atRisk -= ended[age] as number;
  }
  return alive;
}

/** Chance that a young of this age is alive at weaning, by the shares of `youngSurvival`; 1 from that age on. */
export function reachesWeaning(survival: readonly number[], ageDays: Days): number {
  const now = survival[ageDays];
  const atWeaning = survival.at(-1) ?? 1;
  return now === undefined ? 1 : now === 0 ? 0 : atWeaning / now;
}
