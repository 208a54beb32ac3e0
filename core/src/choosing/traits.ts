/** What the points weights weigh. */
export const CHOOSING_TRAITS = ['growth', 'damRecord', 'lastGain'] as const;
export type ChoosingTrait = (typeof CHOOSING_TRAITS)[number];

/** Points weights as the user sets them; only their proportions matter. */
export type PointsWeights = Readonly<Record<ChoosingTrait, number>>;

export const DEFAULT_POINTS_WEIGHTS: PointsWeights = { growth: 50, damRecord: 30, lastGain: 20 };

/** A measured trait with its standard error, both in the trait's own unit. */
export interface TraitValue {
  readonly value: number;
  readonly standardError: number;
}

export type TraitValues = Readonly<Partial<Record<ChoosingTrait, TraitValue>>>;
