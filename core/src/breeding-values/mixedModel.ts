import type { Pedigree } from '../pedigree';
import { approximateInverse } from './approximateInverse';
import { addInverseRelationship } from './inverseRelationship';
import { factorise, inverseDiagonal, solve } from './factorise';
import { diagonalOf, solveByRounds } from './iterate';
import { SymmetricBuilder, type SparseSymmetric } from './sparseSymmetric';

/** Records of one trait. Arrays run over the records. */
export interface ModelRecords {
  /** Place of the animal in the pedigree. */
  readonly animal: Int32Array;
  readonly value: Float64Array;
  /** Level of each fixed effect, from 0; an effect with one level is the mean. */
  readonly fixed: readonly Int32Array[];
  /** Level of the other random effect, from 0: the litter of birth, or the female with several records. */
  readonly other?: Int32Array | undefined;
}

/** Shares of the variance of a record, the rest being its error. */
export interface VarianceShares {
  readonly heritability: number;
  /** Of the litter or the permanent environment; 0 for none. */
  readonly other: number;
}

export interface MixedModelAnswer {
  /** By animal of the pedigree, in the trait's unit, around 0. */
  readonly values: Float64Array;
  /** Variance of prediction error of each value, in the unit's square. */
  readonly predictionErrorVariance: Float64Array;
  /** 1 - PEV / ((1 + F) x genetic variance). */
  readonly reliability: Float64Array;
  /** By effect and level; the first level of every effect but the first is 0. */
  readonly fixed: readonly Float64Array[];
  readonly other: Float64Array;
  /** Estimated from the records, in the unit's square; undefined where no record is left over for it. */
  readonly errorVariance: number | undefined;
  readonly geneticVariance: number | undefined;
  /** Reliabilities are exact; of very large herds they are near enough. */
  readonly isExact: boolean;
}

/** With more equations than these nothing is factored: values come by rounds, reliabilities near enough. */
const EXACT_MOST = 20_000;

/** Henderson's equations: fixed effects first, then animals, then the other effect. */
export interface Equations {
  readonly matrix: SparseSymmetric;
  readonly right: Float64Array;
  /** How many levels each fixed effect has, and where it starts. */
  readonly levels: readonly number[];
  readonly starts: readonly number[];
  readonly firstAnimal: number;
  readonly firstOther: number;
}

/** Sets up y = X b + Z u + W c + e with A-inverse, the error's variance factored out. */
export function equationsOf(
  pedigree: Pedigree,
  inbreeding: Float64Array,
  { animal, value, fixed, other }: ModelRecords,
  { heritability, other: otherShare }: VarianceShares,
): Equations {
  const animals = pedigree.sire.length;
  const levels = fixed.map((effect) => 1 + highest(effect));
  const starts = levels.map((_, f) => levels.slice(0, f).reduce((sum, n) => sum + n, 0));
  const firstAnimal = levels.reduce((sum, n) => sum + n, 0);
  const firstOther = firstAnimal + animals;
  const others = other !== undefined && otherShare > 0 ? 1 + highest(other) : 0;
  const size = firstOther + others;
  const error = 1 - heritability - otherShare;
  const builder = new SymmetricBuilder(size, 6 * animals + others + value.length * (fixed.length + 2) ** 2);
  const right = new Float64Array(size);
  const touched = new Int32Array(fixed.length + 2);
  for (let r = 0; r < value.length; r++) {
    let count = 0;
    fixed.forEach((effect, f) => {
      const level = effect[r] as number;
      // One effect carries the mean; of the others the first level is what the rest are held against.
      if (f === 0 || level > 0) touched[count++] = (starts[f] as number) + level;
    });
    touched[count++] = firstAnimal + (animal[r] as number);
    if (others > 0) touched[count++] = firstOther + (other?.[r] as number);
    for (let a = 0; a < count; a++) {
      const i = touched[a] as number;
      right[i] = (right[i] as number) + (value[r] as number);
      for (let b = a; b < count; b++) builder.add(i, touched[b] as number, 1);
    }
  }
  addInverseRelationship(builder, pedigree, { inbreeding, factor: error / heritability, offset: firstAnimal });
  for (let i = firstOther; i < size; i++) builder.add(i, i, error / otherShare);
  // An effect's level without a record has no equation of its own; it is answered 0.
  for (let i = 0; i < firstAnimal; i++) builder.add(i, i, 0);
  return { matrix: builder.build(), right, levels, starts, firstAnimal, firstOther };
}

/**
 * Best linear unbiased values by Henderson's equations. Fixed effects that follow from others are answered 0. The
 * variance of error comes from the records, the shares being given; reliabilities are exact up to so many equations.
 */
export function solveMixedModel(
  pedigree: Pedigree,
  inbreeding: Float64Array,
  records: ModelRecords,
  shares: VarianceShares,
  exactMost = EXACT_MOST,
): MixedModelAnswer {
  const { matrix, right, levels, starts, firstAnimal, firstOther } = equationsOf(pedigree, inbreeding, records, shares);
  const error = 1 - shares.heritability - shares.other;
  const lambda = error / shares.heritability;
  const isExact = matrix.size <= exactMost;
  const factor = isExact ? factorise(matrix) : undefined;
  const answer = factor ? solve(factor, right) : solveByRounds(matrix, right);
  const inverse = factor
    ? inverseDiagonal(factor).subarray(firstAnimal, firstOther)
    : approximateInverse(pedigree, records, shares);
  const known = factor ? countOfNew(factor, firstAnimal) : countOfKnown(matrix, firstAnimal);
  const over = records.value.length - known;
  const errorVariance = over > 0 ? (sumOfSquares(records.value) - dot(answer, right)) / over : undefined;
  return {
    values: answer.slice(firstAnimal, firstOther),
    predictionErrorVariance: inverse.map((cell) => cell * (errorVariance ?? Number.NaN)),
    reliability: inverse.map((cell, i) => 1 - (lambda * cell) / (1 + (inbreeding[i] as number))),
    fixed: levels.map((n, f) => answer.slice(starts[f] as number, (starts[f] as number) + n)),
    other: answer.slice(firstOther),
    errorVariance,
    geneticVariance: errorVariance === undefined ? undefined : errorVariance / lambda,
    isExact,
  };
}

const highest = (levels: Int32Array): number => levels.reduce((most, level) => Math.max(most, level), -1);

/** How many of the first equations say something new. */
const countOfNew = ({ diagonal, placeOf }: ReturnType<typeof factorise>, first: number): number => {
  let count = 0;
  for (let i = 0; i < first; i++) if (diagonal[placeOf[i] as number] !== Infinity) count++;
  return count;
};

/** How many of the first have any record; those that follow from others are not told apart without a factor. */
const countOfKnown = (matrix: SparseSymmetric, first: number): number =>
  diagonalOf(matrix)
    .subarray(0, first)
    .filter((d) => d > 0).length;

const sumOfSquares = (values: Float64Array): number => values.reduce((sum, v) => sum + v * v, 0);
const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, v, i) => sum + v * (b[i] as number), 0);
