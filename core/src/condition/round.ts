import type { Day } from '../calendar';
import { mean, standardDeviation } from '../statistics';
import { HIGHEST_SCORE, LOWEST_SCORE } from './scale';
import type { AnimalId } from '../units';

/** An animal as a round found it. */
export interface Scored {
  readonly animalId: AnimalId;
  readonly score: number;
  readonly aim: number;
}

export interface ConditionOfGroup {
  readonly count: number;
  readonly mean: number;
  /** Standard deviation over mean; undefined under two animals. */
  readonly coefficientOfVariation: number | undefined;
  /** How many are at or over their own aim. */
  readonly atAim: number;
  /** Head by half score, from 1 to 5. */
  readonly byHalf: readonly { readonly score: number; readonly count: number }[];
}

const HALVES = Array.from({ length: 2 * (HIGHEST_SCORE - LOWEST_SCORE) + 1 }, (_, i) => LOWEST_SCORE + i / 2);

/**
 * How a group stands: mean, evenness, how many reach their aim, and the spread by halves (a quarter counts with the
 * half below it, as nobody should be taken for fitter than felt).
 * @returns undefined for nobody
 */
export function conditionOfGroup(scored: readonly Scored[]): ConditionOfGroup | undefined {
  const scores = scored.map((s) => s.score);
  const middle = mean(scores);
  if (middle === undefined) return undefined;
  const sd = standardDeviation(scores);
  return {
    count: scores.length,
    mean: middle,
    coefficientOfVariation: sd === undefined ? undefined : sd / middle,
    atAim: scored.filter((s) => s.score >= s.aim).length,
    byHalf: HALVES.map((half) => ({
      score: half,
      count: scores.filter((s) => Math.floor(clamped(s) * 2) / 2 === half).length,
    })),
  };
}

/** Head that make up a share of a group. @param share from 0 to 1 */
export const headWanted = (share: number, count: number): number =>
  // 0.9 of 40 is 36.000000000000001 to the machine, and must not ask for a 37th.
  Math.max(0, Math.ceil(share * count - 1e-9));

/** A corrected score may lie a little off the scale. */
const clamped = (score: number): number => Math.min(HIGHEST_SCORE, Math.max(LOWEST_SCORE, score));

/** A round of scoring ends when so many days bring no score. */
const ROUND_GAP_DAYS = 10;

export interface ScoringRound {
  readonly from: Day;
  readonly to: Day;
  readonly animalIds: readonly AnimalId[];
}

/** Rounds of scoring of a group, in order of day, from the days its animals were scored. */
export function scoringRounds(scores: Iterable<{ readonly animalId: AnimalId; readonly on: Day }>): ScoringRound[] {
  const rounds: { from: Day; to: Day; ids: Set<string> }[] = [];
  for (const { animalId, on } of [...scores].sort((a, b) => a.on - b.on)) {
    const last = rounds.at(-1);
    if (last && on - last.to <= ROUND_GAP_DAYS) {
      last.to = on;
      last.ids.add(animalId);
    } else rounds.push({ from: on, to: on, ids: new Set([animalId]) });
  }
  return rounds.map(({ from, to, ids }) => ({ from, to, animalIds: [...ids] }));
}
