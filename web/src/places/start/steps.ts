import { say, UNNAMED } from '@yaylak/contract';

/** The first ten minutes, step by step. */
export const STEPS = ['about', 'numbers', 'animals', 'weigh', 'found'] as const;
export type StepId = (typeof STEPS)[number];

export const STEP_WORDS: Readonly<Record<StepId, string>> = {
  about: say('You and the holding'),
  numbers: say('How your numbers look'),
  animals: say('Who is here'),
  weigh: say('First weighing'),
  found: say('What the book knows now'),
};

/** What of a book tells how far it has come. */
export interface Begun {
  readonly name: string;
  readonly keeper: string;
  readonly animals: number;
  readonly weighed: number;
}

/** Steps that are done, as far as the book shows: one may go on wherever one left. */
export function stepsDone({ name, keeper, animals, weighed }: Begun): ReadonlySet<StepId> {
  const isNamed = name !== UNNAMED.name || keeper !== UNNAMED.keeper;
  return new Set<StepId>([
    ...(isNamed ? (['about'] as const) : []),
    // Numbers are as they should be once animals have them.
    ...(animals > 0 ? (['numbers', 'animals'] as const) : []),
    ...(weighed > 0 ? (['weigh'] as const) : []),
  ]);
}

/** Where to go on: the first step that is not done. */
export const nextStep = (done: ReadonlySet<StepId>): StepId => STEPS.find((step) => !done.has(step)) ?? 'found';
