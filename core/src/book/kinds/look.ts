import type { LookGrade } from '../../handling';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface LookWritten {
  readonly grades: Readonly<Record<string, LookGrade>>;
}

/** What was found looking it over, by the standard's id. */
export interface LookFact extends Fact, LookWritten {}

export const look: FactKind<'looks', LookWritten, LookFact> = {
  list: 'looks',
  fact: ({ grades }, base) => ({ grades, ...base }),
  check: ({ grades }) =>
    Object.keys(grades).length === 0 ? { code: 'nothing-looked-at', field: 'grades', value: '' } : undefined,
};
