import {
  fromKg,
  toKg,
  type FatGroup,
  type GrandparentRule,
  type HeatSchool,
  type KillingKind,
  type SpeciesSettings,
  type WeaningWay,
  type WeightUnit,
} from '@yaylak/core';

export interface FlatFigure {
  /** `weaningDays.opens`. */
  readonly path: string;
  readonly label: string;
  /** The label in two: of the list or the piece it stands in, and its own in there. */
  readonly group: string;
  readonly own: string;
  readonly value: string;
  /** What it may be, where one of a few is chosen: how it is kept, and its words. */
  readonly choices?: readonly (readonly [value: string, words: string])[];
}

/** The words of what is chosen, by the name of the choice. */
const CHOICES: Readonly<Record<string, NonNullable<FlatFigure['choices']>>> = {
  isUsed: [
    ['true', 'yes'],
    ['false', 'no'],
  ],
  weaningWay: [
    ['at-once', 'all at once'],
    ['by-weight', 'by weight'],
    ['biggest-first', 'biggest first'],
    ['two-steps', 'in two steps'],
  ] satisfies readonly (readonly [WeaningWay, string])[],
  heatSchool: [
    ['hours', 'by hours'],
    ['morning-evening', 'by morning and evening'],
  ] satisfies readonly (readonly [HeatSchool, string])[],
  fatGroup: [
    ['early', 'early'],
    ['middle', 'middle'],
    ['late', 'late'],
  ] satisfies readonly (readonly [FatGroup, string])[],
  killingKind: [
    ['lamb', 'as lambs'],
    ['kid', 'as kids'],
    ['rabbit', 'as rabbits'],
    ['beef', 'as beef cattle'],
    ['dairy-cross', 'as dairy crosses'],
    ['dairy', 'as dairy cattle'],
  ] satisfies readonly (readonly [KillingKind, string])[],
  grandparents: [
    ['forbidden', 'forbidden'],
    ['by-inbreeding', 'judged by inbreeding'],
  ] satisfies readonly (readonly [GrandparentRule, string])[],
};

const NOT_SHOWN = new Set(['kind', 'birthTypeBy']);
const LABELS: Readonly<Record<string, string>> = {
  bestFrom: 'best from',
  bestTo: 'best to',
  everyDays: 'every',
  fromDays: 'from',
  toDays: 'to',
  birthType: 'born-reared',
  aims: 'aim at',
  more: 'more for a',
  'first-timer': 'first-timer',
  'many-reared': 'rearing triplets',
  'heavy-milker': 'heavy milker',
  shareWanted: 'share of the group at the aim',
  thinUnder: 'thin, under the aim by',
  fatOver: 'fat, over the aim by',
  alarmUnder: 'alarm before birth under',
  kgPerScoreShare: 'a score, as a share of weight',
  daysPerScore: 'days to put on a score',
  cycles: 'heat cycles the male stays',
  maleCheckBefore: 'male check before',
  weanedBefore: 'weaned before',
  scoringBefore: 'scoring before',
  flushingBefore: 'flushing from, before',
  mineralsBefore: 'minerals before',
  birthScoringBefore: 'scoring before birth',
  birthMineralsBefore: 'minerals before birth',
  afterBirthDays: 'days after a birth',
  isUsed: 'asked for here',
  priceMinor: 'price a head',
  aimFirst: 'aim, in young after the first cycle',
  aimSecond: 'after the second cycle',
  aimLast: 'in the end',
  keepPerDayMinor: 'feeding an empty one for a day',
  lostIfSoldMinor: 'one in young is worth more than a cull by',
  serveAgainMinor: 'putting her to the male again',
  lateYoungMinor: 'young born late are worth less by',
  secondChances: 'empty seasons allowed',
  daysBefore: 'days before the birth',
  slackDays: 'days early or late at the most',
  colostrumHours: 'colostrum within, hours',
  afterbirthHours: 'afterbirth held back after, hours',
  bondingDays: 'in the pen of the birth, days for one young',
  mixingDays: 'with other dams up to, days old',
  weaningWay: 'weaned',
  deadAskedFrom: 'born dead, asked about from',
  weaningKg: 'heavy enough to wean',
  stepDays: 'small ones or second step later by',
  litterDailyDays: 'litter weighed together daily up to',
  eachDailyDays: 'each weighed daily up to',
  youngByBirth: 'young over the usual at birth',
  youngSd: 'spread of the young of a birth',
  conceptionShare: 'share of heats served that take',
  processingAfter: 'first handling after birth',
  damAge: "dam's age",
  firstMatingShare: 'of grown weight at first mating',
  heatsSkipped: 'heats skipped before first mating',
  scoreLeast: 'condition score at least',
  maleFirstDays: 'male used from, days old',
  maleGrownDays: 'male grown at, days old',
  maleOldYears: 'male old from, years',
  malesApartDays: 'males apart from, days old',
  maleShareLeast: 'share that takes, replace a male under',
  maleServicesPerWeek: 'services a week, then a male rests',
  maleCheckGoodDays: 'a male check is good for, days',
  signsNeeded: 'signs that must agree, where standing was not seen',
  heatSchool: 'served',
  heatsSeenShare: 'share of heats that are seen',
  inbreedingMost: 'inbreeding of the young at most',
  grandparents: 'with grandparents',
  affectedLeast: 'forbidden from this chance of an affected young',
  alleleFrequency: 'frequency of the recessive gene',
  widestCropDays: 'a crop spans, days at most',
  youngDays: 'young to, days old',
  baseYears: 'base years of breeding values',
  youngMinor: 'worth of a young at weaning',
  cullMinor: 'worth of a cull',
  replacementMinor: 'price of a replacement',
  usefulYears: 'years a female is used',
  matedAtYears: 'first mated at, years',
  rearedByAge: 'young reared by age, share of a grown female',
  diesShare: 'share that dies in a year',
  culledByAge: 'share culled in a year, by age',
  daughtersAYear: 'young females to one year, a female a year',
  keepMinorADay: 'feed and keep of one that waits, a day',
  interestAYear: 'interest a year, as a share',
  diesADay: 'chance to die on a day of waiting',
  feedDaysMost: 'on feed at most, days',
  leavesFromDays: 'leaves from, days old',
  fatGroup: 'goes fat',
  killingKind: 'kills out',
};

