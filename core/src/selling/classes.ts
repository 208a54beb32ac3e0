import { normalShareBelow } from '../statistics';
import { STEPS, type ClassStep } from './grid';

/** Where shape or fat is thought to be, in thirds: not a whole step, and how sure. */
export interface ThoughtClass {
  readonly mean: number;
  readonly sd: number;
}

/** Chance of each of the 15 steps: normal, cut at half steps, the ends take the tails. */
export function stepChances({ mean, sd }: ThoughtClass): number[] {
  const chances: number[] = [];
  let below = 0;
  for (let step = 1; step <= STEPS; step++) {
    const upTo = step === STEPS ? 1 : normalShareBelow(step + 0.5, mean, sd);
    chances.push(upTo - below);
    below = upTo;
  }
  return chances;
}

/** Chance to be given a step from one to another, both included; `undefined` leaves that side open. */
export function chanceWithin(
  { mean, sd }: ThoughtClass,
  from: ClassStep | undefined,
  to: ClassStep | undefined,
): number {
  const under = from === undefined || from <= 1 ? 0 : normalShareBelow(from - 0.5, mean, sd);
  const upTo = to === undefined || to >= STEPS ? 1 : normalShareBelow(to + 0.5, mean, sd);
  return Math.max(0, upTo - under);
}

/** The step a thought comes to when it is graded. */
export const stepAt = (thirds: number): ClassStep => Math.min(STEPS, Math.max(1, Math.round(thirds)));

/** Places where fat is felt by hand. */
export const FAT_PLACES = ['tail', 'loin', 'ribs', 'brisket'] as const;
export type FatPlace = (typeof FAT_PLACES)[number];

/** Fat in thirds from what was felt: the mean of the places felt. @returns undefined where none was */
export function feltFat(felt: Readonly<Partial<Record<FatPlace, ClassStep>>>): number | undefined {
  const steps = FAT_PLACES.flatMap((p) => felt[p] ?? []);
  return steps.length === 0 ? undefined : steps.reduce((s, n) => s + n, 0) / steps.length;
}
