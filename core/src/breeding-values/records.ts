import { quarterOf, yearOf, type Day } from '../calendar';
import { referenceKg } from '../condition';
import { contemporaryGroups, growthCurve, shareGrown, type Reading } from '../growth';
import type { Sex, Species, SpeciesSettings } from '../species';
import type { AnimalId, GroupId, Kilograms } from '../units';
import type { TraitRecord } from './breedingValues';

/** A young's weight at the standard age, after the factors of sex, birth type and dam's age. */
export interface GrownSoFar {
  readonly animalId: AnimalId;
  readonly species: Species;
  readonly bornOn: Day;
  readonly damId: AnimalId | undefined;
  readonly kg: Kilograms;
  /** The group it stood in on the day it was weighed. */
  readonly groupId: GroupId | undefined;
}

/**
 * Records of growth, each held against its contemporaries: species, births within 35 days, the group it was weighed in.
 * One alone joins the group nearest in time. Litter mates share their litter.
 */
export function growthRecords(young: readonly GrownSoFar[]): TraitRecord[] {
  const groups = contemporaryGroups(
    // The factors have taken sex out: both sexes are contemporaries.
    young.map((y) => ({ ...y, id: y.animalId, sex: 'unknown' as const })),
  );
  const full = groups.filter((g) => g.members.length > 1);
  return groups.flatMap((group) => {
    const [only] = group.members;
    const joined = group.members.length === 1 && only ? (nearest(full, only.bornOn) ?? group) : group;
    return group.members.map(({ animalId, kg, damId, bornOn }): TraitRecord => ({
      animalId,
      value: kg,
      effects: [joined.key],
      sharedBy: damId === undefined ? undefined : `${damId} ${bornOn}`,
    }));
  });
}

/** The group whose births lie nearest to a day, the first of equals. */
function nearest<G extends { readonly bornFrom: Day; readonly bornTo: Day }>(
  groups: readonly G[],
  on: Day,
): G | undefined {
  const away = ({ bornFrom, bornTo }: G): number => Math.max(0, bornFrom - on, on - bornTo);
  return groups.reduce<G | undefined>((best, g) => (best && away(best) <= away(g) ? best : g), undefined);
}

/** One birth of a female as a record. */
export interface LitterTold {
  readonly on: Day;
  /** Which of her births it is, from 1. */
  readonly parity: number;
  readonly bornAlive: number;
  /** Weight of those she weaned at the age of weaning; undefined where it is not known. */
  readonly weanedKg: number | undefined;
  /** Heads she reared, where young were fostered to or from her. */
  readonly rearedIfFostered: number | undefined;
}

/** Of the third birth on one is as another. */
const PARITY_MOST = 3;

const seasonOf = (on: Day): string => {
  const { year, quarter } = quarterOf(on);
  return `${year} ${quarter}`;
};

/** Born alive a litter, held against its season and which of her litters it is. */
export const bornRecord = (damId: AnimalId, { on, parity, bornAlive }: LitterTold): TraitRecord => ({
  animalId: damId,
  value: bornAlive,
  effects: [seasonOf(on), String(Math.min(PARITY_MOST, parity))],
  sharedBy: damId,
});

/** Kilograms weaned a litter; one that was fostered to or from is held against others of as many head. */
export const weanedRecord = (damId: AnimalId, litter: LitterTold): TraitRecord[] =>
  litter.weanedKg === undefined
    ? []
    : [
        {
          animalId: damId,
          value: litter.weanedKg,
          effects: [
            ...bornRecord(damId, litter).effects,
            litter.rearedIfFostered === undefined ? 'her own' : `fostered, ${litter.rearedIfFostered} reared`,
          ],
          sharedBy: damId,
        },
      ];

/** A score is of a weight for so many days. */
const SCORE_NEAR_DAYS = 60;
/** Grown is who has reached this share of its grown weight by the table. */
const GROWN_FROM_SHARE = 0.99;

/**
 * What an animal weighs grown: by its fitted curve, or else its last weight once it is grown; at condition score 3 where
 * a score of the time is known.
 * @param scores by day, newest last
 * @returns undefined where neither is there
 */
export function grownRecord(
  animal: {
    readonly id: AnimalId;
    readonly sex: Sex;
    readonly bornOn: Day;
    readonly daily: readonly Reading[];
    readonly scores: readonly { readonly on: Day; readonly score: number }[];
  },
  settings: SpeciesSettings,
): TraitRecord | undefined {
  const { id, sex, bornOn, daily, scores } = animal;
  const last = daily.at(-1);
  if (!last) return undefined;
  const isGrown = shareGrown(last.on - bornOn, settings) >= GROWN_FROM_SHARE;
  const curve = isGrown ? undefined : growthCurve(bornOn, daily, settings);
  const kg = isGrown ? last.kg : curve?.kind === 'curve' ? curve.matureKg : undefined;
  if (kg === undefined) return undefined;
  const score = isGrown ? scores.findLast((s) => Math.abs(s.on - last.on) <= SCORE_NEAR_DAYS)?.score : undefined;
  const value = score === undefined ? kg : referenceKg(kg, score, settings.condition.kgPerScoreShare);
  return { animalId: id, value, effects: [String(yearOf(bornOn)), sex] };
}

/** Mean of the point standards at one look, held against the others looked at that day. */
export const eyeRecord = (animalId: AnimalId, points: number, on: Day): TraitRecord => ({
  animalId,
  value: points,
  effects: [String(on)],
});
