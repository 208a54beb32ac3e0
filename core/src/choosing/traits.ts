import type { BreedingTraitName } from '../breeding-values';

/** What an animal is ranked on by its own like-for-like records, where there are no breeding values. */
export const CHOOSING_TRAITS = ['growth', 'damRecord', 'lastGain', 'ownRecord', 'eyePoints'] as const;
export type ChoosingTrait = (typeof CHOOSING_TRAITS)[number];

/** Anything an index weighs: an own record, or a breeding value. */
export type RankTrait = ChoosingTrait | BreedingTraitName;

/** Points weights as the user sets them; only their proportions matter, and what has none counts for nothing. */
export type Weights<Trait extends string> = Readonly<Partial<Record<Trait, number>>>;
export type PointsWeights = Weights<ChoosingTrait>;

export const DEFAULT_POINTS_WEIGHTS: PointsWeights = {
  growth: 50,
  damRecord: 30,
  lastGain: 20,
  ownRecord: 50,
  eyePoints: 10,
};

/** A measured trait with its standard error, both in the trait's own unit. */
export interface TraitValue {
  readonly value: number;
  readonly standardError: number;
}

export type TraitValues = Readonly<Partial<Record<ChoosingTrait, TraitValue>>>;
