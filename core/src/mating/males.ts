import { addDays, windowAfter, type Day, type Window } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { Proportion } from '../statistics';
import { isMaleGrown } from './ofAge';
import { shareTaken, type Spell } from './services';
import type { AnimalId, GroupId } from '../units';

/** Parts of a male looked at before the season. */
export const MALE_PARTS = ['feet', 'teeth', 'testicles', 'condition', 'temper'] as const;
export type MalePart = (typeof MALE_PARTS)[number];
export const PART_GRADES = ['good', 'watch', 'fail'] as const;
export type PartGrade = (typeof PART_GRADES)[number];

/** A male with a group of females, from the day he was put in until he was taken out. */
export interface Exposure {
  readonly maleId: AnimalId;
  readonly groupId: GroupId;
  readonly from: Day;
  readonly to: Day | undefined;
  /** Finds heats and sires nothing. */
  readonly isTeaser: boolean;
  /** He wears colour, and whom he serves wears his mark. */
  readonly isRaddled: boolean;
}

/** Males that ran with a group on a day, teasers left out. */
export const malesWith = (exposures: readonly Exposure[], groupId: GroupId, on: Day): string[] =>
  exposures
    .filter((e) => !e.isTeaser && e.groupId === groupId && e.from <= on && (e.to === undefined || e.to >= on))
    .map((e) => e.maleId);

/** Share of a male's spells that took. A spell that may be another male's says nothing of him. */
export const conceptionShare = (spells: readonly Spell[], maleId: AnimalId): Proportion | undefined =>
  shareTaken(spells.filter((s) => s.maleIds.length === 1 && s.maleIds[0] === maleId));

/** Spells by each male that may have sired in them. */
export function spellsByMale(spells: readonly Spell[]): ReadonlyMap<string, readonly Spell[]> {
  const byMale = new Map<string, Spell[]>();
  for (const spell of spells)
    for (const maleId of spell.maleIds) {
      const own = byMale.get(maleId);
      if (own) own.push(spell);
      else byMale.set(maleId, [spell]);
    }
  return byMale;
}

/** Days of the services a male did himself and alone: a straw costs him nothing, and of a mark of two nobody knows whose. */
export const serviceDaysOf = (spells: readonly Spell[], maleId: AnimalId): Day[] =>
  spells.flatMap(({ services }) =>
    services.flatMap(({ way, maleIds, on }) =>
      way !== 'insemination' && maleIds.length === 1 && maleIds[0] === maleId ? [on] : [],
    ),
  );

/** How many females a male of this age can serve. */
export const capacityOf = (
  bornOn: Day | undefined,
  settings: Pick<SpeciesSettings, 'femalesPerMale' | 'mating'>,
  asOf: Day,
): number => settings.femalesPerMale[isMaleGrown(bornOn, settings, asOf) ? 'grown' : 'young'];

const WEEK_DAYS = 7;

/**
 * Until when a male rests: the first day on which fewer than `perWeek` of his services lie in the week before.
 * @param serviceDays  a day for each service, in any order; two on one day are two
 * @returns undefined where he need not rest
 */
export function restsUntil(serviceDays: readonly Day[], perWeek: number, asOf: Day): Day | undefined {
  const lately = serviceDays.filter((d) => d <= asOf && d > asOf - WEEK_DAYS).sort((a, b) => a - b);
  // The one whose week must be over before he is under the limit again.
  const last = lately[lately.length - Math.max(1, Math.floor(perWeek))];
  return last === undefined ? undefined : addDays(last, WEEK_DAYS);
}

/** How many services a week a male of this age may do. */
export const servicesPerWeekOf = (
  bornOn: Day | undefined,
  settings: Pick<SpeciesSettings, 'mating'>,
  asOf: Day,
): number => settings.mating.maleServicesPerWeek / (isMaleGrown(bornOn, settings, asOf) ? 1 : 2);

/** When a young male is to be parted from the females. */
export const partingWindow = (bornOn: Day, { mating }: Pick<SpeciesSettings, 'mating'>): Window => {
  const apart = mating.malesApartDays;
  const early = Math.round(apart * 0.2);
  return windowAfter(bornOn, {
    opens: apart - early,
    bestFrom: apart - Math.round(early / 2),
    bestTo: apart,
    closes: apart + Math.round(early / 2),
  });
};
