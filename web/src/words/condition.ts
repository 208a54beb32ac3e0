import type { CheckFact, ConditionStage, FemaleKind, Mob, ScoreTrend } from '@yaylak/core';
import { shortFigure, say } from '@yaylak/contract';

/** A score as it is said: 3, 2.5, 3.25; means to one place. */
export const scoreText = (score: number): string => shortFigure(score, 2);

export const MOB_WORDS: Readonly<Record<Mob, string>> = { thin: say('thin'), fit: say('fit'), fat: say('fat') };

export const STAGE_WORDS: Readonly<Record<ConditionStage, string>> = {
  weaning: say('at weaning'),
  mating: say('before mating'),
  carrying: say('in mid-pregnancy'),
  birth: say('before birth'),
};

export const FEMALE_KIND_WORDS: Readonly<Record<FemaleKind, string>> = {
  usual: say('usual'),
  'first-timer': say('first-timer'),
  'many-reared': say('reared three'),
  'heavy-milker': say('heavy milker'),
};

export const TREND_WORDS: Readonly<Record<ScoreTrend, string>> = {
  gained: say('gained'),
  lost: say('lost'),
  held: say('held'),
  'cannot-tell': say('cannot tell'),
};

/** What was looked at, by what was found. */
export const CHECK_WORDS: Readonly<
  Record<CheckFact['what'], { readonly name: string; readonly found: string; readonly clear: string }>
> = {
  teeth: { name: say('Teeth'), found: say('Teeth are bad'), clear: say('Teeth are sound') },
  worms: { name: say('Worms'), found: say('Worms found'), clear: say('No worms') },
  feet: { name: say('Feet'), found: say('Feet are bad'), clear: say('Feet are sound') },
  age: { name: say('Age'), found: say('Too old'), clear: say('Not too old') },
  illness: { name: say('Illness'), found: say('Ill'), clear: say('Healthy') },
  womb: { name: say('Womb'), found: say('Womb not clean'), clear: say('Womb clean') },
  milk: { name: say('Milk'), found: say('Heavy milker'), clear: say('Average milker') },
  udder: { name: say('Udder'), found: say('Udder is bad'), clear: say('Udder is sound') },
  prolapse: { name: say('Prolapse'), found: say('Prolapse'), clear: say('No prolapse') },
  temper: { name: say('Temper'), found: say('Dangerous to people'), clear: say('Quiet to handle') },
};
