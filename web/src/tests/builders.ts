import type {
  AdjustedView,
  AnimalRow,
  AnimalView,
  ChoosingRow,
  FailedAnimal,
  SetAnimal,
  ChoosingView,
  Entry,
  GainView,
  GroupView,
  HoldingView,
  IdentifierIndexRow,
  WearerView,
  JobView,
  OutletFacts,
  OutletView,
  ProductFacts,
  ProductView,
  RosterAnimal,
  RosterView,
  TagView,
  TodayView,
  ConditionAnimal,
  PlanFacts,
  PlanView,
} from '@yaylak/contract';
import { SHIPPED_TEMPLATES } from '@yaylak/contract';
import {
  DEFAULT_POINTS_WEIGHTS,
  SPECIES,
  SPECIES_TABLE,
  USUAL_BY_SPECIES,
  USUAL_HOW,
  USUAL_STANDARDS,
} from '@yaylak/core';

/** Small true things for tests of pages: a ewe lamb of 2026 on 23 November 2026, unless said otherwise. */
export const TODAY = '2026-11-23';

export const aTag = (text: string, change: Partial<TagView> = {}): TagView => ({
  animalId: `id of ${text}`,
  text,
  kind: 'visual',
  colour: 'yellow',
  name: null,
  hasElectronic: false,
  isWorn: true,
  ...change,
});

export const aGain = (change: Partial<GainView> = {}): GainView => ({
  kgPerDay: 0.2,
  standardError: 0.03,
  halfWidth: 0.038,
  from: '2026-10-24',
  to: '2026-11-23',
  readings: 2,
  lineKgPerDay: 0.1,
  verdict: 'above',
  ...change,
});

export const aRow = (text: string, change: Partial<AnimalRow> = {}): AnimalRow => ({
  tag: aTag(text),
  species: 'sheep',
  sex: 'female',
  bornOn: '2026-04-01',
  age: { unit: 'months', count: 7 } as AnimalRow['age'],
  ageDays: 236,
  group: { id: 'g1', name: 'Top paddock' },
  dam: aTag('22-0001'),
  donor: null,
  sire: null,
  birthType: 2,
  rearingType: 1,
  isPresent: true,
  lastKg: 42.5,
  lastOn: '2026-11-21',
  gain: aGain(),
  version: 3,
  ...change,
});

export const aView = (text: string, change: Partial<AnimalView> = {}): AnimalView => ({
  row: aRow(text),
  strain: null,
  boughtMinor: null,
  departed: null,
  reservation: null,
  marks: [],
  due: [],
  corrections: [],
  withheld: [],
  gains: { last: aGain(), period: null, sinceBirth: null },
  verdict: null,
  alarm: null,
  curve: { grown: null, readings: [], band: [], groupName: 'Top paddock' },
  body: null,
  identifiers: [],
  ancestors: { damDam: null, damSire: null, sireDam: null, sireSire: null },
  young: [],
  record: null,
  timeline: [],
  ...change,
});

/** An entry of the book; what a type needs beyond the common is given by the test. */
export const anEntry = (type: Entry['type'], change: object = {}): Entry =>
  ({
    id: `${type} ${JSON.stringify(change)}`,
    type,
    animalId: 'id of 26-0001',
    on: '2026-11-01',
    writtenAt: '2026-11-01T08:00:00.000Z',
    writtenBy: 'Aylin',
    source: 'hand',
    ...change,
  }) as Entry;

export const aHolding = (change: Partial<HoldingView> = {}): HoldingView => ({
  name: 'Ardıçlı',
  writer: null,
  keeper: 'Aylin',
  unit: 'kg',
  dateOrder: 'day-month',
  weekStart: 'monday',
  keeps: SPECIES,
  currency: 'EUR',
  pointsWeights: DEFAULT_POINTS_WEIGHTS,
  overrides: {},
  species: SPECIES_TABLE,
  standards: USUAL_STANDARDS.map((s) => ({ ...s, sexes: [...s.sexes] })),
  blankTags: [],
  scorers: { setRight: [] },
  resources: { birthPens: [], away: [], lean: [] },
  calendar: {},
  decisionMarks: {},
  choosing: { presets: [] },
  version: 1,
  today: TODAY,
  now: `${TODAY}T12:00`,
  about: { version: '0.1.0', animals: 3, entries: 40, backups: 2, devicesUrl: null, isDemo: false, findings: [] },
  ...change,
});

