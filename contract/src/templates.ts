import type { ConditionStage } from '@yaylak/core';
import { message } from './say/say';
import type { ScoreSettings, TemplateView } from './stations';

/** Scoring as it is usually set: one scorer not named yet, the thin sprayed red on the shoulder. */
export const usualScoring = (stage: ConditionStage): ScoreSettings => ({
  stage,
  scorers: [],
  sprays: [{ mob: 'thin', colour: 'red' }],
  place: 'shoulder',
});

/** Templates every holding has. */
export const SHIPPED_TEMPLATES: readonly TemplateView[] = [
  { id: 'weigh', name: message('Weigh'), stations: ['weigh'], settings: {}, gates: [], isShipped: true },
  {
    id: 'newborn',
    name: message('Newborn, two days old'),
    stations: ['identify', 'weigh', 'sample', 'care'],
    settings: {
      subject: 'young',
      young: { ageDays: 2 },
      identify: { kinds: ['visual', 'electronic'] },
      weigh: { method: 'scale' },
      sample: { purpose: 'gene', firstTube: 'G-001' },
      care: {
        kinds: [
          { kind: 'navel', method: 'iodine' },
          { kind: 'dock', method: 'ring' },
          { kind: 'castrate', method: 'ring' },
          { kind: 'disbud', method: 'hot iron' },
        ],
      },
    },
    gates: [],
    isShipped: true,
  },
  {
    id: 'litter',
    name: message('Whole litters together'),
    stations: ['litter'],
    settings: { subject: 'litter' },
    gates: [],
    isShipped: true,
  },
  {
    id: 'score',
    name: message('Score condition'),
    stations: ['score'],
    settings: { score: usualScoring('mating') },
    gates: [],
    isShipped: true,
  },
  {
    id: 'scan',
    name: message('Scan for young'),
    stations: ['scan'],
    settings: { scan: { way: 'scan' } },
    gates: [],
    isShipped: true,
  },
  {
    id: 'retag',
    name: message('Re-tag'),
    stations: ['identify'],
    settings: { identify: { kinds: ['visual', 'electronic'] } },
    gates: [],
    isShipped: true,
  },
  {
    id: 'look-and-sort',
    name: message('Weigh, look over and sort'),
    stations: ['weigh', 'look', 'sort'],
    settings: { sort: { by: 'standards', above: 'left', below: 'right' } },
    gates: [
      { key: 'left', name: message('Keep') },
      { key: 'down', name: message('Second string') },
      { key: 'right', name: message('Sell'), isForSale: true },
    ],
    isShipped: true,
  },
];
