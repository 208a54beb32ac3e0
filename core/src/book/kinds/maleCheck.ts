import type { MalePart, PartGrade } from '../../mating';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface MaleCheckWritten {
  readonly grades: Readonly<Partial<Record<MalePart, PartGrade>>>;
  readonly girthCm?: number | undefined;
}

/** A male looked at before the season. */
export interface MaleCheckFact extends Fact {
  readonly grades: Readonly<Partial<Record<MalePart, PartGrade>>>;
  /** Around the testicles. */
  readonly girthCm: number | undefined;
}

export const maleCheck: FactKind<'maleChecks', MaleCheckWritten, MaleCheckFact> = {
  list: 'maleChecks',
  fact: ({ grades, girthCm }, base) => ({ grades, girthCm, ...base }),
  check: ({ animalId }, { record }) =>
    record.sex === 'male' ? undefined : { code: 'not-a-male', field: 'animalId', value: animalId },
};
