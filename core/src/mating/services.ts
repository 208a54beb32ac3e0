import { addDays, hoursBetween, type Day, type Moment } from '../calendar';
import { GESTATION_SLACK_DAYS, OVERDUE_DAYS, type SpeciesSettings } from '../species';
import { proportion, type Proportion } from '../statistics';
import type { AnimalId, Days } from '../units';

export const SERVICE_WAYS = ['hand', 'insemination', 'raddle', 'ran-with'] as const;
/** By hand, by straw, a mark read on a female that runs with a male, or only having run with him. */
export type ServiceWay = (typeof SERVICE_WAYS)[number];

/** A service as it is reckoned with. */
export interface Service {
  readonly on: Day;
  readonly at: Moment | undefined;
  readonly way: ServiceWay;
  /** Of one nobody saw: since when she ran with them; `on` is then the last day. */
  readonly since?: Day;
  /** All of the holding that may be the sire: one by hand, several where several males ran. */
  readonly maleIds: readonly AnimalId[];
  /** Beside them: the code of a straw, or a male that is not in the book, in words. */
  readonly straw?: string | undefined;
  readonly otherMale?: string | undefined;
}

/** Services of one heat, and what came of them. */
export interface Spell {
  readonly services: readonly Service[];
  readonly on: Day;
  readonly lastOn: Day;
  /** The males of its services, each once, the first first. */
  readonly maleIds: readonly AnimalId[];
  readonly outcome: Outcome;
  /**
   * Its time to give birth is over. Only such spells are counted into shares: a return is known within a month and a
   * birth after many, so that the young spells known already are nearly all failures.
   */
  readonly isRipe: boolean;
}

export type Outcome =
  /** She gave birth in its time. */
  | { readonly kind: 'born'; readonly on: Day; readonly young: number }
  /** She came on heat or was served again in a time that a cycle explains. */
  | { readonly kind: 'returned'; readonly on: Day; readonly days: Days }
  /** Her time to give birth is over and no birth was written down. */
  | { readonly kind: 'nothing-came' }
  /** Told otherwise: a test, or a loss. */
  | { readonly kind: 'empty'; readonly on: Day }
  /** Not known yet. */
  | { readonly kind: 'open' };

/** Services no further apart are of one heat. */
const SAME_HEAT_DAYS = 4;
/** A heat within so many days of a service is the same one, not a return. */
const RETURN_FROM_DAYS = 5;

/** A birth after so much of the shortest gestation may be of the service, if somebody says that it is. */
const BORN_EARLY_SHARE = 0.7;

export interface FemaleHistoryOfMating {
  readonly services: readonly Service[];
  /** Days she was seen on heat. */
  readonly heatDays: readonly Day[];
  readonly births: readonly { readonly on: Day; readonly young: number }[];
  /** Days a test or a hand told her empty. */
  readonly emptyOn: readonly Day[];
}

/**
 * Services put together by heat, in order, each with what came of it. A birth counts for the last spell whose
 * gestation fits it; a later heat or service within two and a half cycles is a return, and says that the earlier did
 * not hold; for species without a cycle any later service is one.
 */
export function spells(
  { services, heatDays, births, emptyOn }: FemaleHistoryOfMating,
  settings: Pick<SpeciesSettings, 'gestationDays' | 'heatCycleDays'>,
  asOf: Day,
): Spell[] {
  const groups: Service[][] = [];
  for (const s of [...services].sort((a, b) => a.on - b.on || (a.at ?? 0) - (b.at ?? 0))) {
    const last = groups.at(-1);
    if (last && s.on - (last.at(-1) as Service).on <= SAME_HEAT_DAYS) last.push(s);
    else groups.push([s]);
  }
  const bounds = groups.map((g) => {
    const first = g[0] as Service;
    return { on: first.since ?? first.on, lastOn: (g.at(-1) as Service).on };
  });
  const { gestationDays: g, heatCycleDays: c } = settings;
  const isNear = (birth: Day, lastOn: Day): boolean =>
    birth - lastOn >= BORN_EARLY_SHARE * g.from && birth - lastOn <= g.to + OVERDUE_DAYS;
  return groups.map((group, i) => {
    const { on, lastOn } = bounds[i] as (typeof bounds)[number];
    const fits = (birth: Day, b: { readonly on: Day; readonly lastOn: Day }): boolean =>
      birth >= addDays(b.on, g.from - GESTATION_SLACK_DAYS) && birth <= addDays(b.lastOn, g.to + GESTATION_SLACK_DAYS);
    const isHers = (birth: Day): boolean =>
      bounds.some((b) => fits(birth, b))
        ? fits(birth, { on, lastOn }) && !bounds.slice(i + 1).some((later) => fits(birth, later))
        : // Far too early or too late for all, and believed all the same: it ends the last one that could be meant.
          isNear(birth, lastOn) && !bounds.slice(i + 1).some((later) => isNear(birth, later.lastOn));
    const born = births.find((b) => isHers(b.on));
    const latest = c.mean > 0 ? Math.round(2.5 * c.mean) : g.from;
    const again = [...bounds.slice(i + 1).map((b) => b.on), ...heatDays]
      .filter((d) => d - lastOn >= RETURN_FROM_DAYS && d - lastOn <= latest && d <= asOf)
      .sort((a, b) => a - b)[0];
    const toldEmpty = emptyOn.find((d) => d > lastOn && d <= addDays(lastOn, g.to));
    const outcome = ((): Outcome => {
      if (born) return { kind: 'born', on: born.on, young: born.young };
      if (again !== undefined) return { kind: 'returned', on: again, days: again - lastOn };
      if (toldEmpty !== undefined) return { kind: 'empty', on: toldEmpty };
      return asOf > addDays(lastOn, g.to + GESTATION_SLACK_DAYS) ? { kind: 'nothing-came' } : { kind: 'open' };
    })();
    return {
      services: group,
      on,
      lastOn,
      maleIds: [...new Set(group.flatMap((s) => s.maleIds))],
      outcome,
      isRipe: asOf > addDays(lastOn, g.to + GESTATION_SLACK_DAYS),
    };
  });
}

/** Hours between the services of a spell, first to last; undefined where fewer than two have an hour. */
export function hoursInSpell({ services }: Pick<Spell, 'services'>): number | undefined {
  const at = services.flatMap((s) => s.at ?? []);
  const [first] = at;
  const last = at.at(-1);
  return at.length < 2 || first === undefined || last === undefined ? undefined : hoursBetween(first, last);
}

/** Share of ripe spells that took. @returns undefined without one */
export function shareTaken(all: readonly Spell[]): Proportion | undefined {
  const ripe = all.filter((s) => s.isRipe);
  return proportion(ripe.filter((s) => s.outcome.kind === 'born').length, ripe.length);
}