export const aGroup = (name: string, change: Partial<GroupView> = {}): GroupView => ({
  id: `id of ${name}`,
  name,
  species: null,
  isClosed: false,
  present: 0,
  version: 1,
  ...change,
});

/** An animal with one number, as the server lists it. */
export const anIdentifier = (
  text: string,
  { kind = 'visual', colour = 'yellow', isWorn = true, ...change }: Partial<IdentifierIndexRow> = {},
): WearerView => ({
  animalId: `id of ${text}`,
  numbers: [[text, kind, colour, isWorn]],
  isPresent: true,
  species: 'sheep',
  sex: 'female',
  bornOn: '2026-04-01',
  groupName: 'Top paddock',
  ...change,
});

export const aRosterAnimal = (text: string, change: Partial<RosterAnimal> = {}): RosterAnimal => ({
  tag: aTag(text),
  species: 'sheep',
  sex: 'female',
  bornOn: '2026-04-01',
  birthType: 2,
  rearingType: 2,
  dam: '22-0001',
  sire: null,
  groupId: 'g1',
  groupName: 'Top paddock',
  weights: [
    ['2026-04-01', 4, 'scale'],
    ['2026-10-24', 38, 'scale'],
  ],
  damId: null,
  worn: [[text, `fitting of ${text}`, 'visual']],
  formerly: [],
  withheld: [],
  given: [],
  scores: [],
  mob: null,
  femaleKind: 'usual',
  points: null,
  ...change,
});

export const aRoster = (animals: readonly RosterAnimal[], change: Partial<RosterView> = {}): RosterView => ({
  on: TODAY,
  animals,
  gone: [],
  products: [],
  templates: SHIPPED_TEMPLATES,
  biases: [],
  outlets: [],
  habits: [],
  killingOut: USUAL_BY_SPECIES,
  lastTubes: {},
  ...change,
});

/** A market that pays by the kilogram alive. */
export const anOutlet = (name: string, change: Partial<OutletFacts> = {}): OutletView => ({
  id: `id of ${name}`,
  facts: {
    name,
    species: 'sheep',
    payBy: 'live-kg',
    prices: [{ from: '2026-01-01', baseMinor: 300, bands: [] }],
    shrinkShare: 0,
    commissionShare: 0,
    tripMinor: 1_500,
    headMinor: 100,
    least: 0,
    weekdays: [],
    wants: {},
    leastChance: 0.7,
    ...change,
  },
  isClosed: false,
  version: 1,
});

/** A drench for sheep: 0.2 ml a kilogram by mouth, fourteen days of meat; its one batch is good. */
export const aProduct = (
  name: string,
  change: Partial<ProductFacts> = {},
  view: Partial<ProductView> = {},
): ProductView => ({
  id: `id of ${name}`,
  facts: {
    name,
    kind: 'remedy',
    doseUnit: 'ml',
    doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }],
    step: 0.5,
    rounding: 'up',
    routes: ['mouth'],
    withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14 }],
    batches: [{ batch: 'K1', expiresOn: '2027-05-31', amount: 1000 }],
    ...change,
  },
  isClosed: false,
  version: 1,
  batches: [{ batch: 'K1', expiresOn: '2027-05-31', amount: 1000, left: 900, state: 'good' }],
  left: 900,
  isLow: false,
  ...view,
});

export const aJob = (change: Partial<JobView> = {}): JobView => ({
  id: 'j1',
  name: 'Ewe lambs',
  on: TODAY,
  startedAt: `${TODAY}T08:00:00.000Z`,
  startedBy: 'Aylin',
  stations: ['weigh'],
  gates: [],
  animalIds: [],
  finishedAt: null,
  seen: 0,
  expected: 0,
  ...change,
});

export const aToday = (change: Partial<TodayView> = {}): TodayView => ({
  on: TODAY,
  now: `${TODAY}T09:00`,
  heats: [],
  partings: [],
  births: [],
  due: [],
  notGrowing: [],
  withheld: [],
  openJobs: [],
  lookAt: [],
  copies: null,
  shouldGo: [],
  more: { notGrowing: 0, withheld: 0, lookAt: 0 },
  head: [],
  ...change,
});

const aSetAnimal = (text: string): SetAnimal => ({
  tag: aTag(text),
  worn: [text],
  ageDays: 200,
  birthType: 2,
  rearingType: 2,
  groupId: null,
  sire: null,
  dam: null,
  lastKg: 40,
  lastOn: '2026-11-21',
  score: null,
  eye: { state: 'passes', failed: [], graded: [], missing: [], letBack: null },
  written: null,
  decided: null,
});

