import { windowAfter, type Day, type Window } from '../calendar';
import type { SpeciesSettings } from '../species';

const HOURS_A_DAY = 24;

/** A male whose marks tell: one that wears colour, or a teaser, beside whom the females stand without being served. */
export interface Marking {
  readonly isTeaser: boolean;
  /** The marks of those he runs with were last read, or he was put in. */
  readonly since: Day;
}

/**
 * When the marks of a male are read next. A teaser tells of a heat that can still be served only while it lasts: each
 * day, or as often as the shortest standing heat. What a sire's mark tells is a date: half the shortest cycle, so that
 * of two marks of one colour the second is never taken for the first (a rule of thumb).
 * @returns undefined for species without a cycle, where nothing is read from marks
 */
export function markReading(
  { isTeaser, since }: Marking,
  { heatCycleDays, standingHeatHours }: Pick<SpeciesSettings, 'heatCycleDays' | 'standingHeatHours'>,
): Window | undefined {
  if (heatCycleDays.mean === 0) return undefined;
  const heatDays = Math.max(1, Math.floor(standingHeatHours.from / HOURS_A_DAY));
  const every = isTeaser ? heatDays : Math.floor(heatCycleDays.from / 2);
  return windowAfter(since, {
    opens: every,
    bestFrom: every,
    bestTo: every,
    closes: isTeaser ? every + 1 : heatCycleDays.from,
  });
}

/**
 * When his colour is changed: before the first of those he served may come back, and by the mean of the cycle, so that
 * who returned shows both colours.
 * @param colourSince  he wears this colour
 */
export function raddleChange(
  colourSince: Day,
  { heatCycleDays }: Pick<SpeciesSettings, 'heatCycleDays'>,
): Window | undefined {
  if (heatCycleDays.mean === 0) return undefined;
  const { from, mean, to } = heatCycleDays;
  return windowAfter(colourSince, { opens: from, bestFrom: from, bestTo: mean, closes: to });
}
