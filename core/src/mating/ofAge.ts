import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Days } from '../units';

/** Whether an animal was born so many days before; one whose birth is not known is taken to be. */
const isOfDays = (bornOn: Day | undefined, days: Days, on: Day): boolean => bornOn === undefined || on - bornOn >= days;

/** Old enough for a first mating. */
export const isFemaleOfAge = (
  bornOn: Day | undefined,
  { femaleFirstMatingDays }: Pick<SpeciesSettings, 'femaleFirstMatingDays'>,
  on: Day,
): boolean => isOfDays(bornOn, femaleFirstMatingDays, on);

/** Old enough to be used. */
export const isMaleOfAge = (bornOn: Day | undefined, { mating }: Pick<SpeciesSettings, 'mating'>, on: Day): boolean =>
  isOfDays(bornOn, mating.maleFirstDays, on);

/** Grown: he serves as many as a male of his species does. */
export const isMaleGrown = (bornOn: Day | undefined, { mating }: Pick<SpeciesSettings, 'mating'>, on: Day): boolean =>
  isOfDays(bornOn, mating.maleGrownDays, on);
