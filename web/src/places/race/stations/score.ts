import {
  aimFor,
  dailyScores,
  dayOf,
  isDoubtfulScore,
  mobFor,
  MOBS,
  readTypedScore,
  SCORE_SD,
  type Mob,
  type ScoreOnDay,
  type TypedScore,
} from '@yaylak/core';
import { scoreText, MOB_WORDS } from '../../../words/condition';
import type { Draft, FieldName } from '../draft';
import { whyAt, type AtHand, type Fact, type Problem, type StationRules } from './atHand';
import { say, capital } from '@yaylak/contract';

export const SCORE_FIELDS = ['score', 'score2'] as const satisfies readonly FieldName[];
const REASONS: Readonly<Record<Extract<TypedScore, { kind: 'refused' }>['reason'], string>> = {
  empty: say('Type the score, 1 to 5; a point after it is a half.'),
  'not-a-score': say('is not a score. Type 1 to 5, such as 2.5; a point alone after it is a half.'),
  'out-of-range': say('is off the scale. Scores go from 1 to 5.'),
  'finer-than-quarters': say('is finer than a hand can feel. Use halves or quarters.'),
};

export interface FieldScore {
  readonly by: string;
  readonly field: FieldName;
  readonly typed: TypedScore;
}

/** Whose hands feel; where nobody was named, whoever works the job. */
export const scorersAt = (at: AtHand): readonly string[] => {
  const named = at.job.settings.score?.scorers ?? [];
  return named.length === 0 ? [at.weighedBy] : named.slice(0, SCORE_FIELDS.length);
};

/** What each scorer's field holds. */
export const typedScores = (draft: Draft, at: AtHand): FieldScore[] =>
  scorersAt(at).map((by, i) => {
    const field = SCORE_FIELDS[i] as (typeof SCORE_FIELDS)[number];
    return { by, field, typed: readTypedScore(draft.fields[field] ?? '') };
  });

/** The score of the animal at hand once all who feel it have: their mean. */
export function scoreAt(draft: Draft, at: AtHand): ScoreOnDay | undefined {
  const on = dayOf(at.job.on);
  const all = typedScores(draft, at);
  const readings = all.flatMap(({ by, typed }) => (typed.kind === 'score' ? [{ on, by, score: typed.score }] : []));
  return readings.length === 0 || readings.length < all.length ? undefined : dailyScores(readings)[0];
}

/** The last score before this job. */
export function scoreBefore(at: AtHand): ScoreOnDay | undefined {
  const last = at.animal?.scores.findLast(([on]) => on < at.job.on);
  return last && { on: dayOf(last[0]), score: last[1], sd: SCORE_SD, by: [], isCorrected: false };
}

export const aimAt = (at: AtHand): number =>
  aimFor(at.settings.condition, at.job.settings.score?.stage ?? 'mating', at.animal?.femaleKind);

/** The feed mob the score says. */
export function suggestedMob(draft: Draft, at: AtHand): Mob | undefined {
  const score = scoreAt(draft, at);
  return score && mobFor(score.score, aimAt(at), at.settings.condition);
}

export const pressedMob = (draft: Draft, key: string): Mob | undefined =>
  draft.mob === key ? undefined : MOBS.find((m) => m === key);

export const score: StationRules = {
  problems(draft, at) {
    const all = typedScores(draft, at);
    const wrong = all.find((t) => t.typed.kind === 'refused' && t.typed.reason !== 'empty');
    if (wrong?.typed.kind === 'refused')
      return [
        {
          kind: 'refuse',
          field: wrong.field,
          message: `“${draft.fields[wrong.field] ?? ''}” ${REASONS[wrong.typed.reason]}`,
        },
      ];
    const empty = all.find((t) => t.typed.kind === 'refused');
    if (empty) {
      // Where scoring is all there is to do, an animal without a score has not been through.
      if (at.job.stations.length === 1 && all.every((t) => t.typed.kind === 'refused'))
        return whyAt(draft) === ''
          ? [
              {
                kind: 'refuse',
                field: empty.field,
                message: say('{empty} Or say why it passes without a score.', { empty: REASONS.empty }),
              },
            ]
          : [];
      const whose = all.length > 1 ? say('No score by {by}.', { by: empty.by }) : say('No score.');
      return [{ kind: 'ask', key: 'no-score', message: say('{whose} Enter again goes on without one.', { whose }) }];
    }
    return doubtOf(draft, at);
  },
  facts(draft, at) {
    const given = typedScores(draft, at).flatMap(({ by, typed }): Fact[] =>
      typed.kind === 'score' ? [{ type: 'score', score: typed.score, scoredBy: by }] : [],
    );
    const suggested = suggestedMob(draft, at);
    const mob = draft.mob ?? suggested;
    if (given.length === 0 || mob === undefined) return given;
    const { sprays = [], place = 'shoulder' } = at.job.settings.score ?? {};
    const spray = sprays.find((s) => s.mob === mob);
    return [
      ...given,
      { type: 'mob', mob, ...(suggested ? { suggested } : {}) },
      ...(spray
        ? [{ type: 'mark' as const, colour: spray.colour, place, purpose: say('{mob} mob', { mob: MOB_WORDS[mob] }) }]
        : []),
    ];
  },
  toggles: () => MOBS.map((mob) => ({ key: mob, words: `${capital(MOB_WORDS[mob])}` })),
};

function doubtOf(draft: Draft, at: AtHand): Problem[] {
  const now = scoreAt(draft, at);
  const before = scoreBefore(at);
  if (!now || !before || !isDoubtfulScore(before, now, at.settings.condition.daysPerScore)) return [];
  return [
    {
      kind: 'ask',
      key: 'score-doubt',
      message: say('Feel again: {score} after {score2} {n} days ago. Enter again keeps it.', {
        score: scoreText(now.score),
        score2: scoreText(before.score),
        n: now.on - before.on,
      }),
    },
  ];
}
