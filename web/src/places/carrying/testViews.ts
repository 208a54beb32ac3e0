import type { CarryingFemaleView, CarryingView, ChanceView, TagView, TubeOutView, WhatNowView } from '@yaylak/contract';
import { aTag } from '../../tests/builders';

export const DOE: TagView = aTag('G-01', { animalId: 'f1', name: 'Thyme' });
export const SECOND: TagView = aTag('G-02', { animalId: 'f2', name: 'Sage' });
export const BUCK: TagView = aTag('G-B1', { animalId: 'm1', name: 'Juniper' });

export const aChance = (change: Partial<ChanceView> = {}): ChanceView => ({
  servedOn: '2026-10-01',
  males: [BUCK],
  otherSire: null,
  probability: 0.96,
  story: [
    { kind: 'served', on: '2026-10-01', after: 0.7, weight: 1 },
    { kind: 'no-return', on: '2026-10-25', after: 0.96, weight: 3.9 },
  ],
  contradictions: [],
  returns: null,
  returnedOn: null,
  birthFrom: '2027-02-23',
  birthTo: '2027-03-05',
  ...change,
});

export const aFemale = (change: Partial<CarryingFemaleView> = {}): CarryingFemaleView => ({
  tag: DOE,
  groupName: 'Milking does',
  state: 'likely',
  chance: aChance(),
  conceivedOn: '2026-10-01',
  young: null,
  tests: [],
  windows: [
    {
      way: 'blood',
      window: { opens: '2026-10-31', bestFrom: '2026-11-02', bestTo: '2027-01-19', closes: '2027-02-18' },
      isDone: false,
      tooSoon: null,
    },
  ],
  tubeOut: null,
  fit: null,
  birth: { opens: '2027-02-23', bestFrom: '2027-02-25', bestTo: '2027-03-03', closes: '2027-03-05' },
  isOverdue: false,
  whatNow: null,
  decided: null,
  ...change,
});

export const aWhatNow = (change: Partial<WhatNowView> = {}): WhatNowView => ({
  ways: [
    { way: 'test-again', costMinor: 1189 },
    { way: 'sell', costMinor: 2789 },
    { way: 'keep', costMinor: 5213 },
  ],
  breakEven: 0.32,
  sensitivity: [
    {
      input: 'keep',
      low: { value: 1, best: 'test-again', margin: -900 },
      high: { value: 2, best: 'sell', margin: 400 },
    },
  ],
  keepDays: 93,
  keepPerDayMinor: 70,
  lostIfSoldMinor: 14_000,
  test: { way: 'blood', priceMinor: 900, from: '2026-11-23' },
  serveUntil: null,
  takes: 0.7,
  chancesUsed: 1,
  chances: 2,
  ...change,
});

export const aCarrying = (change: Partial<CarryingView> = {}): CarryingView => ({
  on: '2026-11-23',
  species: 'goat',
  currency: 'EUR',
  groups: [{ id: 'g1', name: 'Milking does' }],
  males: [BUCK],
  seasons: [
    { from: '2026-09-26', to: '2026-11-20', females: 14 },
    { from: '2025-09-10', to: '2025-10-20', females: 12 },
  ],
  season: '2026-09-26',
  isCurrent: true,
  females: [aFemale()],
  testing: [
    {
      way: 'blood',
      isUsed: true,
      ready: [DOE],
      later: [
        {
          tag: SECOND,
          tooSoon: {
            way: 'blood',
            after: 'service',
            since: '2026-11-13',
            days: 10,
            daysNeeded: 30,
            validFrom: '2026-12-13',
          },
        },
      ],
      bestDay: { on: '2026-12-15', best: 2, open: 2 },
      of: 2,
      priceMinor: 900,
    },
    { way: 'scan', isUsed: false, ready: [DOE], later: [], bestDay: null, of: 1, priceMinor: 0 },
  ],
  curve: {
    from: '2026-09-26',
    base: 14,
    cycleDays: 21,
    known: [0, 0.25, 0.5],
    foretold: [0, 0.25, 0.75],
    aims: [
      { day: 0, share: 0 },
      { day: 21, share: 0.65 },
      { day: 42, share: 0.86 },
      { day: 63, share: 0.93 },
    ],
    weeks: [{ week: 1, known: 0.5, foretold: 0.75 }],
    firstCycle: 0.5,
    secondCycle: 0.5,
    threeWeeks: 0.5,
    sixWeeks: 0.5,
    medianDay: 2,
    conceived: 7,
    empty: 1,
    unknown: 2,
    notServed: 3,
    left: 1,
    scanning: { females: 4, young: 7, per100: 700 / 4 },
  },
  births: {
    from: '2027-02-20',
    perDay: [0.2, 0.5, 0.3],
    sdPerDay: [0.4, 0.5, 0.45],
    total: 1,
    peakWeekFrom: '2027-02-20',
    peakWeek: 1,
    peakWeekHalfWidth: 0.4,
    peakThreeDays: 1,
    mostBy: '2027-02-22',
    overdue: 1,
    pens: 0,
    shortDays: 3,
    overlaps: [{ species: 'sheep', births: 4.2 }],
  },
  tubesOut: 2,
  ...change,
});

export const aTubeOut = (n: number, tag: TagView, change: Partial<TubeOutView> = {}): TubeOutView => ({
  sampleId: `s${n}`,
  tube: `B-00${n}`,
  purpose: 'pregnancy',
  on: '2026-11-20',
  tag,
  numbers: [tag.text],
  species: 'goat',
  servedOn: '2026-10-01',
  probability: 0.9,
  isTooSoon: false,
  ...change,
});
