import type { Pedigree } from '../pedigree';
import { addInverseRelationship } from './inverseRelationship';
import { factorise, inverseDiagonal, solve } from './factorise';
import { SymmetricBuilder } from './sparseSymmetric';

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
}

/**
 * Best linear unbiased values by Henderson's equations with A-inverse: y = X b + Z u + W c + e. Fixed effects that follow
 * from others are answered 0. The variance of error comes from the records, the shares being given; reliabilities are
 * exact.
 */
export function solveMixedModel(
  pedigree: Pedigree,
  inbreeding: Float64Array,
  { animal, value, fixed, other }: ModelRecords,
  { heritability, other: otherShare }: VarianceShares,
): MixedModelAnswer {
  const animals = pedigree.sire.length;
  const records = value.length;
  const levels = fixed.map((effect) => 1 + effect.reduce((most, level) => Math.max(most, level), -1));
  const firstOf = levels.map((_, i) => levels.slice(0, i).reduce((sum, n) => sum + n, 0));
  const fixedCount = levels.reduce((sum, n) => sum + n, 0);
  const hasOther = other !== undefined && otherShare > 0;
  const otherCount = hasOther ? 1 + other.reduce((most, level) => Math.max(most, level), -1) : 0;
  const size = fixedCount + animals + otherCount;
  const error = 1 - heritability - otherShare;
  const builder = new SymmetricBuilder(size, 6 * animals + otherCount + records * (fixed.length + 2) ** 2);
  const right = new Float64Array(size);
  const touched = new Int32Array(fixed.length + 2);
  for (let r = 0; r < records; r++) {
    let count = 0;
    fixed.forEach((effect, f) => {
      const level = effect[r] as number;
      // One effect carries the mean; of the others the first level is what the rest are held against.
      if (f === 0 || level > 0) touched[count++] = (firstOf[f] as number) + level;
    });
    touched[count++] = fixedCount + (animal[r] as number);
    if (hasOther) touched[count++] = fixedCount + animals + (other[r] as number);
    for (let a = 0; a < count; a++) {
      const i = touched[a] as number;
      right[i] = (right[i] as number) + (value[r] as number);
      for (let b = a; b < count; b++) builder.add(i, touched[b] as number, 1);
    }
  }
  addInverseRelationship(builder, pedigree, { inbreeding, factor: error / heritability, offset: fixedCount });
  for (let k = 0; k < otherCount; k++) {
    const i = fixedCount + animals + k;
    builder.add(i, i, error / otherShare);
  }
  // An effect's level without a record has no equation of its own; it is answered 0.
  for (let i = 0; i < fixedCount; i++) builder.add(i, i, 0);
  const factor = factorise(builder.build());
  const answer = solve(factor, right);
  const inverse = inverseDiagonal(factor);
  const rank = countOfNew(factor, fixedCount);
  const errorVariance = records > rank ? (sumOfSquares(value) - dot(answer, right)) / (records - rank) : undefined;
  const geneticVariance = errorVariance === undefined ? undefined : (errorVariance * heritability) / error;
  const lambda = error / heritability;
  const values = answer.slice(fixedCount, fixedCount + animals);
  const reliability = Float64Array.from(
    values,
    (_, i) => 1 - (lambda * (inverse[fixedCount + i] as number)) / (1 + (inbreeding[i] as number)),
  );
  const predictionErrorVariance = Float64Array.from(
    values,
    (_, i) => (inverse[fixedCount + i] as number) * (errorVariance ?? Number.NaN),
  );
  return {
    values,
    predictionErrorVariance,
    reliability,
    fixed: levels.map((n, f) => answer.slice(firstOf[f] as number, (firstOf[f] as number) + n)),
    other: answer.slice(fixedCount + animals),
    errorVariance,
    geneticVariance,
  };
}

/** How many of the first equations say something new. */
const countOfNew = ({ diagonal, placeOf }: ReturnType<typeof factorise>, first: number): number => {
  let count = 0;
  for (let i = 0; i < first; i++) if (diagonal[placeOf[i] as number] !== Infinity) count++;
  return count;
};

const sumOfSquares = (values: Float64Array): number => values.reduce((sum, v) => sum + v * v, 0);
const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, v, i) => sum + v * (b[i] as number), 0);
