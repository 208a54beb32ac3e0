import { say } from '@yaylak/contract';
import type { SpeciesSettings } from '@yaylak/core';

/** A figure of a species that is set here; breeds have a list of their own. */
export type FigureField = Exclude<keyof SpeciesSettings, 'breeds'>;

/** What figures of a species are asked for, a short page each, in the order of the year. */
export const QUESTIONS = [
  {
    id: 'mating',
    words: say('Mating'),
    ask: say('When is one mated, by whom, and how often?'),
    fields: [
      'femaleFirstMatingDays',
      'heatCycleDays',
      'standingHeatHours',
      'serviceHours',
      'mating',
      'femalesPerMale',
      'waitAfterBirthDays',
      'pairing',
    ],
  },
  {
    id: 'carrying',
    words: say('Carrying'),
    ask: say('How long do they carry, how is it told, and what is done before a birth?'),
    fields: ['gestationDays', 'overdueDays', 'tests', 'carrying', 'carryingSteps'],
  },
  {
    id: 'rearing',
    words: say('Rearing'),
    ask: say('What is done from the birth to weaning?'),
    fields: ['rearing', 'weaningDays', 'birthWeightKg'],
  },
  {
    id: 'weights',
    words: say('Weights'),
    ask: say('When are they weighed, what do they weigh, and how far is a scale out?'),
    fields: [
      'weighing',
      'standardAgesDays',
      'matureWeightKg',
      'grownShare',
      'growthFactors',
      'readingSdShare',
      'perCmHeightKg',
    ],
  },
  {
    id: 'condition',
    words: say('Condition'),
    ask: say('Which scores are wanted, and how often are they felt?'),
    fields: ['condition', 'scoring'],
  },
  {
    id: 'season',
    words: say('Season'),
    ask: say('What comes how long before and after mating?'),
    fields: ['season'],
  },
  {
    id: 'choosing',
    words: say('Choosing and selling'),
    ask: say('What is a crop, what does a day more cost, and how do they fatten?'),
    fields: ['choosing', 'selling'],
  },
  {
    id: 'tags',
    words: say('Tags and slips'),
    ask: say('What should they wear, and from where on is a reading a slip?'),
    fields: ['identifiersAdvised', 'numberTemplate', 'heaviestKg', 'fastestGainKgPerDay', 'longestCm'],
  },
] as const satisfies readonly {
  readonly id: string;
  readonly words: string;
  readonly ask: string;
  readonly fields: readonly FigureField[];
}[];

export type QuestionId = (typeof QUESTIONS)[number]['id'];
