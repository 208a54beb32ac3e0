import type { Decision } from '../../choosing';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface ChoiceWritten {
  readonly decision: Decision;
}

export interface ChoiceFact extends Fact, ChoiceWritten {}

export const choice: FactKind<'choices', ChoiceWritten, ChoiceFact> = {
  list: 'choices',
  fact: ({ decision }, base) => ({ decision, ...base }),
};
