import { addDays, isoOf, type Day } from '../calendar';
import { openWithdrawals, type OpenWithdrawal } from '../remedies';
import { SPECIES_TABLE } from '../species';
import type { AnimalFacts } from './facts';
import type { DepartureWritten } from './kinds/departure';
import type { Refusal } from './refusals';

/** What of an animal may not be used on a day. Milk is asked only of those that give some by the end of it. */
export const withheldOn = (facts: AnimalFacts, asOf: Day): OpenWithdrawal[] =>
  openWithdrawals(facts.treatments, asOf).filter((w) => w.of === 'meat' || mayGiveMilkBy(facts, w.until));

/**
 * Whether a female may be in milk by a day: she has given birth, was served, or is of an age to have; of one whose age
 * is not known it is taken that she may. The age is the species' own, not the holding's: mated by accident counts too.
 */
function mayGiveMilkBy({ record: { sex, species, bornOn }, births, services }: AnimalFacts, day: Day): boolean {
  if (sex !== 'female') return false;
  if (births.length > 0 || services.length > 0 || bornOn === undefined) return true;
  const { femaleFirstMatingDays, gestationDays } = SPECIES_TABLE[species];
  return day >= addDays(bornOn, femaleFirstMatingDays + gestationDays.from);
}

/** The last day of what is withheld longest; undefined where nothing is. */
const lastOf = (withheld: readonly OpenWithdrawal[]): Day | undefined =>
  withheld.reduce<Day | undefined>((last, { until }) => (last === undefined || until > last ? until : last), undefined);

/**
 * What keeps an animal from leaving on a day: meat that is withheld does not go for slaughter, whatever the reason; sold
 * alive, the buyer has been told to which day something is withheld.
 */
export function checkLeaving({ how, toldUntil }: DepartureWritten, facts: AnimalFacts, day: Day): Refusal | undefined {
  if (how !== 'slaughtered' && how !== 'sold') return undefined;
  const withheld = withheldOn(facts, day);
  const last = lastOf(how === 'sold' ? withheld : withheld.filter((w) => w.of === 'meat'));
  if (last === undefined) return undefined;
  const until = isoOf(last);
  if (how === 'slaughtered')
    return { code: 'meat-withheld', field: 'how', value: how, until, clearOn: isoOf(addDays(last, 1)) };
  return toldUntil !== undefined && toldUntil >= until
    ? undefined
    : { code: 'buyer-not-told', field: 'toldUntil', value: toldUntil ?? '', until };
}
