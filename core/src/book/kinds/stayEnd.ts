import type { AnimalFacts, Fact } from '../facts';
import type { Refusal } from '../refusals';
import type { FactKind } from './kind';

export interface StayEndWritten {
  /** The entry that put him in. */
  readonly stayId: string;
}

export interface StayEnd extends Fact, StayEndWritten {}

/** A male is taken out of a group. */
export const stayEnd: FactKind<'stayEnds', StayEndWritten, StayEnd> = {
  list: 'stayEnds',
  fact: ({ stayId }, base) => ({ stayId, ...base }),
  touches: ['company'],
  check: ({ stayId }, facts) => checkOpenStay(stayId, facts),
};

/** A stay that goes on. */
export function checkOpenStay(stayId: string, facts: AnimalFacts): Refusal | undefined {
  const value = { field: 'stayId', value: stayId };
  if (!facts.stays.some((s) => s.entryId === stayId)) return { code: 'unknown-stay', ...value };
  return facts.stayEnds.some((e) => e.stayId === stayId) ? { code: 'stay-ended', ...value } : undefined;
}
