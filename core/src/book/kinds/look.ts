import type { LookGrade } from '../../choosing';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface LookWritten {
  readonly grades: Readonly<Record<string, LookGrade>>;
}

/** What was found looking it over, by the standard's id. */
export interface LookFact extends Fact, LookWritten {
  readonly by: string;
}

export const look: FactKind<'looks', LookWritten, LookFact> = {
  list: 'looks',
  fact: ({ grades, writtenBy }, base) => ({ grades, by: writtenBy, ...base }),
  check: ({ grades }) =>
    Object.keys(grades).length === 0 ? { code: 'nothing-looked-at', field: 'grades', value: '' } : undefined,
};
