import { fitLine, t80 } from '../statistics';

/** Litters needed before a trend is spoken of. */
export const TREND_LITTERS = 4;
/** How far slopes of females differ, young a litter (SD), and the spread of litters beside it; rules of thumb. */
const SLOPE_SD = 0.5;
/** Litters the rule of thumb for the spread is worth beside a female's own. */
const SPREAD_WORTH = 4;

export type LitterTrend =
  | { readonly kind: 'too-few'; readonly litters: number; readonly needed: number }
  | {
      readonly kind: 'falling' | 'rising' | 'steady';
      /** A litter, beside what litters of her species do with age; drawn toward no change. */
      readonly perLitter: number;
      /** Of an 80 % interval. */
      readonly low: number;
      readonly high: number;
      readonly litters: number;
    };

/**
 * Whether something of a female's litters, their size or the weight weaned, falls or rises from litter to litter. The
 * slope by least squares of what is over or under the usual of that parity, with an error from her own spread and the
 * species' (n - 2 degrees of freedom and four more), is drawn toward no change by a normal prior. Falling or rising
 * only if the 80 % interval does not touch 0; with fewer than four litters nothing is said.
 * @param values   of her litters in order, undefined where not known
 * @param usual    what a litter of this place in the row is over the grown female's usual; the last serves the rest
 * @param unit     one "young" in the values' unit: 1 for sizes, kilograms a young for weights
 * @param spreadSd spread of one litter in the same unit; a rule of thumb of the species
 */
export function litterTrend(
  values: readonly (number | undefined)[],
  { usual, spreadSd, unit = 1 }: { usual: readonly number[]; spreadSd: number; unit?: number },
): LitterTrend {
  const points = values.flatMap((v, i) =>
    v === undefined ? [] : [[i, v - (usual[Math.min(i, usual.length - 1)] ?? 0) * unit] as const],
  );
  const litters = points.length;
  const line = fitLine(points);
  if (litters < TREND_LITTERS || !line) return { kind: 'too-few', litters, needed: TREND_LITTERS };
  const meanX = points.reduce((s, [x]) => s + x, 0) / litters;
  const sxx = points.reduce((s, [x]) => s + (x - meanX) ** 2, 0);
  const rss = points.reduce((s, [x, y]) => s + (y - line.intercept - line.slope * x) ** 2, 0);
  const degrees = litters - 2 + SPREAD_WORTH;
  const variance = (SPREAD_WORTH * spreadSd ** 2 + rss) / degrees / sxx;
  const prior = (SLOPE_SD * unit) ** 2;
  const perLitter = (line.slope * prior) / (prior + variance);
  const half = t80(degrees) * Math.sqrt((prior * variance) / (prior + variance));
  const [low, high] = [perLitter - half, perLitter + half];
  return { kind: high < 0 ? 'falling' : low > 0 ? 'rising' : 'steady', perLitter, low, high, litters };
}
