import { isoOf, weekOf, type Day } from '../calendar';

/** So many days, weeks and months a copy of each is kept. */
export const COPY_DAYS = 14;
export const COPY_WEEKS = 8;
export const COPY_MONTHS = 24;

/** A copy of the book, as far as it matters for how long it is kept. */
export interface DatedCopy {
  readonly name: string;
  /** The day it was made. */
  readonly on: Day;
  /** Orders those of one day. */
  readonly at: string;
  /** Asked for, or made before something that could go wrong: it stays as long as days do, though a later one of its day is there. */
  readonly isMilestone: boolean;
}

const monthOf = (day: Day): string => isoOf(day).slice(0, 7);
/** Months from one to another. */
const monthsBetween = (from: Day, to: Day): number => {
  const [year, month] = monthOf(to).split('-').map(Number) as [number, number];
  const [fromYear, fromMonth] = monthOf(from).split('-').map(Number) as [number, number];
  return (year - fromYear) * 12 + month - fromMonth;
};

/**
 * Which copies stay: the last one of each of 14 days, of 8 weeks and of 24 months, each counted with today's; those asked for
 * or made before something that could go wrong for 14 days; and the newest of all, however old it is. One dated later than today
 * was made under a wrong clock, and stays.
 * @param today the day on which it is asked
 * @returns names
 */
export function keptCopies(copies: readonly DatedCopy[], today: Day): ReadonlySet<string> {
  const newestFirst = [...copies].sort((a, b) => b.on - a.on || b.at.localeCompare(a.at) || (a.name < b.name ? 1 : -1));
  const taken = new Set<string>();
  const kept = new Set<string>();
  /** Of a stretch the newest stays. */
  const takes = (stretch: string): boolean => !taken.has(stretch) && Boolean(taken.add(stretch));
  newestFirst.forEach((copy, i) => {
    const { on } = copy;
    const isFresh = today - on < COPY_DAYS;
    const stays = [
      i === 0 || on > today || (isFresh && copy.isMilestone),
      isFresh && takes(`day ${on}`),
      weekOf(today, 'monday') - weekOf(on, 'monday') < COPY_WEEKS * 7 && takes(`week ${weekOf(on, 'monday')}`),
      monthsBetween(on, today) < COPY_MONTHS && takes(`month ${monthOf(on)}`),
    ];
    if (stays.includes(true)) kept.add(copy.name);
  });
  return kept;
}
