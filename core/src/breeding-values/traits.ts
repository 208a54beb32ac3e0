import type { VarianceShares } from './mixedModel';

export const BREEDING_TRAITS = ['growth', 'young-born', 'litter-weaned', 'grown-weight', 'eye-points'] as const;
export type BreedingTraitName = (typeof BREEDING_TRAITS)[number];

/** A trait as a row of data: what its record is made of is told where records are gathered. */
export interface BreedingTrait extends VarianceShares {
  readonly unit: 'kg' | 'head' | 'points';
  /** What the other share is of: the litter an animal was born in, or a female with a record each year. */
  readonly otherIs: 'litter' | 'female' | undefined;
}

/** Shares as they are commonly found in flocks and herds; rules of thumb. Repeatability = heritability + the female's. */
export const BREEDING_TRAIT_TABLE: Readonly<Record<BreedingTraitName, BreedingTrait>> = {
  growth: { unit: 'kg', heritability: 0.25, other: 0.1, otherIs: 'litter' },
  'young-born': { unit: 'head', heritability: 0.1, other: 0.05, otherIs: 'female' },
  'litter-weaned': { unit: 'kg', heritability: 0.15, other: 0.1, otherIs: 'female' },
  'grown-weight': { unit: 'kg', heritability: 0.4, other: 0, otherIs: undefined },
  'eye-points': { unit: 'points', heritability: 0.2, other: 0, otherIs: undefined },
};
