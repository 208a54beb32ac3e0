import { isPresent, leavesByChoice, type AnimalFacts } from '../book';
import { addYears, type Day } from '../calendar';
import type { FemaleSeen, HerdTable } from '../choosing';
import type { SpeciesSettings } from '../species';
import { mean } from '../statistics';

const MEAN_YEAR_DAYS = 365.25;

type Choosing = SpeciesSettings['choosing'];

/**
 * A female as her years in the herd are counted: from the age of the first mating on, or from the day she came where she
 * was older; undefined without a birth date.
 * @param young those known as her young, of whichever parent
 */
export function femaleSeen(
  { record, arrivedOn, departures }: AnimalFacts,
  young: readonly AnimalFacts[],
  { matedAtYears }: Choosing,
): FemaleSeen | undefined {
  const { id, bornOn } = record;
  if (bornOn === undefined) return undefined;
  const ofAge = addYears(bornOn, matedAtYears);
  const left = departures[0];
  return {
    bornOn,
    bredFrom: Math.max(ofAge, arrivedOn ?? ofAge) as Day,
    leftOn: left?.on,
    hasDied: left?.how === 'died',
    daughters: young.flatMap((one) => {
      if (one.record.bornOn === undefined || one.record.damId !== id || one.record.sex !== 'female') return [];
      const gone = one.departures[0];
      return [{ bornOn: one.record.bornOn, diedOn: gone?.how === 'died' ? gone.on : undefined }];
    }),
  };
}

/** Young females here that are not in the herd yet, less those chosen to go. */
export function comingFemales(animals: readonly AnimalFacts[], { matedAtYears }: Choosing, today: Day): AnimalFacts[] {
  return animals.filter((facts) => {
    const { sex, bornOn } = facts.record;
    if (sex !== 'female' || bornOn === undefined || !isPresent(facts, today)) return false;
    return addYears(bornOn, matedAtYears) > today && !leavesByChoice(facts);
  });
}

/** The holding's table of a year by age; one of another age than the usual brings more or fewer daughters as its young reared. */
export function herdTable(choosing: Choosing): HerdTable['table'] {
  const at = (list: readonly number[], years: number): number => list[Math.min(years, list.length - 1)] ?? 0;
  const usual = mean(choosing.rearedByAge.slice(choosing.matedAtYears)) ?? 1;
  return (age) => ({
    died: choosing.diesShare,
    culled: at(choosing.culledByAge, age),
    young: (choosing.daughtersAYear * at(choosing.rearedByAge, age)) / usual,
  });
}

/** Mean age of the dams, or of the sires, at the births of a crop, years; undefined where no birth date of theirs is known. */
export function parentAgeYears(
  crop: readonly AnimalFacts[],
  parent: 'damId' | 'sireId',
  bornOnOf: (id: string) => Day | undefined,
): number | undefined {
  return mean(
    crop.flatMap(({ record }) => {
      const id = record[parent];
      const born = id === undefined ? undefined : bornOnOf(id);
      return born === undefined || record.bornOn === undefined ? [] : [(record.bornOn - born) / MEAN_YEAR_DAYS];
    }),
  );
}
