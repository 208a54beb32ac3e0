import type { SpeciesSettings } from '@yaylak/core';

export interface FlatFigure {
  /** `weaningDays.opens`. */
  readonly path: string;
  readonly label: string;
  readonly value: string;
}

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
  'many-reared': 'rearer of three',
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
  isUsed: 'asked for here (1) or not (0)',
  priceMinor: 'price a head',
  aimFirst: 'aim, in young after the first cycle',
  aimSecond: 'after the second cycle',
  aimLast: 'in the end',
  keepPerDayMinor: 'feeding an empty one for a day',
  lostIfSoldMinor: 'one in young is worth more than a cull by',
  serveAgainMinor: 'putting her to the male again',
  lateYoungMinor: 'young born late are worth less by',
  secondChances: 'seasons without a birth forgiven',
  daysBefore: 'days before the birth',
  slackDays: 'days early or late at the most',
  colostrumHours: 'first milk within, hours',
  afterbirthHours: 'afterbirth held back after, hours',
  bondingDays: 'in the pen of the birth, days for one young',
  mixingDays: 'with other dams up to, days old',
  weaningWay: 'weaned 1 at once, 2 by weight, 3 biggest first, 4 in two steps',
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
  heatsSkipped: 'heats let go by first',
  scoreLeast: 'condition score at least',
  maleFirstDays: 'male used from, days old',
  maleGrownDays: 'male grown at, days old',
  maleOldYears: 'male old from, years',
  malesApartDays: 'males apart from, days old',
  maleShareLeast: 'share that takes, replace a male under',
  maleServicesPerWeek: 'services a week, then a male rests',
  maleCheckGoodDays: 'a male check is good for, days',
  signsNeeded: 'signs that must agree, where standing was not seen',
  morningEvening: 'serve by hours (0) or by morning and evening (1)',
  heatsSeenShare: 'share of heats that are seen',
  inbreedingMost: 'inbreeding of the young at most',
  grandparents: 'grandparents forbidden (1) or judged by inbreeding (0)',
  affectedLeast: 'forbidden from this chance of an affected young',
  alleleFrequency: 'a disorder in the untested base',
};

/** Money is kept in hundredths and typed whole. */
const isMoney = (path: string): boolean => path.endsWith('Minor');

/** A setting's figures one by one, each with the path to put it back. */
export function flatFigures(field: string, value: unknown, label = ''): FlatFigure[] {
  if (typeof value !== 'object' || value === null)
    return [{ path: field, label, value: isMoney(field) ? String(Number(value) / 100) : String(value) }];
  return Object.entries(value).flatMap(([key, inner]) => {
    if (NOT_SHOWN.has(key)) return [];
    const isPlace = /^\d+$/.test(key) && Array.isArray(value);
    const own = isPlace ? String(Number(key) + 1) : (LABELS[key] ?? key);
    return flatFigures(`${field}.${key}`, inner, label && !isPlace ? `${label} ${own}` : own);
  });
}

/** The overrides with one figure put at its path; the whole field is overridden with it. */
export function fillIn(
  current: SpeciesSettings,
  overrides: Partial<SpeciesSettings>,
  path: string,
  value: string | number,
): Partial<SpeciesSettings> {
  const [field = '', ...rest] = path.split('.');
  const kept = isMoney(path) && typeof value === 'number' ? Math.round(100 * value) : value;
  return { ...overrides, [field]: replaced(current[field as keyof SpeciesSettings], rest, kept) };
}

function replaced(node: unknown, path: readonly string[], value: string | number): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(node)) return node.map((v: unknown, i) => (String(i) === key ? replaced(v, rest, value) : v));
  return { ...(node as object), [key]: replaced((node as Record<string, unknown>)[key], rest, value) };
}
