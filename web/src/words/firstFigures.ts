import { isoOf, SPECIES_WORDS, type FirstFigure, type WeightUnit } from '@yaylak/core';
import { countText, fullDate, shortDate, weightText } from './format';

interface Said {
  readonly unit: WeightUnit;
  /** What an animal is called by. */
  readonly nameOf: (animalId: string) => string;
}

/** What was worked out, in a sentence; and what it stands on. */
export function firstFigureText(figure: FirstFigure, { unit, nameOf }: Said): { said: string; how: string } {
  const { grown, young, birth } = SPECIES_WORDS[figure.species];
  switch (figure.kind) {
    case 'weights': {
      const { meanKg, halfWidth, lightest, heaviest, species } = figure;
      const weight = (kg: number): string => weightText(kg, unit, species);
      const under = Math.round(100 * (1 - lightest.kg / meanKg));
      return {
        said: `${countText(figure.weighed, ...grown.female)} weigh ${weight(meanKg)} ± ${weight(halfWidth)} on average. ${nameOf(lightest.animalId)} is the lightest, ${weight(lightest.kg)}, ${under} % under: feel her condition. Dose a mob for the heaviest, ${nameOf(heaviest.animalId)} with ${weight(heaviest.kg)}.`,
        how: 'The mean of their last weights. With ± the mean of all such females lies in four cases of five; more weighings narrow it.',
      };
    }
    case 'births': {
      const { females, from, to, stays } = figure;
      const male = grown.male[0];
      const stay = stays === 0 ? '' : ` and stayed ${countText(stays, 'day', 'days')}`;
      return {
        said: `If a ${male} went in today${stay}, ${birth} of ${countText(females, ...grown.female)} would be from ${shortDate(isoOf(from))} to ${fullDate(isoOf(to))}.`,
        how: 'Today and the shortest usual pregnancy, to his last day and the longest. How long he stays, and the days of a pregnancy, are set under Holding.',
      };
    }
    case 'first-mating': {
      const { on, leastKg, species } = figure;
      const least = leastKg === undefined ? '' : `, at ${weightText(leastKg, unit, species)} or more`;
      return {
        said: `${countText(figure.young, ...young.female)} ${figure.young === 1 ? 'is' : 'are'} too young to be mated; the first is old enough on ${fullDate(isoOf(on))}${least}.`,
        how: 'The birth of the oldest and the age of a first mating; of weight the share of a grown one that is set, of the mean above. Both are set under Holding.',
      };
    }
  }
}
