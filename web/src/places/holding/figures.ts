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
import { say } from '@yaylak/contract';

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
    ['true', say('yes')],
    ['false', say('no')],
  ],
  weaningWay: [
    ['at-once', say('all at once')],
    ['by-weight', say('by weight')],
    ['biggest-first', say('biggest first')],
    ['two-steps', say('in two steps')],
  ] satisfies readonly (readonly [WeaningWay, string])[],
  heatSchool: [
    ['hours', say('by hours')],
    ['morning-evening', say('by morning and evening')],
  ] satisfies readonly (readonly [HeatSchool, string])[],
  fatGroup: [
    ['early', say('early')],
    ['middle', say('middle')],
    ['late', say('late')],
  ] satisfies readonly (readonly [FatGroup, string])[],
  killingKind: [
    ['lamb', say('as lambs')],
    ['kid', say('as kids')],
    ['rabbit', say('as rabbits')],
    ['beef', say('as beef cattle')],
    ['dairy-cross', say('as dairy crosses')],
    ['dairy', say('as dairy cattle')],
  ] satisfies readonly (readonly [KillingKind, string])[],
  grandparents: [
    ['forbidden', say('forbidden')],
    ['by-inbreeding', say('judged by inbreeding')],
  ] satisfies readonly (readonly [GrandparentRule, string])[],
};

const NOT_SHOWN = new Set(['kind', 'birthTypeBy']);
const LABELS: Readonly<Record<string, string>> = {
  bestFrom: say('best from'),
  bestTo: say('best to'),
  everyDays: say('every'),
  fromDays: say('from'),
  toDays: say('to'),
  birthType: say('born-reared'),
  aims: say('aim at'),
  more: say('more for a'),
  'first-timer': say('first-timer'),
  'many-reared': say('rearing triplets'),
  'heavy-milker': say('heavy milker'),
  shareWanted: say('share of the group at the aim'),
  thinUnder: say('thin, under the aim by'),
  fatOver: say('fat, over the aim by'),
  alarmUnder: say('alarm before birth under'),
  kgPerScoreShare: say('a score, as a share of weight'),
  daysPerScore: say('days to put on a score'),
  cycles: say('heat cycles the male stays'),
  maleCheckBefore: say('male check before'),
  weanedBefore: say('weaned before'),
  scoringBefore: say('scoring before'),
  flushingBefore: say('flushing from, before'),
  mineralsBefore: say('minerals before'),
  birthScoringBefore: say('scoring before birth'),
  birthMineralsBefore: say('minerals before birth'),
  afterBirthDays: say('days after a birth'),
  isUsed: say('asked for here'),
  priceMinor: say('price a head'),
  aimFirst: say('aim, in young after the first cycle'),
  aimSecond: say('after the second cycle'),
  aimLast: say('in the end'),
  keepPerDayMinor: say('feeding an empty one for a day'),
  lostIfSoldMinor: say('one in young is worth more than a cull by'),
  serveAgainMinor: say('putting her to the male again'),
  lateYoungMinor: say('young born late are worth less by'),
  secondChances: say('empty seasons allowed'),
  daysBefore: say('days before the birth'),
  slackDays: say('days early or late at the most'),
  colostrumHours: say('colostrum within, hours'),
  afterbirthHours: say('afterbirth held back after, hours'),
  bondingDays: say('in the pen of the birth, days for one young'),
  mixingDays: say('with other dams up to, days old'),
  weaningWay: say('weaned'),
  deadAskedFrom: say('born dead, asked about from'),
  weaningKg: say('heavy enough to wean'),
  stepDays: say('small ones or second step later by'),
  litterDailyDays: say('litter weighed together daily up to'),
  eachDailyDays: say('each weighed daily up to'),
  youngByBirth: say('young over the usual at birth'),
  youngSd: say('spread of the young of a birth'),
  conceptionShare: say('share of heats served that take'),
  processingAfter: say('first handling after birth'),
  damAge: say("dam's age"),
  firstMatingShare: say('of grown weight at first mating'),
  heatsSkipped: say('heats skipped before first mating'),
  scoreLeast: say('condition score at least'),
  maleFirstDays: say('male used from, days old'),
  maleGrownDays: say('male grown at, days old'),
  maleOldYears: say('male old from, years'),
  malesApartDays: say('males apart from, days old'),
  maleShareLeast: say('share that takes, replace a male under'),
  maleServicesPerWeek: say('services a week, then a male rests'),
  maleCheckGoodDays: say('a male check is good for, days'),
  signsNeeded: say('signs that must agree, where standing was not seen'),
  heatSchool: say('served'),
  heatsSeenShare: say('share of heats that are seen'),
  inbreedingMost: say('inbreeding of the young at most'),
  grandparents: say('with grandparents'),
  affectedLeast: say('forbidden from this chance of an affected young'),
  alleleFrequency: say('frequency of the recessive gene'),
  widestCropDays: say('a crop spans, days at most'),
  youngDays: say('young to, days old'),
  baseYears: say('base years of breeding values'),
  youngMinor: say('worth of a young at weaning'),
  cullMinor: say('worth of a cull'),
  replacementMinor: say('price of a replacement'),
  usefulYears: say('years a female is used'),
  matedAtYears: say('first mated at, years'),
  rearedByAge: say('young reared by age, share of a grown female'),
  diesShare: say('share that dies in a year'),
  culledByAge: say('share culled in a year, by age'),
  daughtersAYear: say('young females to one year, a female a year'),
  keepMinorADay: say('feed and keep of one that waits, a day'),
  interestAYear: say('interest a year, as a share'),
  diesADay: say('chance to die on a day of waiting'),
  feedDaysMost: say('on feed at most, days'),
  leavesFromDays: say('leaves from, days old'),
  fatGroup: say('goes fat'),
  killingKind: say('kills out'),
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
    const own = isPlace ? String(Number(key) + 1) : (LABELS[key] ?? say(key));
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
