import type { Pedigreed } from '../pedigree';
import type { AnimalRecord } from './facts';

/** An animal with the parents its genes are from: of an embryo that was put in, the donor and not who carried it. */
export const geneticParents = (record: AnimalRecord): Pedigreed =>
  record.donorId === undefined ? record : { ...record, damId: record.donorId };
