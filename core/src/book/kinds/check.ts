import type { CheckMade } from '../../condition';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

/** What can be looked at beside what keeps an animal thin. */
export const OTHER_CHECKS = ['milk', 'womb', 'udder', 'prolapse', 'temper'] as const;

export interface CheckWritten extends Omit<CheckMade, 'what' | 'on'> {
  readonly what: CheckMade['what'] | (typeof OTHER_CHECKS)[number];
}

/** Looked at for what keeps it thin, for how much milk it gives, for its womb after a birth, or what was seen of it. */
export interface CheckFact extends Fact, CheckWritten {}

export const check: FactKind<'checks', CheckWritten, CheckFact> = {
  list: 'checks',
  fact: ({ what, isFound }, base) => ({ what, isFound, ...base }),
};