/** Weights are kept in kilograms and typed in the holding's unit. */
const isWeight = (path: string): boolean => /Kg(PerDay)?(\.|$)/.test(path);

/** Money is kept in hundredths and typed whole. */
const isMoney = (path: string): boolean => /Minor(ADay)?$/.test(path);

/** A setting's figures one by one, each with the path to put it back. */
export function flatFigures(
  field: string,
  value: unknown,
  unit: WeightUnit = 'kg',
  group = '',
  name = '',
): FlatFigure[] {
  const label = `${group} ${name}`.trim();
  if (typeof value !== 'object' || value === null) {
    const choices = CHOICES[field.slice(field.lastIndexOf('.') + 1)];
    const shown = shownAs(field, value, unit);
    return [{ path: field, label, group, own: name, value: shown, ...(choices ? { choices } : {}) }];
  }
  return Object.entries(value).flatMap(([key, inner]) => {
    if (NOT_SHOWN.has(key)) return [];
    const isPlace = /^\d+$/.test(key) && Array.isArray(value);
    const own = isPlace ? String(Number(key) + 1) : (LABELS[key] ?? key);
    return flatFigures(`${field}.${key}`, inner, unit, label, own);
  });
}

/** Figures that stand in one line: those of one list, or of one piece of a list. */
export interface FigureLine {
  readonly group: string;
  readonly figures: readonly FlatFigure[];
}

/** Figures line by line, in their order. */
export function figureLines(figures: readonly FlatFigure[]): FigureLine[] {
  const lines: { readonly group: string; readonly figures: FlatFigure[] }[] = [];
  for (const figure of figures) {
    const line = lines.at(-1);
    if (line?.group === figure.group) line.figures.push(figure);
    else lines.push({ group: figure.group, figures: [figure] });
  }
  return lines;
}

function shownAs(path: string, value: unknown, unit: WeightUnit): string {
  if (isMoney(path)) return String(Number(value) / 100);
  return isWeight(path) && unit !== 'kg' ? String(Number(fromKg(Number(value), unit).toPrecision(4))) : String(value);
}

/** The overrides with one figure put at its path; the whole field is overridden with it. */
export function fillIn(
  current: SpeciesSettings,
  overrides: Partial<SpeciesSettings>,
  path: string,
  value: string | number | boolean,
  unit: WeightUnit = 'kg',
): Partial<SpeciesSettings> {
  const [field = '', ...rest] = path.split('.');
  const kept =
    typeof value !== 'number'
      ? value
      : isMoney(path)
        ? Math.round(100 * value)
        : isWeight(path)
          ? toKg(value, unit)
          : value;
  return { ...overrides, [field]: replaced(current[field as keyof SpeciesSettings], rest, kept) };
}

function replaced(node: unknown, path: readonly string[], value: string | number | boolean): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(node)) return node.map((v: unknown, i) => (String(i) === key ? replaced(v, rest, value) : v));
  return { ...(node as object), [key]: replaced((node as Record<string, unknown>)[key], rest, value) };
}
