import { addDays, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { fitCurve, t80, Z_80, type CurveModel } from '../statistics';
import { readingSd, type Reading } from './readings';
import type { Kilograms, Days } from '../units';

export const GROWTH_CURVES = ['brody', 'gompertz'] as const;
export type GrowthCurveKind = (typeof GROWTH_CURVES)[number];

/** Parameters are the weight when grown, what is left to grow at birth, and the rate a day. */
type Parameters = readonly [matureKg: Kilograms, left: number, ratePerDay: number];

/** Weight at an age of so many days, and how it changes with each parameter. */
const MODELS: Readonly<Record<GrowthCurveKind, CurveModel>> = {
  /** Brody (1945): A (1 - b e^-kt). */
  brody: ([a = 0, b = 0, k = 0], t) => {
    const e = Math.exp(-k * t);
    return { value: a * (1 - b * e), gradient: [1 - b * e, -a * e, a * b * t * e] };
  },
  /** Gompertz (1825), as Laird (1966) takes it: A e^(-b e^-kt). */
  gompertz: ([a = 0, b = 0, k = 0], t) => {
    const e = Math.exp(-k * t);
    const g = Math.exp(-b * e);
    return { value: a * g, gradient: [g, -a * g * e, a * g * b * t * e] };
  },
};

const FEWEST_READINGS = 4;
/** The readings must span this share of the growth; from less the top of a curve is a guess. */
const LEAST_SPAN = 1 / 3;
/** The share-grown table is right to so much of a grown weight. Rule of thumb. */
const TABLE_SD_SHARE = 0.07;

export type GrowthCurve =
  | {
      readonly kind: 'curve';
      readonly curve: GrowthCurveKind;
      readonly matureKg: Kilograms;
      /** Half the width of its 80 % interval. */
      readonly halfWidthKg: Kilograms;
      readonly readings: number;
      kgAt(ageDays: Days): number;
    }
  | {
      /** Too few readings for a curve: from the share grown at the age of the last. */
      readonly kind: 'share-grown';
      readonly matureKg: Kilograms;
      readonly halfWidthKg: Kilograms;
      readonly share: number;
      kgAt(ageDays: Days): number;
    }
  | { readonly kind: 'no-curve'; readonly reason: 'no-birth-date' | 'no-reading' };

type Settings = Pick<SpeciesSettings, 'grownShare' | 'birthWeightKg' | 'matureWeightKg' | 'readingSdShare'>;

/**
 * The curve an animal grows by, and its weight when grown with an 80 % interval. Brody and Gompertz are fitted by
 * least squares and the one of lesser AICc is taken; both have three parameters, so that is the one of lesser
 * residuals. Under four readings, under a third of the growth, or where neither fit settles, the share-grown table.
 * @param daily as `dailyReadings` gives them
 */
export function growthCurve(bornOn: Day | undefined, daily: readonly Reading[], settings: Settings): GrowthCurve {
  if (bornOn === undefined) return { kind: 'no-curve', reason: 'no-birth-date' };
  const last = daily.at(-1);
  if (!last) return { kind: 'no-curve', reason: 'no-reading' };
  const points = daily.map((r) => [r.on - bornOn, r.kg] as const);
  const fits = points.length < FEWEST_READINGS ? [] : GROWTH_CURVES.flatMap((curve) => fitted(curve, points) ?? []);
  const [best] = fits.sort((a, b) => a.rss - b.rss);
  if (best) return best.found;
  const share = shareGrown(last.on - bornOn, settings);
  const matureKg = last.kg / share;
  return {
    kind: 'share-grown',
    matureKg,
    halfWidthKg: Z_80 * Math.hypot(readingSd(last.kg, settings) / share, TABLE_SD_SHARE * matureKg),
    share,
    kgAt: (ageDays) => matureKg * shareGrown(ageDays, settings),
  };
}

function fitted(curve: GrowthCurveKind, points: readonly (readonly [age: number, kg: Kilograms])[]) {
  const kgs = points.map((p) => p[1]);
  const ages = points.map((p) => p[0]);
  const heaviest = Math.max(...kgs);
  const span = Math.max(...ages) - Math.min(...ages);
  const model = MODELS[curve];
  const start: Parameters = [heaviest * 1.15, curve === 'brody' ? 0.9 : 2.3, 3 / Math.max(30, span)];
  const fit = fitCurve(model, points, start);
  const [matureKg = 0, left = 0, rate = 0] = fit?.parameters ?? [];
  const matureError = fit?.standardErrors[0];
  if (!fit || matureError === undefined || !(matureKg > 0 && left > 0 && rate > 0)) return undefined;
  const grown = (heaviest - Math.min(...kgs)) / matureKg;
  // A curve that runs off to any weight has not settled, however well it lies on the readings.
  if (grown < LEAST_SPAN || !(matureError < matureKg)) return undefined;
  const halfWidthKg = t80(Math.max(1, points.length - 3)) * matureError;
  return {
    rss: fit.rss,
    found: {
      kind: 'curve' as const,
      curve,
      matureKg,
      halfWidthKg,
      readings: points.length,
      kgAt: (ageDays: Days) => model(fit.parameters, ageDays).value,
    },
  };
}

const YEAR_DAYS = 365;

/** Share of the grown weight at an age, by straight lines between birth and the years of the table. */
export function shareGrown(ageDays: Days, { grownShare, birthWeightKg, matureWeightKg }: Settings): number {
  const atBirth = Math.min(0.5, (birthWeightKg[0] ?? 0) / matureWeightKg.female);
  // A year after the table ends it is grown.
  const shares = [atBirth, ...grownShare, 1];
  const year = Math.max(0, ageDays) / YEAR_DAYS;
  const from = Math.min(Math.floor(year), shares.length - 1);
  const low = shares[from] as number;
  const high = shares[from + 1] ?? 1;
  return low + (high - low) * Math.min(1, year - from);
}

/** How far ahead a weight is looked for along a curve. */
const MOST_AHEAD_DAYS = 1500;

/**
 * The day an animal should reach a weight, by its curve; the curve is shifted to go through the last reading, as an
 * animal that stands over its own curve today does not fall back on it tomorrow.
 * @returns undefined where it never does
 */
export function dayOfWeight(
  curve: GrowthCurve,
  kg: Kilograms,
  bornOn: Day,
  last: Pick<Reading, 'on' | 'kg'>,
): Day | undefined {
  if (curve.kind === 'no-curve') return undefined;
  const shift = last.kg - curve.kgAt(last.on - bornOn);
  for (let days = 0; days <= MOST_AHEAD_DAYS; days++)
    if (curve.kgAt(last.on + days - bornOn) + shift >= kg) return addDays(last.on, days);
  return undefined;
}
