import type { CareKind } from '../../handling';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface CareWritten {
  readonly kind: CareKind;
  readonly method?: string | undefined;
}

export interface CareFact extends Fact {
  readonly kind: CareKind;
  readonly method: string | undefined;
}

/** Shorn, clipped, docked, cut. */
export const care: FactKind<'cares', CareWritten, CareFact> = {
  list: 'cares',
  fact: ({ kind, method }, base) => ({ kind, method, ...base }),
};
