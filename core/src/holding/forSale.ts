import { leavesByChoice, reservedOn, withheldOn, type AnimalFacts } from '../book';
import { addDays, type Day } from '../calendar';
import { normalised } from '../identity';
import { feltFat, type Felt } from '../selling';
import type { FatGroup, SpeciesSettings } from '../species';
import type { Days } from '../units';

/** How early one of its kind lays on fat: as the holding has it of its breed, else what is usual of the species. */
export function fatGroupOf(
  { strain }: { readonly strain: string | undefined },
  { selling, breeds }: Pick<SpeciesSettings, 'selling' | 'breeds'>,
): FatGroup {
  const own = strain === undefined ? undefined : breeds.find((b) => normalised(b.name) === normalised(strain));
  return own?.fatGroup ?? selling.fatGroup;
}

/** What stands between an animal and its sale, and how finished it was found. */
export interface SaleFacts {
  readonly ageDays: Days | undefined;
  /** Days on feed: since it was weaned, or came here if that was later. */
  readonly feedDays: Days | undefined;
  /** Until nothing of it is withheld for slaughter, and the day that is. */
  readonly clearIn: Days;
  readonly clearOn: Day | undefined;
  readonly oldEnoughIn: Days;
  readonly reservedFor: string | undefined;
  /** The last shape given by eye, and fat felt by hand as the mean of the places, in thirds. */
  readonly shape: { readonly on: Day; readonly step: number } | undefined;
  readonly felt: readonly Felt[];
}

/**
 * Whether one is looked at for sale: it was chosen to be sold or culled, or it is a young one that was not chosen to be
 * kept and has had no young itself.
 */
export function mayBeSold(facts: AnimalFacts, today: Day, settings: SpeciesSettings): boolean {
  if (leavesByChoice(facts)) return true;
  if (facts.choices.at(-1)?.decision === 'keep') return false;
  const { bornOn, sex } = facts.record;
  if (bornOn === undefined) return false;
  const isYoung = today - bornOn <= settings.choosing.youngDays;
  return isYoung && (sex !== 'female' || facts.births.length === 0);
}

/** The day its time on feed began: weaned, or bought after that. @returns undefined where neither is known */
export function feedFrom({ weanings, arrivedBy, arrivedOn }: AnimalFacts): Day | undefined {
  const weaned = weanings.findLast((w) => w.isDone)?.on;
  const bought = arrivedBy === 'bought' ? arrivedOn : undefined;
  return weaned === undefined || (bought !== undefined && bought > weaned) ? bought : weaned;
}

export function saleFacts(facts: AnimalFacts, today: Day, settings: SpeciesSettings): SaleFacts {
  const { bornOn } = facts.record;
  const begun = feedFrom(facts);
  const meat = withheldOn(facts, today).filter((w) => w.of === 'meat');
  const clearOn = meat.reduce<Day | undefined>((last, { until }) => {
    const clear = addDays(until, 1);
    return last === undefined || clear > last ? clear : last;
  }, undefined);
  const ageDays = bornOn === undefined ? undefined : today - bornOn;
  const looks = facts.finishes.filter((f) => f.on <= today);
  const shaped = looks.findLast((f) => f.shape !== undefined);
  return {
    ageDays,
    feedDays: begun === undefined ? undefined : today - begun,
    clearIn: clearOn === undefined ? 0 : clearOn - today,
    clearOn,
    oldEnoughIn: ageDays === undefined ? 0 : Math.max(0, settings.selling.leavesFromDays - ageDays),
    reservedFor: reservedOn(facts, today)?.buyer,
    shape: shaped?.shape === undefined ? undefined : { on: shaped.on, step: shaped.shape },
    felt: looks.flatMap(({ on, fat }): Felt[] => {
      const mean = feltFat(fat);
      return mean === undefined ? [] : [{ on, fat: mean }];
    }),
  };
}
