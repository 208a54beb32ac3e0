import { isoOf, type FirstFigure, type WeightUnit } from '@yaylak/core';
import { fullDate, shortDate } from './dates';
import { countText, weightText } from './format';
import { say, SPECIES_WORDS } from '@yaylak/contract';

interface Said {
  readonly unit: WeightUnit;
  /** What an animal is called by. */
  readonly nameOf: (animalId: string) => string;
}

/** What was worked out: of what, in a sentence; and what it stands on. */
export function firstFigureText(
  figure: FirstFigure,
  { unit, nameOf }: Said,
): { of: string; said: string; how: string } {
  const { grown, young, birth } = SPECIES_WORDS[figure.species];
  switch (figure.kind) {
    case 'weights': {
      const { meanKg, halfWidth, lightest, heaviest, species } = figure;
      const weight = (kg: number): string => weightText(kg, unit, species);
      const under = Math.round(100 * (1 - lightest.kg / meanKg));
      return {
        of: say('Mean weight of the {females}', { females: grown.female[1] }),
        said: say(
          '{count} weigh {weight} ± {weight2} on average. {name} is the lightest, {weight3}, {under} % under: feel her condition. Dose a mob for the heaviest, {name2} with {weight4}.',
          {
            count: countText(figure.weighed, ...grown.female),
            weight: weight(meanKg),
            weight2: weight(halfWidth),
            name: nameOf(lightest.animalId),
            weight3: weight(lightest.kg),
            under,
            name2: nameOf(heaviest.animalId),
            weight4: weight(heaviest.kg),
          },
        ),
        how: say(
          'The mean of their last weights. With ± the mean of all such females lies in four cases of five; more weighings narrow it.',
        ),
      };
    }
    case 'births': {
      const { females, from, to, stays } = figure;
      const male = grown.male[0];
      const stay =
        stays === 0 ? '' : ` ${say('and stayed {stays} {stays, plural, one {day} other {days}}', { stays })}`;
      return {
        of: say('When {birth} would be', { birth }),
        said: say('If a {male} went in today{stay}, {birth} of {count} would be from {date} to {date2}.', {
          male,
          stay,
          birth,
          count: countText(females, ...grown.female),
          date: shortDate(isoOf(from)),
          date2: fullDate(isoOf(to)),
        }),
        how: say(
          'Today and the shortest usual pregnancy, to his last day and the longest. How long he stays, and the days of a pregnancy, are set under Holding.',
        ),
      };
    }
    case 'first-mating': {
      const { on, leastKg, species } = figure;
      const least =
        leastKg === undefined ? '' : say(', at {weight} or more', { weight: weightText(leastKg, unit, species) });
      return {
        of: say('When the {young} can be mated', { young: young.female[1] }),
        said: say(
          '{count} {young, plural, one {is} other {are}} too young to be mated; the first is old enough on {date}{least}.',
          { count: countText(figure.young, ...young.female), young: figure.young, date: fullDate(isoOf(on)), least },
        ),
        how: say(
          'The birth of the oldest and the age of a first mating; of weight the share of a grown one that is set, of the mean above. Both are set under Holding.',
        ),
      };
    }
  }
}
