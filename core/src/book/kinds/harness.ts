import type { Fact } from '../facts';
import type { FactKind } from './kind';
import { checkOpenStay } from './stayEnd';

export interface HarnessWritten {
  readonly stayId: string;
  readonly colour: string;
}

/** Another colour on his harness. */
export interface HarnessFact extends Fact, HarnessWritten {}

export const harness: FactKind<'harnesses', HarnessWritten, HarnessFact> = {
  list: 'harnesses',
  fact: ({ stayId, colour }, base) => ({ stayId, colour, ...base }),
  touches: ['company'],
  check: ({ stayId }, facts) => checkOpenStay(stayId, facts),
};
