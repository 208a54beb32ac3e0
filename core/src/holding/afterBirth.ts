import type { Birth } from '../births';
import type { AnimalFacts } from '../book';
import { addDays, type Day, type Window } from '../calendar';
import type { SpeciesSettings } from '../species';

/** Handling, going on and what a dam needs are asked for so long after a birth. */
const ASKED_DAYS = 30;

/** No longer than this is a dam's young taken for hers that she was given after a birth of her own. */
const FOSTERED_DAYS = 365;

/** No birth before this day is asked about: of one that left young behind, none is of an age to be fed any more. */
export const birthsAskedSince = ({ weaningDays }: Pick<SpeciesSettings, 'weaningDays'>, today: Day): Day =>
  addDays(today, -Math.max(ASKED_DAYS, weaningDays.closes + FOSTERED_DAYS));

/** Whether a birth is still asked about: of a month for a dam that is here, longer of one that left young behind. */
export const isBirthAskedAbout = (
  birth: Pick<Birth, 'on'>,
  { isHere, orphans }: { readonly isHere: boolean; readonly orphans: () => number },
  today: Day,
): boolean => birth.on <= today && (isHere ? today - birth.on <= ASKED_DAYS : orphans() > 0);

/** When the young of a birth are weighed and tagged for the first time. */
export function handlingWindow({ on }: Pick<Birth, 'on'>, { season }: Pick<SpeciesSettings, 'season'>): Window {
  const after = season.processingAfter;
  return {
    opens: addDays(on, Math.max(0, after - 1)),
    bestFrom: addDays(on, after),
    bestTo: addDays(on, after + 1),
    closes: addDays(on, after + 5),
  };
}

/**
 * From when one that never wore anything is tagged, while that is still to come: its first handling, or where the young
 * stay in the nest their weaning.
 * @returns undefined for one that may be tagged now, wore something, or whose birth is not known
 */
export function taggedFrom(
  { record: { bornOn }, identifiers, weanings }: AnimalFacts,
  settings: Pick<SpeciesSettings, 'rearing' | 'season' | 'weaningDays'>,
  today: Day,
): Day | undefined {
  if (bornOn === undefined || identifiers.length > 0) return undefined;
  const isInNest = settings.rearing.bondingDays === 0;
  if (isInNest && (weanings.some((w) => w.isDone) || today > addDays(bornOn, settings.weaningDays.closes)))
    return undefined;
  const from = isInNest
    ? addDays(bornOn, settings.weaningDays.bestFrom)
    : handlingWindow({ on: bornOn }, settings).opens;
  return isInNest || today < from ? from : undefined;
}

/** Young of a birth that are here and wear nothing yet. Where they stay in the nest they get their marks at weaning. */
export const youngToHandle = (
  young: readonly AnimalFacts[],
  { rearing }: Pick<SpeciesSettings, 'rearing'>,
): AnimalFacts[] =>
  rearing.bondingDays === 0 ? [] : young.filter((f) => f.departures.length === 0 && f.identifiers.length === 0);
