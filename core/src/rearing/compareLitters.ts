import { fitLinear, mean, Z_80 } from '../statistics';

/** A litter as it is compared. */
export interface LitterRecord {
  /** By doe, buck, pair or season: whoever is compared. */
  readonly group: string;
  /** Which of her litters, from 1. */
  readonly parity: number;
  /** Born alive; undefined leaves its size out of account. */
  readonly size: number;
  /** What is compared: young reared, kilograms weaned. */
  readonly value: number;
}

export interface LitterGroup {
  readonly group: string;
  readonly litters: number;
  readonly mean: number;
  /** Over or under the others after parity and litter size, drawn toward them the fewer litters there are. */
  readonly difference: number;
  /** Half of an 80 % interval about it. */
  readonly halfWidth: number;
  readonly sureness: 'guess' | 'fair' | 'good';
}

export interface LittersCompared {
  readonly groups: readonly LitterGroup[];
  readonly mean: number;
  readonly litters: number;
}

/** Fewer litters are a guess, from so many on they are good; rules of thumb. */
export const FAIR_FROM = 4;
export const GOOD_FROM = 10;
/** Under so many litters nothing is corrected for: there is nothing to learn parity and size from. */
const CORRECTED_FROM = 8;
/** Share of what is left after the corrections that stays with a doe or a buck from litter to litter. Rule of thumb. */
const REPEATS = 0.15;

const PARITY_BANDS = [1, 2, 6] as const;

/**
 * Litters by doe, buck, pair or season, fairly: each litter's value is set right for its parity (first, second, third
 * to fifth, later) and, where it says something else than the value itself, for its size, by least squares over all
 * litters; the mean of what is left, of n litters, is drawn toward the others by n / (n + (1 - r) / r), r the
 * repeatability. Its error is that of such a prediction.
 * @param bySize  whether the value is set right for the litter's size: a weight is, the size itself is not
 */
export function compareLitters(records: readonly LitterRecord[], bySize: boolean): LittersCompared | undefined {
  const overall = mean(records.map((r) => r.value));
  if (overall === undefined) return undefined;
  const left = leftOver(records, bySize, overall);
  const variance = left.reduce((s, v) => s + v * v, 0) / Math.max(1, left.length - 1);
  const groups = new Map<string, { readonly values: number[]; readonly left: number[] }>();
  records.forEach((r, i) => {
    const own = groups.get(r.group) ?? { values: [], left: [] };
    groups.set(r.group, own);
    own.values.push(r.value);
    own.left.push(left[i] as number);
  });
  const ratio = (1 - REPEATS) / REPEATS;
  return {
    mean: overall,
    litters: records.length,
    groups: [...groups]
      .map(([group, own]): LitterGroup => {
        const n = own.values.length;
        const weight = n / (n + ratio);
        return {
          group,
          litters: n,
          mean: mean(own.values) as number,
          difference: weight * (mean(own.left) as number),
          halfWidth: Z_80 * Math.sqrt(REPEATS * variance * (1 - weight)),
          sureness: n < FAIR_FROM ? 'guess' : n < GOOD_FROM ? 'fair' : 'good',
        };
      })
      .sort((a, b) => b.difference - a.difference || (a.group < b.group ? -1 : 1)),
  };
}

/** What is left of each value after the overall mean, parity and size. */
function leftOver(records: readonly LitterRecord[], bySize: boolean, overall: number): number[] {
  if (records.length < CORRECTED_FROM) return records.map((r) => r.value - overall);
  const meanSize = mean(records.map((r) => r.size)) as number;
  const rows = records.map(({ parity, size }) => [
    1,
    // Third to fifth is the base.
    ...PARITY_BANDS.map((from, i) => (i < 2 ? Number(parity === from) : Number(parity >= from))),
    ...(bySize ? [size - meanSize] : []),
  ]);
  const b = fitLinear(
    rows,
    records.map((r) => r.value),
  );
  return records.map((r, i) => r.value - (rows[i] as number[]).reduce((s, x, k) => s + x * (b[k] as number), 0));
}
