import type { SpeciesSettings } from '../species';
import { birthWeightOf, readingNear, weightAtAge, type GrowingAnimal } from './adjustedWeight';
import { CONTEMPORARY_DAYS } from './contemporaryGroup';
import { factorClasses, type FactorRecord } from './factors';
import type { Days } from '../units';

/**
 * An animal's weighing as a record to fit growth factors from: its weight set to the standard age by the linear rule
 * alone, with its classes. Its batch is the five weeks it was born in, which share a year's weather and grass.
 * @returns undefined without a reading near the age
 */
export function factorRecord(
  animal: GrowingAnimal,
  standardDays: Days,
  settings: Pick<SpeciesSettings, 'birthWeightKg' | 'growthFactors'>,
): FactorRecord | undefined {
  const reading = readingNear(animal, standardDays);
  if (!reading) return undefined;
  const set = weightAtAge({
    kg: reading.kg,
    ageDays: reading.on - animal.bornOn,
    birthKg: birthWeightOf(animal, settings).kg,
    standardDays,
  });
  if (set.kind !== 'weight') return undefined;
  return {
    kg: set.kg,
    classes: factorClasses(animal, settings.growthFactors),
    batch: String(Math.floor(animal.bornOn / CONTEMPORARY_DAYS)),
  };
}
