import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { fitLine, t80, Z_80 } from '../statistics';
import { readingSd, type Reading } from './readings';
import type { KilogramsPerDay } from '../units';

export type Gain =
  | {
      readonly kind: 'gain';
      readonly kgPerDay: KilogramsPerDay;
      /** Kilograms a day. */
      readonly standardError: number;
      /** Half the width of the 80 % interval, kilograms a day. */
      readonly halfWidth: number;
      readonly from: Day;
      readonly to: Day;
      readonly readings: number;
    }
  | { readonly kind: 'no-gain'; readonly reason: 'no-reading' | 'one-date' };

export type KnownGain = Extract<Gain, { kind: 'gain' }>;

/**
 * Gain from one reading to a later one, with the standard error sqrt(s1^2 + s2^2) / days that gut fill and scale leave.
 */
export function gainBetween(a: Reading, b: Reading, settings: Pick<SpeciesSettings, 'readingSdShare'>): Gain {
  const days = b.on - a.on;
  if (days <= 0) return { kind: 'no-gain', reason: 'one-date' };
  const standardError = Math.hypot(readingSd(a.kg, settings), readingSd(b.kg, settings)) / days;
  return {
    kind: 'gain',
    kgPerDay: (b.kg - a.kg) / days,
    standardError,
    halfWidth: Z_80 * standardError,
    from: a.on,
    to: b.on,
    readings: 2,
  };
}

/** Gain between the last two days weighed. @param daily as `dailyReadings` gives them */
export function lastGain(daily: readonly Reading[], settings: Pick<SpeciesSettings, 'readingSdShare'>): Gain {
  const last = daily.at(-1);
  const before = daily.at(-2);
  if (!last) return { kind: 'no-gain', reason: 'no-reading' };
  return before ? gainBetween(before, last, settings) : { kind: 'no-gain', reason: 'one-date' };
}

/** Gain from the first reading to the last, by those two alone. @param daily as `dailyReadings` gives them */
export function gainSinceFirst(daily: readonly Reading[], settings: Pick<SpeciesSettings, 'readingSdShare'>): Gain {
  const first = daily[0];
  const last = daily.at(-1);
  if (!first || !last) return { kind: 'no-gain', reason: 'no-reading' };
  return gainBetween(first, last, settings);
}

/**
 * Gain over a period: least squares over the daily readings in it, its error from the residuals (n-2 degrees of
 * freedom). Two readings fall back on `gainBetween`. The error is never taken smaller than gut fill and scale alone
 * would leave: three readings that happen to lie on a line do not make a sure gain.
 * @param daily as `dailyReadings` gives them
 */
export function gainOverPeriod(
  daily: readonly Reading[],
  period: { readonly from: Day; readonly to: Day },
  settings: Pick<SpeciesSettings, 'readingSdShare'>,
): Gain {
  const inside = daily.filter((r) => r.on >= period.from && r.on <= period.to);
  const first = inside[0];
  const last = inside.at(-1);
  if (!first || !last) return { kind: 'no-gain', reason: 'no-reading' };
  if (inside.length < 3) return gainBetween(first, last, settings);
  const fit = fitLine(inside.map((r) => [r.on, r.kg] as const));
  if (!fit || fit.slopeStandardError === undefined) return { kind: 'no-gain', reason: 'one-date' };
  const centre = inside.reduce((s, r) => s + r.on, 0) / inside.length;
  const sxx = inside.reduce((s, r) => s + (r.on - centre) ** 2, 0);
  const noise = Math.sqrt(inside.reduce((s, r) => s + ((r.on - centre) * readingSd(r.kg, settings)) ** 2, 0)) / sxx;
  const fromFit = t80(inside.length - 2) * fit.slopeStandardError;
  return {
    kind: 'gain',
    kgPerDay: fit.slope,
    standardError: Math.max(fit.slopeStandardError, noise),
    halfWidth: Math.max(fromFit, Z_80 * noise),
    from: first.on,
    to: last.on,
    readings: inside.length,
  };
}

export type GainVerdict = 'above' | 'below' | 'too-soon';

/** On which side of a line a gain lies; `too-soon` where its 80 % interval has both. */
export function judgeGain(gain: KnownGain, lineKgPerDay: KilogramsPerDay): GainVerdict {
  if (gain.kgPerDay - gain.halfWidth > lineKgPerDay) return 'above';
  if (gain.kgPerDay + gain.halfWidth < lineKgPerDay) return 'below';
  return 'too-soon';
}
