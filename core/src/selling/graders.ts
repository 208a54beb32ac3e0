import { mean, standardDeviation, t80 } from '../statistics';
import type { ThoughtClass } from './classes';

/** How far one reading of shape or fat is off the grader before anything is known, thirds. */
export const EYE_SD = { shape: 1.8, fat: 2.2 } as const;
/** So many readings the default is worth against the holding's own. */
const DEFAULT_WORTH = 10;
/** So many pairs a habit needs to be half believed. */
const HABIT_WORTH = 5;
/** Two graders are held against each other from so many pairs each. */
export const PAIRS_TO_COMPARE = 5;

/** One carcass: what the grader gave less what was felt, thirds; over 0 a better shape or more fat than felt. */
export interface GradedPair {
  readonly outletId: string;
  readonly breedGroup: string | undefined;
  readonly difference: number;
}

/** Pulled towards a mean that is known beside it, by so many pairs. */
const shrunk = (values: readonly number[], towards: number): number => {
  const n = values.length;
  const own = mean(values);
  return own === undefined ? towards : (n * own + HABIT_WORTH * towards) / (n + HABIT_WORTH);
};

/** SD of grader less own at an outlet, the default counting as ten. */
export function eyeSd(differences: readonly number[], usual: number): number {
  const n = differences.length;
  const own = standardDeviation(differences) ?? 0;
  const degrees = Math.max(0, n - 1);
  return Math.sqrt((degrees * own ** 2 + DEFAULT_WORTH * usual ** 2) / (degrees + DEFAULT_WORTH));
}

export interface GraderHabit {
  readonly pairs: number;
  /** The plain mean of the pairs; undefined without one. */
  readonly mean: number | undefined;
  /** Half of the plain mean's 80 % interval; undefined under two pairs. */
  readonly halfWidth: number | undefined;
  /** What is taken into account. */
  readonly used: number;
  readonly sd: number;
}

/** A grader's habit at an outlet, for all or for a breed group there. */
export function graderHabit(
  pairs: readonly GradedPair[],
  outletId: string,
  breedGroup: string | undefined,
  usualSd: number,
): GraderHabit {
  const there = pairs.filter((p) => p.outletId === outletId);
  const atOutlet = there.map((p) => p.difference);
  const ofGroup = there.filter((p) => p.breedGroup === breedGroup).map((p) => p.difference);
  const outletMean = shrunk(atOutlet, 0);
  const shown = breedGroup === undefined ? atOutlet : ofGroup;
  const sd = standardDeviation(shown);
  return {
    pairs: shown.length,
    mean: mean(shown),
    halfWidth: sd === undefined ? undefined : (t80(shown.length - 1) * sd) / Math.sqrt(shown.length),
    used: breedGroup === undefined ? outletMean : shrunk(ofGroup, outletMean),
    sd: eyeSd(atOutlet, usualSd),
  };
}

/** How an outlet's grader sees what this holding feels. */
export interface Habits {
  readonly shape: Pick<GraderHabit, 'used' | 'sd'>;
  readonly fat: Pick<GraderHabit, 'used' | 'sd'>;
}
export const NO_HABITS: Habits = { shape: { used: 0, sd: EYE_SD.shape }, fat: { used: 0, sd: EYE_SD.fat } };

/** What was felt, with the grader's habit put to it. */
export const withHabit = (felt: number, habit: Pick<GraderHabit, 'used' | 'sd'>): ThoughtClass => ({
  mean: felt + habit.used,
  sd: habit.sd,
});

export interface GradersCompared {
  /** The first's mean less the second's, thirds. */
  readonly difference: number;
  /** Half its 80 % interval, by Welch (1947) with Satterthwaite's degrees of freedom. */
  readonly halfWidth: number;
  readonly degrees: number;
}

/** Two graders by the same eye. @returns undefined where one of them has under five pairs */
export function compareGraders(first: readonly number[], second: readonly number[]): GradersCompared | undefined {
  if (first.length < PAIRS_TO_COMPARE || second.length < PAIRS_TO_COMPARE) return undefined;
  const [a, b] = [first, second].map((all) => ({
    mean: mean(all) as number,
    error: (standardDeviation(all) as number) ** 2 / all.length,
    n: all.length,
  })) as [Side, Side];
  const variance = a.error + b.error;
  const difference = a.mean - b.mean;
  const degrees =
    variance === 0 ? a.n + b.n - 2 : variance ** 2 / (a.error ** 2 / (a.n - 1) + b.error ** 2 / (b.n - 1));
  return { difference, halfWidth: t80(degrees) * Math.sqrt(variance), degrees };
}
interface Side {
  readonly mean: number;
  readonly error: number;
  readonly n: number;
}
