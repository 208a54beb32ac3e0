import type { Kilograms, LitterDoubt, ReadingDoubt, Species, WeightUnit } from '@yaylak/core';
import { countText, weightText } from './format';

/** What is likely of a reading that is doubted: `38.0 kg 30 days before; up to 58.0 kg is likely.` */
export function doubtWords(doubt: ReadingDoubt, unit: WeightUnit, species: Species): string {
  const weight = (kg: Kilograms): string => weightText(kg, unit, species);
  switch (doubt.kind) {
    case 'jump':
      return `${weight(doubt.fromKg)} ${countText(doubt.days, 'day', 'days')} before; up to ${weight(doubt.likelyUpToKg)} is likely.`;
    case 'fall':
      return `${weight(doubt.fromKg)} ${countText(doubt.days, 'day', 'days')} before; down to ${weight(doubt.likelyDownToKg)} is likely.`;
    case 'same-day':
      return `${weight(doubt.fromKg)} on the same day.`;
    case 'for-age':
      return `${doubt.ageDays === 0 ? 'At birth' : `At ${countText(doubt.ageDays, 'day', 'days')} old`} ${weight(doubt.lowKg)} to ${weight(doubt.highKg)} is likely.`;
  }
}

/** ` Did you mean 58.5 kg?`, where something is likely. */
export const meantText = (likelyKg: Kilograms | undefined, unit: WeightUnit, species: Species): string =>
  likelyKg === undefined ? '' : ` Did you mean ${weightText(likelyKg, unit, species)}?`;

/** A reading to be looked at before it is kept: the reading, what stands against it, and what was likely meant. */
export const checkReadingText = (kg: Kilograms, doubt: ReadingDoubt, unit: WeightUnit, species: Species): string =>
  `Check the reading: ${weightText(kg, unit, species)}. ${doubtWords(doubt, unit, species)}${meantText(doubt.likelyKg, unit, species)}`;

/** What is to be looked at of a litter that was weighed together. */
export function litterDoubtText(doubt: LitterDoubt, unit: WeightUnit, species: Species): string {
  if (doubt.kind === 'heads') return `${doubt.count} on the scale, and the litter has ${doubt.heads}. Count again.`;
  return `Check the reading: ${weightText(doubt.eachKg, unit, species)} each. ${doubtWords(doubt.doubt, unit, species)}${
    doubt.likelyKg === undefined ? '' : ` Did you mean ${weightText(doubt.likelyKg, unit, species)} together?`
  }`;
}
