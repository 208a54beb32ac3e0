import type { Kilograms, LitterDoubt, ReadingDoubt, Species, WeightUnit } from '@yaylak/core';
import { weightText } from './format';
import { say } from '@yaylak/contract';

/** What is likely of a reading that is doubted: `38.0 kg 30 days before; up to 58.0 kg is likely.` */
export function doubtWords(doubt: ReadingDoubt, unit: WeightUnit, species: Species): string {
  const weight = (kg: Kilograms): string => weightText(kg, unit, species);
  switch (doubt.kind) {
    case 'jump':
      return say('{weight} {days} {days, plural, one {day} other {days}} before; up to {weight2} is likely.', {
        weight: weight(doubt.fromKg),
        days: doubt.days,
        weight2: weight(doubt.likelyUpToKg),
      });
    case 'fall':
      return say('{weight} {days} {days, plural, one {day} other {days}} before; down to {weight2} is likely.', {
        weight: weight(doubt.fromKg),
        days: doubt.days,
        weight2: weight(doubt.likelyDownToKg),
      });
    case 'same-day':
      return say('{weight} on the same day.', { weight: weight(doubt.fromKg) });
    case 'for-age':
      return say('{value} {weight} to {weight2} is likely.', {
        value:
          doubt.ageDays === 0
            ? say('At birth')
            : say('At {ageDays} {ageDays, plural, one {day} other {days}} old', { ageDays: doubt.ageDays }),
        weight: weight(doubt.lowKg),
        weight2: weight(doubt.highKg),
      });
  }
}

/** ` Did you mean 58.5 kg?`, where something is likely. */
export const meantText = (likelyKg: Kilograms | undefined, unit: WeightUnit, species: Species): string =>
  likelyKg === undefined ? '' : ` ${say('Did you mean {weight}?', { weight: weightText(likelyKg, unit, species) })}`;

/** A reading to be looked at before it is kept: the reading, what stands against it, and what was likely meant. */
export const checkReadingText = (kg: Kilograms, doubt: ReadingDoubt, unit: WeightUnit, species: Species): string =>
  say('Check the reading: {weight}. {doubt}{meant}', {
    weight: weightText(kg, unit, species),
    doubt: doubtWords(doubt, unit, species),
    meant: meantText(doubt.likelyKg, unit, species),
  });

/** What is to be looked at of a litter that was weighed together. */
export function litterDoubtText(doubt: LitterDoubt, unit: WeightUnit, species: Species): string {
  if (doubt.kind === 'heads')
    return say('{count} on the scale, and the litter has {heads}. Count again.', {
      count: doubt.count,
      heads: doubt.heads,
    });
  return say('Check the reading: {weight} each. {doubt}{value}', {
    weight: weightText(doubt.eachKg, unit, species),
    doubt: doubtWords(doubt.doubt, unit, species),
    value:
      doubt.likelyKg === undefined
        ? ''
        : ` ${say('Did you mean {weight} together?', { weight: weightText(doubt.likelyKg, unit, species) })}`,
  });
}
