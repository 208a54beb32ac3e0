import { addYears, completedMonths, type Day } from '../calendar';
import { quantileSorted, seededRandom } from '../statistics';

/** What was seen of females of one age at the start of a year, with the shares of the table beside it. */
export interface ClassSeen {
  /** Females now. */
  readonly head: number;
  /** Female years on record. */
  readonly years: number;
  readonly died: number;
  readonly culled: number;
  /** Young of the wanted sex that came to a year. */
  readonly young: number;
  readonly table: { readonly died: number; readonly culled: number; readonly young: number };
}

/** Shares used of a class: its own records drawn to the table. */
export interface ClassShares {
  readonly head: number;
  readonly died: number;
  readonly culled: number;
  /** Stays in the herd to the next year. */
  readonly stays: number;
  readonly young: number;
  /** How far the own records count, 0 to 1. */
  readonly ownWeight: number;
}

/** The table counts as so many female years. */
const TABLE_YEARS = 20;

/** (events + 20 x table)/(n + 20); who stays is neither dead nor culled. */
export function sharesOf({ head, years, died, culled, young, table }: ClassSeen): ClassShares {
  const drawn = (events: number, share: number): number => (events + TABLE_YEARS * share) / (years + TABLE_YEARS);
  const [dead, gone] = [drawn(died, table.died), drawn(culled, table.culled)];
  return {
    head,
    died: dead,
    culled: gone,
    stays: Math.max(0, 1 - dead - gone),
    young: drawn(young, table.young),
    ownWeight: years / (years + TABLE_YEARS),
  };
}

export interface HerdQuestion {
  /** By years of age at mating, from those mated for the first time; the last stays in itself. */
  readonly classes: readonly ClassShares[];
  /** Females wanted at the start of mating. */
  readonly wanted: number;
  /** Young kept a year; undefined keeps as many as are needed. */
  readonly kept?: number | undefined;
  /** From this class on they go; undefined has no limit. */
  readonly ageLimit?: number | undefined;
  /** Years from birth to the first mating, 1 or 2. */
  readonly matedAt: 1 | 2;
  /** Young females there now that will enter in one year and, where first mated at two, in two. */
  readonly coming: readonly number[];
}

export interface HerdYear {
  /** Years from now. */
  readonly year: number;
  /** Of those there the year before. */
  readonly survivors: number;
  /** Young needed to hold the number wanted, and young there to enter. */
  readonly needed: number;
  readonly entering: number;
  readonly short: number;
  readonly head: number;
  readonly meanAge: number;
}

export const YEARS_AHEAD = 5;

const sum = (list: readonly number[]): number => list.reduce((s, v) => s + v, 0);

/** The herd five years ahead, by the mean of each share: a matrix of ages. */
export function projectHerd(question: HerdQuestion): HerdYear[] {
  return project(question, {
    survivors: (head, share) => head * share,
    born: (head, share) => head * share,
  });
}

interface Draws {
  readonly survivors: (head: number, share: number) => number;
  readonly born: (head: number, share: number) => number;
}

function project(question: HerdQuestion, draws: Draws): HerdYear[] {
  const { classes, wanted, kept, ageLimit = Infinity, matedAt } = question;
  let heads = classes.map((c) => c.head);
  // Who is born in a year enters `matedAt` years on; those already here come first.
  const waiting = [...question.coming];
  const years: HerdYear[] = [];
  for (let year = 1; year <= YEARS_AHEAD; year++) {
    const born = sum(heads.map((head, i) => draws.born(head, (classes[i] as ClassShares).young)));
    const grown = heads.map((head, i) => draws.survivors(head, (classes[i] as ClassShares).stays));
    const next = classes.map((_, i) => {
      const older = i === classes.length - 1 ? (grown[i - 1] ?? 0) + (grown[i] ?? 0) : (grown[i - 1] ?? 0);
      return i === 0 || i >= ageLimit ? 0 : older;
    });
    const survivors = sum(next);
    const available = waiting.shift() ?? 0;
    waiting.length = Math.max(0, matedAt - 1);
    waiting[matedAt - 1] = born;
    const needed = Math.max(0, wanted - survivors);
    const entering = Math.min(available, kept ?? needed);
    next[0] = entering;
    heads = next;
    const head = sum(heads);
    years.push({
      year,
      survivors,
      needed,
      entering,
      short: Math.max(0, needed - entering),
      head,
      meanAge: head === 0 ? 0 : sum(heads.map((n, i) => n * (i + matedAt))) / head,
    });
  }
  return years;
}