export const aChoosingRow = (text: string, place: number, change: Partial<ChoosingRow> = {}): ChoosingRow => ({
  ...aSetAnimal(text),
  asSire: null,
  place,
  placeByWeight: place,
  lastKg: 40 - place,
  adjusted: null,
  breakdown: null,
  ratio: null,
  sinceBirth: null,
  lastGain: null,
  damRecord: null,
  ownRecord: null,
  values: [],
  index: 100 - place,
  standardError: 1,
  parts: [],
  reasons: [],
  suggestion: place <= 1 ? 'keep' : place <= 2 ? 'second' : 'sell',
  chanceAcross: 0,
  isGrey: false,
  ...change,
});

/** One that failed its mouth on 3 November. */
export const aFailedAnimal = (text: string, change: Partial<FailedAnimal> = {}): FailedAnimal => {
  const mouth = {
    standardId: 'm',
    name: 'Mouth',
    grade: 'fail',
    isFailed: true,
    on: '2026-11-03',
    by: 'Kerem',
  } as const;
  return {
    ...aSetAnimal(text),
    eye: { state: 'fails', failed: [mouth], graded: [mouth], missing: [], letBack: null },
    suggestion: 'sell',
    ...change,
  };
};

/** Read 44 kg at 150 days, a single out of a grown dam: the steps multiply through by hand. */
export const anAdjusted = (change: Partial<AdjustedView> = {}): AdjustedView => ({
  standardDays: 147,
  readKg: 44,
  readOn: '2026-09-06',
  ageDays: 150,
  birthKg: 4.5,
  birthWeight: 'weighed',
  // 4.5 + 39.5 / 150 x 147 = 43.21; x 0.92 = 39.75
  steps: { read: 44, age: 43.21, birthType: 39.75, sex: 39.75, damAge: 39.75 },
  factors: { birthType: 0.92, sex: 1, damAge: 1 },
  factorSources: {
    birthType: { class: '1-1', source: 'own', records: 120, ownWeight: 0.67 },
    sex: { class: 'female', source: 'table', records: 0, ownWeight: 0 },
    damAge: { class: null, source: 'table', records: 0, ownWeight: 0 },
  },
  kg: 39.75,
  standardError: 1,
  ...change,
});

export const aChoosing = (rows: readonly ChoosingRow[], change: Partial<ChoosingView> = {}): ChoosingView => ({
  set: { species: 'sheep', sex: 'female', from: '2026-04-06', to: '2026-05-07', count: rows.length },
  groups: [],
  how: { ...USUAL_HOW.sheep, basis: 'own' },
  basis: 'own',
  ownTraits: ['growth', 'damRecord', 'lastGain'],
  traits: [],
  standardDays: 147,
  standardAges: [112, 147],
  lines: { keep: 1, second: 1 },
  rows,
  failed: [],
  notRanked: [],
  withoutWeight: 0,
  kin: { pointsPerPercent: 0, sireCap: 0, keptIds: [] },
  isKinStale: false,
  draft: null,
  left: [],
  ...change,
});

/** Lambing wanted on 10 March 2028 of three rested ewes, so that the rams go in on 15 October 2027. */
export const aPlanView = (change: Partial<PlanView> = {}, facts: Partial<PlanFacts> = {}): PlanView => ({
  id: 'p1',
  version: 1,
  facts: {
    kind: 'season',
    name: 'Lambing 2028',
    species: 'sheep',
    females: 3,
    matingOn: '2027-10-15',
    wanted: { what: 'births', on: '2028-03-10' },
    flushing: 'six-weeks',
    cycles: 2,
    doses: [],
    shifts: {},
    done: {},
    ...facts,
  },
  groupName: null,
  animalIds: [],
  femalesInBook: [],
  males: { grown: 1, young: 0 },
  happened: {},
  ...change,
});

export const aConditionAnimal = (text: string, change: Partial<ConditionAnimal> = {}): ConditionAnimal => ({
  tag: aTag(text),
  kind: 'usual',
  aim: 3,
  last: { on: '2026-11-01', score: 3, by: ['Aylin'], isCorrected: false },
  before: null,
  trend: null,
  mob: 'fit',
  mobBefore: null,
  suggestedMob: 'fit',
  weightKg: 60,
  way: { kind: 'there' },
  ...change,
});
