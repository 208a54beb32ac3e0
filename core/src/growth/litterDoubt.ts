import type { SpeciesSettings } from '../species';
import type { Days, Kilograms } from '../units';
import { doubtForAge, type ReadingDoubt } from './readings';

export type LitterDoubt =
  /** By the head no young of that age weighs so much, or so little. */
  | {
      readonly kind: 'by-the-head';
      readonly eachKg: Kilograms;
      readonly doubt: ReadingDoubt;
      readonly likelyKg?: Kilograms | undefined;
    }
  /** More on the scale than the litter has. */
  | { readonly kind: 'heads'; readonly count: number; readonly heads: number };

/**
 * What is doubtful of a litter on the scale together.
 * @param heads how many are reared in it; undefined where that is not known
 */
export function doubtLitter(
  { totalKg, count }: { readonly totalKg: Kilograms; readonly count: number },
  { heads, ageDays }: { readonly heads: number | undefined; readonly ageDays: Days | undefined },
  settings: Pick<SpeciesSettings, 'readingSdShare' | 'fastestGainKgPerDay' | 'birthWeightKg' | 'heaviestKg'>,
): LitterDoubt[] {
  const eachKg = totalKg / count;
  const doubt = ageDays === undefined || ageDays < 0 ? undefined : doubtForAge(eachKg, ageDays, settings);
  return [
    ...(heads !== undefined && count > heads ? [{ kind: 'heads', count, heads } as const] : []),
    ...(doubt
      ? [
          {
            kind: 'by-the-head',
            eachKg,
            doubt,
            likelyKg: doubt.likelyKg === undefined ? undefined : Number((doubt.likelyKg * count).toPrecision(6)),
          } as const,
        ]
      : []),
  ];
}
