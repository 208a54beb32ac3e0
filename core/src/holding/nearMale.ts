import { groupOn, isPresent, type AnimalFacts } from '../book';
import type { Day } from '../calendar';
import type { Exposure } from '../mating';
import type { SpeciesSettings } from '../species';

/**
 * Whether a female may have met a male that sires in a stretch of days: one that ran with her group, or was in it and
 * old enough, or was somewhere here while nobody said where she or he was. One that came after those days was served
 * elsewhere.
 * @param males all of her species that are or were here
 */
export function wasNearMale(
  female: AnimalFacts,
  { from, to }: { readonly from: Day; readonly to: Day },
  {
    males,
    exposures,
    settings,
  }: {
    readonly males: readonly AnimalFacts[];
    readonly exposures: readonly Exposure[];
    readonly settings: SpeciesSettings;
  },
): boolean {
  if (female.arrivedOn !== undefined && female.arrivedOn > from) return true;
  const groups = new Set<string | undefined>();
  for (let day = from; day <= to; day++) groups.add(groupOn(female, day));
  const ran = (e: Exposure): boolean =>
    !e.isTeaser && groups.has(e.groupId) && e.from <= to && (e.to === undefined || e.to >= from);
  if (exposures.some(ran)) return true;
  const isGrown = ({ bornOn }: AnimalFacts['record'], on: Day): boolean =>
    bornOn === undefined || on - bornOn >= settings.mating.malesApartDays;
  return males.some((male) => {
    if (male.record.sex !== 'male' || !isGrown(male.record, to)) return false;
    for (let day = from; day <= to; day++) {
      if (!isPresent(male, day) || (male.arrivedOn ?? day) > day) continue;
      const his = groupOn(male, day);
      if (his === undefined || groups.has(undefined) || his === groupOn(female, day)) return true;
    }
    return false;
  });
}
