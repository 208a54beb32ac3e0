import type { Decision } from '../../choosing';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface ChoiceWritten {
  readonly decision: Decision;
  readonly among: string;
  readonly reason?: string | undefined;
}

export interface ChoiceFact extends Fact, ChoiceWritten {}

export const choice: FactKind<'choices', ChoiceWritten, ChoiceFact> = {
  list: 'choices',
  fact: ({ decision, among, reason }, base) => ({ decision, among, ...(reason ? { reason } : {}), ...base }),
};

/** Whether the last choice written of an animal is that it goes. */
export function leavesByChoice({ choices }: { readonly choices: readonly ChoiceFact[] }): boolean {
  const last = choices.at(-1)?.decision;
  return last === 'sell' || last === 'cull';
}
