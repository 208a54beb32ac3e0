import type { AnimalFacts } from '../facts';
import type { Refusal } from '../refusals';

/** Females carry. */
export const checkCarries = ({ record }: AnimalFacts): Refusal | undefined =>
  record.sex === 'female' ? undefined : { code: 'does-not-carry', field: 'animalId', value: record.id };

/** Females give birth. */
export const checkGivesBirth = ({ record }: AnimalFacts): Refusal | undefined =>
  record.sex === 'female' ? undefined : { code: 'gives-no-birth', field: 'animalId', value: record.id };
