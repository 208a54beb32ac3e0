import type { Day } from '../calendar';
import { SPECIES_WORDS } from '../species';
import { mean } from '../statistics';
import type { SaleRecord } from './saleRecord';

/** What heads of a kind brought on average; hundredths of money, charges off. */
export interface MeanMoney {
  readonly minor: number;
  /** SD / sqrt(n). */
  readonly standardError: number;
  readonly heads: number;
}

/** Fewer sales say too little. */
const LEAST_SALES = 5;
/** Older prices are other prices: a rule of thumb. */
const COUNTS_DAYS = 3 * 365;

/** What young and what grown females brought; each undefined under five sales in the last three years. */
export interface SaleMeans {
  readonly young: MeanMoney | undefined;
  readonly cull: MeanMoney | undefined;
}

/** Means of the holding's own sales of a species, one that was bought without a birth date taken as grown. */
export function saleMeans(
  sales: readonly { readonly record: SaleRecord; readonly netMinor: number }[],
  today: Day,
): SaleMeans {
  const counted = sales.filter(({ record }) => record.left.on > today - COUNTS_DAYS && record.left.on <= today);
  const isGrown = ({ facts: { record }, left }: SaleRecord): boolean =>
    record.bornOn === undefined || left.on - record.bornOn >= SPECIES_WORDS[record.species].grownFromDays;
  const brought = (is: (record: SaleRecord) => boolean): number[] =>
    counted.filter(({ record }) => is(record)).map((s) => s.netMinor);
  return {
    young: meanMoney(brought((r) => !isGrown(r))),
    cull: meanMoney(brought((r) => isGrown(r) && r.facts.record.sex === 'female')),
  };
}

function meanMoney(sums: readonly number[]): MeanMoney | undefined {
  if (sums.length < LEAST_SALES) return undefined;
  const minor = mean(sums) as number;
  const variance = sums.reduce((sum, m) => sum + (m - minor) ** 2, 0) / (sums.length - 1);
  return { minor, standardError: Math.sqrt(variance / sums.length), heads: sums.length };
}
