import { addDays, type Day } from '../calendar';
import type { Litter } from '../births';
import type { TraitValue } from './traits';

export interface DamRecord extends TraitValue {
  /** Young reared a year of breeding life. */
  readonly value: number;
  readonly litters: number;
  readonly reared: number;
  readonly years: number;
}

const DAYS_A_YEAR = 365.25;
/** Spread of litter size beyond what the mean explains, about what small stock shows; a rule of thumb. */
const LITTER_SD = 0.6;

/**
 * Young a female has reared a year: those alive at weaning age, over the years from a year before her first litter.
 * The error is that of a mean of so many litters.
 * @param isReared whether a young reached weaning; those still too young count as reared so far
 * @returns undefined without a litter before `asOf`
 */
export function damRecord(
  litters: readonly Litter[],
  isReared: (youngId: string) => boolean,
  asOf: Day,
): DamRecord | undefined {
  const past = litters.filter((l) => l.bornOn <= asOf);
  const first = past[0];
  const last = past.at(-1);
  if (!first || !last) return undefined;
  const reared = past.reduce((s, l) => s + l.youngIds.filter(isReared).length, 0);
  const years = Math.max(1, Math.round((addDays(last.bornOn, 0) - first.bornOn) / DAYS_A_YEAR) + 1);
  return {
    value: reared / years,
    standardError: (LITTER_SD * Math.sqrt(past.length)) / years,
    litters: past.length,
    reared,
    years,
  };
}
