import { birthWeightOf, readingNear, weightAtAge, type GrowingAnimal } from '../growth';
import type { SpeciesSettings } from '../species';
import type { Days } from '../units';

/**
 * What a litter weighed at one age, so that a litter weighed late is not the better for it: each young's weight nearest
 * that age is set to it by the usual linear rule (`weightAtAge`), and these are added up. A litter is worth more the
 * more were reared: nothing is divided.
 * @returns kilograms; undefined where there is nobody, or one was not weighed near the age (`readingNear`)
 */
export function weanedKg(
  young: readonly Pick<GrowingAnimal, 'bornOn' | 'daily' | 'birthType'>[],
  ageDays: Days,
  settings: Pick<SpeciesSettings, 'birthWeightKg'>,
): number | undefined {
  let sum = 0;
  for (const one of young) {
    const reading = readingNear(one, ageDays);
    const set =
      reading &&
      weightAtAge({
        kg: reading.kg,
        ageDays: reading.on - one.bornOn,
        birthKg: birthWeightOf(one, settings).kg,
        standardDays: ageDays,
      });
    if (set?.kind !== 'weight') return undefined;
    sum += set.kg;
  }
  return young.length === 0 ? undefined : sum;
}
