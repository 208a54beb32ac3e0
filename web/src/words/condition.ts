import type { CheckFact, ConditionStage, FemaleKind, Mob, ScoreTrend } from '@yaylak/core';

/** A score as it is said: 3, 2.5, 3.25; means to one place. */
export const scoreText = (score: number): string => String(Number(score.toFixed(2)));

export const MOB_WORDS: Readonly<Record<Mob, string>> = { thin: 'thin', fit: 'fit', fat: 'fat' };

export const STAGE_WORDS: Readonly<Record<ConditionStage, string>> = {
  weaning: 'at weaning',
  mating: 'before mating',
  carrying: 'in mid-pregnancy',
  birth: 'before birth',
};

export const FEMALE_KIND_WORDS: Readonly<Record<FemaleKind, string>> = {
  usual: 'usual',
  'first-timer': 'first-timer',
  'many-reared': 'reared three',
  'heavy-milker': 'heavy milker',
};

export const TREND_WORDS: Readonly<Record<ScoreTrend, string>> = {
  gained: 'gained',
  lost: 'lost',
  held: 'held',
  'cannot-tell': 'cannot tell',
};

/** What was looked at, by what was found. */
export const CHECK_WORDS: Readonly<
  Record<CheckFact['what'], { readonly name: string; readonly found: string; readonly clear: string }>
> = {
  teeth: { name: 'Teeth', found: 'Teeth are bad', clear: 'Teeth are sound' },
  worms: { name: 'Worms', found: 'Worms found', clear: 'No worms' },
  feet: { name: 'Feet', found: 'Feet are bad', clear: 'Feet are sound' },
  age: { name: 'Age', found: 'Too old', clear: 'Not too old' },
  illness: { name: 'Illness', found: 'Ill', clear: 'Healthy' },
  womb: { name: 'Womb', found: 'Womb not clean', clear: 'Womb clean' },
  milk: { name: 'Milk', found: 'Heavy milker', clear: 'Average milker' },
  udder: { name: 'Udder', found: 'Udder is bad', clear: 'Udder is sound' },
  prolapse: { name: 'Prolapse', found: 'Prolapse', clear: 'No prolapse' },
  temper: { name: 'Temper', found: 'Dangerous to people', clear: 'Quiet to handle' },
};
