import type { Birth } from '../births';
import type { Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import { BY_HAND, ONE_LITTER_DAYS, rearedBy, type Reared } from './rearedBy';
import type { AnimalId, Days } from '../units';

/** A litter as it is reared: whom one dam has now. */
export interface LitterOfDam {
  /** Undefined where they are reared by hand. */
  readonly damId: AnimalId | undefined;
  readonly bornOn: Day;
  readonly young: readonly Reared[];
  /** Her own birth they are of; undefined where all are another's. */
  readonly birth: Birth | undefined;
}

/**
 * Young by who rears them today, parted by their age, the oldest litter first.
 * @param young that are here and not past the age of weaning
 */
export function littersReared(
  young: readonly Reared[],
  birthsOf: (damId: AnimalId) => readonly Birth[],
  today: Day,
): LitterOfDam[] {
  const byDam = new Map<string, Reared[]>();
  for (const one of young) {
    const by = rearedBy(one, today);
    if (by === undefined) continue;
    const own = byDam.get(by);
    if (own) own.push(one);
    else byDam.set(by, [one]);
  }
  return [...byDam]
    .flatMap(([by, all]) =>
      parted(all).map((own): LitterOfDam => {
        const bornOn = own[0]?.bornOn ?? today;
        const damId = by === BY_HAND ? undefined : by;
        const birth = damId === undefined ? undefined : birthsOf(damId).find((b) => isOneLitter(b.on, bornOn));
        return { damId, bornOn: birth?.on ?? bornOn, young: own, birth };
      }),
    )
    .sort((a, b) => a.bornOn - b.bornOn);
}

/** Born near enough to be reared as one. */
export const isOneLitter = (a: Day, b: Day): boolean => Math.abs(a - b) <= ONE_LITTER_DAYS;

/** Young of one dam as litters by their age. */
function parted(all: readonly Reared[]): Reared[][] {
  const litters: Reared[][] = [];
  for (const young of [...all].sort((a, b) => a.bornOn - b.bornOn)) {
    const last = litters.at(-1);
    if (last?.[0] && young.bornOn - last[0].bornOn <= ONE_LITTER_DAYS) last.push(young);
    else litters.push([young]);
  }
  return litters;
}

/** After the daily stretch each is weighed once a week. */
const WEEK = 7;

/**
 * How a litter is to be weighed today by the holding's school; undefined where it was, or is not daily.
 * @param daysWithout days since it was weighed; undefined where it never was
 */
export function litterWeighing(
  { rearing }: Pick<SpeciesSettings, 'rearing'>,
  ageDays: Days,
  daysWithout: number | undefined,
): 'together' | 'each' | undefined {
  if (daysWithout === 0 || ageDays === 0) return undefined;
  if (ageDays <= rearing.litterDailyDays) return 'together';
  if (ageDays <= rearing.eachDailyDays) return 'each';
  return rearing.eachDailyDays > 0 && (daysWithout ?? Infinity) >= WEEK ? 'each' : undefined;
}