export interface HerdBand {
  readonly year: number;
  readonly survivors: readonly [low: number, high: number];
  readonly needed: readonly [low: number, high: number];
  readonly head: readonly [low: number, high: number];
}

const RUNS = 1_000;

/** 10 and 90 % points of the same, with each female's fate drawn by chance. */
export function herdBands(question: HerdQuestion, { seed = 1, runs = RUNS } = {}): HerdBand[] {
  const random = seededRandom(seed);
  const binomial = (head: number, share: number): number => {
    let count = 0;
    for (let i = 0; i < head; i++) if (random.chance(share)) count++;
    return count;
  };
  const whole = { ...question, coming: question.coming.map(Math.round) };
  const all = Array.from({ length: runs }, () =>
    project(whole, {
      survivors: binomial,
      // More than one young a female: whole ones for sure, the rest by chance.
      born: (head, share) => head * Math.floor(share) + binomial(head, share - Math.floor(share)),
    }),
  );
  return Array.from({ length: YEARS_AHEAD }, (_, i): HerdBand => {
    const band = (of: (y: HerdYear) => number): readonly [number, number] => {
      const sorted = all.map((run) => of(run[i] as HerdYear)).sort((a, b) => a - b);
      return [quantileSorted(sorted, 0.1) ?? 0, quantileSorted(sorted, 0.9) ?? 0];
    };
    return {
      year: i + 1,
      survivors: band((y) => y.survivors),
      needed: band((y) => y.needed),
      head: band((y) => y.head),
    };
  });
}

/** A female as her years in the herd are counted. */
export interface FemaleSeen {
  readonly bornOn: Day;
  /** In the herd since her first service or birth, or since she came. */
  readonly bredFrom: Day;
  readonly leftOn: Day | undefined;
  readonly hasDied: boolean;
  /** Daughters, and when one died. */
  readonly daughters: readonly { readonly bornOn: Day; readonly diedOn: Day | undefined }[];
}

export interface HerdTable {
  readonly classes: number;
  /** Whole years of age of the first class. */
  readonly firstAge: number;
  readonly table: (ageYears: number) => ClassSeen['table'];
}

const YEAR_DAYS = 365;
/** Years looked back over. */
const SEEN_YEARS = 5;

/**
 * Females by whole years of age today, with what became of those of each age in the five years before, each year counted
 * from the same day: who died or was culled in it, and daughters born in it that did not die in their first year.
 */
export function herdSeen(
  females: readonly FemaleSeen[],
  today: Day,
  { classes, firstAge, table }: HerdTable,
): ClassSeen[] {
  const seen = Array.from({ length: classes }, (_, i) => ({
    head: 0,
    years: 0,
    died: 0,
    culled: 0,
    young: 0,
    table: table(firstAge + i),
  }));
  const classOn = (f: FemaleSeen, on: Day): (typeof seen)[number] | undefined => {
    if (f.bredFrom > on || (f.leftOn !== undefined && f.leftOn <= on)) return undefined;
    const age = Math.floor(completedMonths(f.bornOn, on) / 12) - firstAge;
    return seen[Math.max(0, Math.min(classes - 1, age))];
  };
  const years = Array.from({ length: SEEN_YEARS }, (_, i) => ({
    from: addYears(today, i - SEEN_YEARS),
    to: addYears(today, i + 1 - SEEN_YEARS),
  }));
  for (const female of females) {
    const now = classOn(female, today);
    if (now) now.head++;
    for (const { from, to } of years) {
      const then = classOn(female, from);
      if (!then) continue;
      then.years++;
      if (female.leftOn !== undefined && female.leftOn <= to) then[female.hasDied ? 'died' : 'culled']++;
      then.young += female.daughters.filter(
        (d) => d.bornOn > from && d.bornOn <= to && (d.diedOn === undefined || d.diedOn - d.bornOn > YEAR_DAYS),
      ).length;
    }
  }
  return seen;
}
