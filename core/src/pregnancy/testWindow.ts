import { addDays, type Day, type Window, type WindowDays } from '../calendar';
import type { SpeciesSettings, TestRules } from '../species';
import type { Days } from '../units';

/** What a test of a female hangs on. */
export interface TestedFemale {
  /** The last service that may hold; undefined where none is known since her last birth. */
  readonly servedOn: Day | undefined;
  readonly lastBirthOn: Day | undefined;
}

/** Days after the service in which young can be counted: by the scanner, or felt by hand where none is used. */
export const countingDays = (tests: SpeciesSettings['tests']): WindowDays | undefined =>
  (tests.scan ?? tests.palpation)?.days;

/** When a way of testing can tell of a female: its days after the service, and not before its wait after her birth. */
export function testWindow(
  { days, afterBirthDays }: TestRules,
  { servedOn, lastBirthOn }: TestedFemale & { readonly servedOn: Day },
): Window {
  const rested = lastBirthOn === undefined ? -Infinity : addDays(lastBirthOn, afterBirthDays);
  const notBefore = (day: Day): Day => Math.max(day, rested) as Day;
  return {
    opens: notBefore(addDays(servedOn, days.opens)),
    bestFrom: notBefore(addDays(servedOn, days.bestFrom)),
    bestTo: notBefore(addDays(servedOn, days.bestTo)),
    closes: notBefore(addDays(servedOn, days.closes)),
  };
}

/** A test asked before it can tell, with the figures of its refusal. */
export interface TooSoon {
  /** What it is too soon after. */
  readonly after: 'service' | 'birth';
  readonly since: Day;
  /** Days from then to the test. */
  readonly days: Days;
  readonly daysNeeded: number;
  readonly validFrom: Day;
}

/**
 * Why a test on a day would say nothing yet.
 * @returns undefined when it can tell; of two reasons the one that takes longer
 */
export function tooSoon(rules: TestRules, female: TestedFemale, on: Day): TooSoon | undefined {
  const waits = [
    { after: 'service', since: female.servedOn, daysNeeded: rules.days.opens },
    { after: 'birth', since: female.lastBirthOn, daysNeeded: rules.afterBirthDays },
  ] as const;
  const open = waits.flatMap(({ after, since, daysNeeded }): TooSoon[] => {
    if (since === undefined || on >= addDays(since, daysNeeded)) return [];
    return [{ after, since, days: on - since, daysNeeded, validFrom: addDays(since, daysNeeded) }];
  });
  return open.sort((a, b) => b.validFrom - a.validFrom)[0];
}

export interface TestDay {
  readonly on: Day;
  /** Of how many it is the best time then, and how many it can tell of at all. */
  readonly best: number;
  readonly open: number;
}

/**
 * The day one visit serves the most: the most females in their best stretch, among these the most for whom the test
 * is valid at all, among these the first.
 * @param from  no earlier than this
 * @returns undefined when no window is left
 */
export function bestTestDay(windows: readonly Window[], from: Day): TestDay | undefined {
  // The count changes only where a window opens or its best stretch begins: no other day can be the first best.
  const days = [...new Set([from, ...windows.flatMap((w) => [w.opens, w.bestFrom])])].filter((d) => d >= from);
  return days
    .sort((a, b) => a - b)
    .map((on): TestDay => ({
      on,
      best: windows.filter((w) => w.bestFrom <= on && on <= w.bestTo).length,
      open: windows.filter((w) => w.opens <= on && on <= w.closes).length,
    }))
    .filter((d) => d.open > 0)
    .reduce<TestDay | undefined>(
      (top, d) => (!top || d.best > top.best || (d.best === top.best && d.open > top.open) ? d : top),
      undefined,
    );
}
