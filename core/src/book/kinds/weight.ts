import type { Reading, WeighingMethod } from '../../growth';
import type { Species } from '../../species';
import type { BookView } from '../bookView';
import type { Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind } from './kind';
import type { Kilograms } from '../../units';

export interface WeightWritten {
  readonly kg: Kilograms;
  readonly method: WeighingMethod;
}

export interface WeightFact extends Fact, Reading {
  /** Who held the tape or gave the guess; a scale reads the same for all. */
  readonly by: string;
}

export const weight: FactKind<'weights', WeightWritten, WeightFact> = {
  list: 'weights',
  fact: ({ kg, method, writtenBy }, base) => ({ kg, method, by: writtenBy, ...base }),
  touches: ['tapes'],
  check: ({ kg }, { record }, book) => checkWeight(kg, record.species, book),
};

/** A weight nobody could have read: not above zero, or above the heaviest of the species. */
export function checkWeight(kg: Kilograms, species: Species, book: Pick<BookView, 'settings'>): Refusal | undefined {
  const value = String(kg);
  if (!(kg > 0)) return { code: 'weight-not-positive', field: 'kg', value };
  const { heaviestKg } = book.settings(species);
  return kg > heaviestKg ? { code: 'weight-too-high', field: 'kg', value, heaviestKg, species } : undefined;
}
