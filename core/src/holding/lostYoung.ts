import type { AnimalFacts } from '../book';
import type { DeathCause } from '../births';
import { addDays, type Day } from '../calendar';
import type { SpeciesSettings } from '../species';
import type { AnimalId, Days } from '../units';

/** A young that died before it was weaned. */
export interface LostYoung {
  readonly facts: AnimalFacts;
  readonly on: Day;
  readonly ageDays: Days;
  /** Who reared it then; undefined by hand, or where nobody knows. */
  readonly damId: AnimalId | undefined;
  /** Undefined where none was written down. */
  readonly cause: DeathCause | undefined;
}

/** Losses are told of for so many days. */
export const LOSSES_TOLD_DAYS = 550;

/** Young lost before the age of weaning closes, of the days that are told of, the latest first. */
export function lostYoung(
  all: readonly AnimalFacts[],
  { weaningDays }: Pick<SpeciesSettings, 'weaningDays'>,
  today: Day,
): LostYoung[] {
  return all
    .flatMap((facts): LostYoung[] => {
      const { bornOn, damId } = facts.record;
      const died = facts.departures.find((d) => d.how === 'died');
      if (bornOn === undefined || !died) return [];
      const ageDays = died.on - bornOn;
      if (ageDays > weaningDays.closes || died.on < addDays(today, -LOSSES_TOLD_DAYS)) return [];
      const last = facts.fosterings.findLast((f) => f.on <= died.on);
      return [{ facts, on: died.on, ageDays, damId: last ? last.damId : damId, cause: died.cause }];
    })
    .sort((a, b) => b.on - a.on);
}
