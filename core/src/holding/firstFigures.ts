import { addDays, type Day } from '../calendar';
import { isFemaleOfAge } from '../mating';
import { SPECIES, SPECIES_WORDS, type Sex, type Species, type SpeciesSettings } from '../species';
import { meanWithRange } from '../statistics';
import type { AnimalId, Days, Kilograms } from '../units';

/** An animal as a book of one day knows it. */
export interface JustKnown {
  readonly animalId: AnimalId;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: Day | undefined;
  /** Its last weight. */
  readonly kg: Kilograms | undefined;
}

/** Something worked out from the first records of a book. */
export type FirstFigure =
  | {
      readonly kind: 'weights';
      readonly species: Species;
      readonly weighed: number;
      readonly meanKg: Kilograms;
      /** The mean is off by as much, in four cases of five. */
      readonly halfWidth: Kilograms;
      readonly lightest: { readonly animalId: AnimalId; readonly kg: Kilograms };
      readonly heaviest: { readonly animalId: AnimalId; readonly kg: Kilograms };
    }
  | {
      readonly kind: 'births';
      readonly species: Species;
      /** Grown females, and those whose birth is not known. */
      readonly females: number;
      /** If a male goes in today: the first births that are usual, and the last while he stays as long as is set. */
      readonly from: Day;
      readonly to: Day;
      readonly stays: Days;
    }
  | {
      readonly kind: 'first-mating';
      readonly species: Species;
      /** Females too young to be mated yet. */
      readonly young: number;
      /** The first of them is old enough then. */
      readonly on: Day;
      /** What she should weigh; undefined while too few of the grown have been weighed. */
      readonly leastKg: Kilograms | undefined;
    };

/** Of fewer a mean says little. */
const LEAST_WEIGHED = 3;

/**
 * What a book tells on its first day, before there is anything to compare with: how heavy the grown females are and
 * who stands out, when births would be if a male went in today, and when the young females can be mated.
 */
export function firstFigures(
  animals: readonly JustKnown[],
  settings: Readonly<Record<Species, SpeciesSettings>>,
  today: Day,
): FirstFigure[] {
  return SPECIES.flatMap((species) => ofSpecies(species, animals, settings[species], today));
}

function ofSpecies(
  species: Species,
  animals: readonly JustKnown[],
  settings: SpeciesSettings,
  today: Day,
): FirstFigure[] {
  const own = animals.filter((a) => a.species === species);
  const females = own.filter((a) => a.sex === 'female');
  const { grownFromDays } = SPECIES_WORDS[species];
  const grown = females.filter((a) => a.bornOn === undefined || today - a.bornOn >= grownFromDays);
  const weights = weightsOf(species, grown);
  const young = females.filter((a) => a.bornOn !== undefined && !isFemaleOfAge(a.bornOn, settings, today));
  return [
    ...(weights ? [weights] : []),
    ...(grown.length > 0 ? [birthsIf(species, grown.length, settings, today)] : []),
    ...(young.length > 0
      ? [
          {
            kind: 'first-mating',
            species,
            young: young.length,
            on: addDays(Math.min(...young.map((a) => a.bornOn ?? today)) as Day, settings.femaleFirstMatingDays),
            leastKg: weights && ((weights.meanKg * settings.mating.firstMatingShare) as Kilograms),
          } as const,
        ]
      : []),
  ];
}

function weightsOf(species: Species, grown: readonly JustKnown[]) {
  const weighed = grown.flatMap(({ animalId, kg }) => (kg === undefined ? [] : [{ animalId, kg }]));
  const range = meanWithRange(weighed.map((w) => w.kg));
  const sorted = weighed.toSorted((a, b) => a.kg - b.kg);
  const [lightest] = sorted;
  const heaviest = sorted.at(-1);
  if (weighed.length < LEAST_WEIGHED || !range || !lightest || !heaviest) return undefined;
  return {
    kind: 'weights',
    species,
    weighed: weighed.length,
    meanKg: range.mean,
    halfWidth: range.halfWidth,
    lightest,
    heaviest,
  } as const;
}

function birthsIf(
  species: Species,
  females: number,
  { gestationDays, heatCycleDays, season }: SpeciesSettings,
  today: Day,
): FirstFigure {
  // Where mating brings the heat on, one day does.
  const stays = Math.max(0, season.cycles * heatCycleDays.mean);
  return {
    kind: 'births',
    species,
    females,
    from: addDays(today, gestationDays.from),
    to: addDays(today, stays + gestationDays.to),
    stays: stays as Days,
  };
}
