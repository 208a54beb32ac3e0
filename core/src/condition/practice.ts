import type { Species } from '../species';
import { agreement, quadraticKappa, shareWithin, type AnswerPair } from '../statistics';

/** Where the hand feels. */
export interface FeelGuide {
  readonly places: readonly [string, string, string];
  /** What each place feels like at scores 1 to 5. */
  readonly scores: readonly (readonly [string, string, string])[];
  readonly how: string;
}

const SMALL_RUMINANT: FeelGuide = {
  how: 'Stand her free and at ease. Lay the hand over the loin behind the last rib, thumb on the backbone, fingers on the ends of the short ribs, and press lightly, then harder.',
  places: ['Backbone', 'Short ribs', 'Loin between'],
  scores: [
    ['a sharp ridge, each knob apart', 'sharp ends, the fingers slip under', 'hollow, skin on bone'],
    [
      'a ridge, knobs felt one by one but rounded',
      'ends rounded, fingers get under with a push',
      'filled a little, no fat',
    ],
    ['smooth and rounded, knobs only under pressure', 'ends only under pressure, well covered', 'full, a little fat'],
    ['a line, felt only under hard pressure', 'ends not to be felt', 'full and rounded, fat over all'],
    ['not to be felt, a dimple of fat where it runs', 'not to be felt', 'bulging with fat, quivers'],
  ],
};
const CATTLE: FeelGuide = {
  how: 'In the crush with the gate shut behind you, and never between her and the rails. Feel the loin with the flat hand, then both sides of the tail-head.',
  places: ['Short ribs', 'Tail-head', 'Hips and backbone'],
  scores: [
    ['sharp, each one apart, no cover', 'deep hollow, skin drawn', 'backbone and hooks stand out'],
    ['felt one by one, ends rounded', 'hollow, a little flesh', 'hooks stand out, backbone in view'],
    ['only under pressure', 'a shallow dip, fat to be felt', 'rounded, smooth'],
    ['not to be felt, a shelf of flesh', 'filled, folds of fat begin', 'hooks hardly to be seen'],
    ['deep in fat', 'buried in fat, folds', 'flat across, no bone in view'],
  ],
};
const RABBIT: FeelGuide = {
  how: 'Set her on a table on a mat, one hand on the shoulders. With the other feel along the backbone, over the ribs, and round the rump.',
  places: ['Backbone', 'Ribs', 'Rump'],
  scores: [
    ['a saw: each knob sharp', 'each one apart, no cover', 'hollow'],
    ['knobs easily felt, a little rounded', 'easily felt, thin cover', 'flat'],
    ['rounded, knobs only under pressure', 'felt under a light cover', 'rounded, firm'],
    ['hardly to be felt', 'only under pressure', 'broad and rounded'],
    ['not to be felt', 'not to be felt under fat', 'bulging, a fold under the chin'],
  ],
};

/** What a score feels like, in our own words. */
export const FEEL_GUIDES: Readonly<Record<Species, FeelGuide>> = {
  sheep: SMALL_RUMINANT,
  goat: SMALL_RUMINANT,
  cattle: CATTLE,
  rabbit: RABBIT,
};

/** An animal in words, and the score it has. */
export interface DrillCase {
  readonly id: string;
  readonly species: readonly Species[];
  readonly words: string;
  readonly score: number;
  readonly why: string;
}

const ewes = ['sheep', 'goat'] as const;
export const DRILL_CASES: readonly DrillCase[] = [
  {
    id: 'r1',
    species: ewes,
    score: 1,
    words:
      'The backbone is a knife. Your fingers slide right under the ends of the short ribs, and there is nothing in between but skin.',
    why: 'Sharp everywhere and hollow: nothing is left to lose.',
  },
  {
    id: 'r1h',
    species: ewes,
    score: 1.5,
    words:
      'The knobs of the backbone are sharp but there is a thin strap of muscle beside them. The fingers still go under the short ribs without a push.',
    why: 'Some muscle, but the short ribs are as bare as at 1.',
  },
  {
    id: 'r2',
    species: ewes,
    score: 2,
    words:
      'You count the knobs, though none of them pricks. With a push the fingers get under the short ribs. The loin is filled but you feel no fat.',
    why: 'Rounded and countable, no fat: the mark of a 2.',
  },
  {
    id: 'r2h',
    species: ewes,
    score: 2.5,
    words:
      'The knobs take a light press to be told apart. The ends of the short ribs are rounded; you get under them only just. The loin is full, with hardly a smear of fat.',
    why: 'Between countable and smooth.',
  },
  {
    id: 'r3',
    species: ewes,
    score: 3,
    words:
      'The backbone is smooth; you tell the knobs apart only when you press. The ends of the short ribs need pressing too. The loin is full, with a thin cover.',
    why: 'Everything there, under pressure: what is wanted at mating.',
  },
  {
    id: 'r3h',
    species: ewes,
    score: 3.5,
    words:
      'Pressing firmly you still find the backbone; the ends of the short ribs you find on one side only, and the loin is round.',
    why: 'The short ribs are going, the backbone is not yet.',
  },
  {
    id: 'r4',
    species: ewes,
    score: 4,
    words:
      'The backbone is a line you find with a hard press. The short ribs are not to be found. The loin is round and springy.',
    why: 'A line and no ribs: over what she needs.',
  },
  {
    id: 'r5',
    species: ewes,
    score: 5,
    words:
      'Where the backbone should be there is a dimple. Nothing of bone is felt, and the loin quivers under the hand.',
    why: 'A dimple in place of the ridge.',
  },
  {
    id: 'rw',
    species: ewes,
    score: 2,
    words:
      'In full fleece she looks as broad as a table. Under the wool you count each knob, rounded, and push your fingers under the short ribs.',
    why: 'The eye was wrong: wool is not flesh.',
  },
  {
    id: 'rc',
    species: ewes,
    score: 3,
    words:
      'In the crate, hunched, the backbone stood up like a ridge. Let out and standing easy it is smooth, and the short ribs need pressing.',
    why: 'A hunched back feels thinner; the score is taken standing free.',
  },
  {
    id: 'c1h',
    species: ['cattle'],
    score: 1.5,
    words: 'The short ribs are sharp and apart, the hollow beside the tail-head is deep, with a thread of flesh in it.',
    why: 'Bare ribs, but the tail-head is not quite skin on bone.',
  },
  {
    id: 'c2',
    species: ['cattle'],
    score: 2,
    words: 'You count the short ribs, rounded. The tail-head is hollow with a little flesh. The hooks stand out.',
    why: 'Countable and rounded.',
  },
  {
    id: 'c3',
    species: ['cattle'],
    score: 3,
    words:
      'The short ribs need pressing. Beside the tail-head there is a shallow dip with fat to be felt. The outline is smooth.',
    why: 'Under pressure, and the first fat at the tail.',
  },
  {
    id: 'c3h',
    species: ['cattle'],
    score: 3.5,
    words: 'With a firm press you find the short ribs. The dip at the tail-head is nearly filled and soft.',
    why: 'Between the dip of a 3 and the fill of a 4.',
  },
  {
    id: 'c4',
    species: ['cattle'],
    score: 4,
    words: 'The short ribs are a shelf. The tail-head is filled and begins to fold. The hooks are hard to see.',
    why: 'Folds begin.',
  },
  {
    id: 'c5',
    species: ['cattle'],
    score: 5,
    words: 'From behind she is flat across. The tail-head is buried, and no bone is felt anywhere.',
    why: 'Buried.',
  },
  {
    id: 'k1',
    species: ['rabbit'],
    score: 1,
    words: 'The backbone is a saw under the thumb; the rump is hollow.',
    why: 'A saw is a 1.',
  },
  {
    id: 'k2',
    species: ['rabbit'],
    score: 2,
    words: 'Each knob is easily felt but does not prick. The ribs are thinly covered, the rump is flat.',
    why: 'Easily felt, rounded.',
  },
  {
    id: 'k2h',
    species: ['rabbit'],
    score: 2.5,
    words: 'The knobs are there under a light touch, the ribs under a light cover, the rump neither flat nor round.',
    why: 'Half-way to round.',
  },
  {
    id: 'k3',
    species: ['rabbit'],
    score: 3,
    words: 'You press to tell the knobs apart. The ribs lie under a light cover. The rump is round and firm.',
    why: 'Round and firm: what a doe should be.',
  },
  {
    id: 'k4',
    species: ['rabbit'],
    score: 4,
    words: 'The backbone is hardly felt, the ribs only under pressure, the rump is broad.',
    why: 'Broad.',
  },
  {
    id: 'k5',
    species: ['rabbit'],
    score: 5,
    words: 'No bone is felt. A fold hangs under the chin and the rump bulges.',
    why: 'No bone, a fold: she will not take, or not kindle well.',
  },
];

export interface DrillResult {
  readonly answered: number;
  readonly withinHalf: number;
  /** Mean of answer less key. */
  readonly bias: number;
  readonly kappa: number | undefined;
}

/** How a drill went against its key; answers to cases nobody knows are left out. @returns undefined for none */
export function drillResult(
  answers: readonly { readonly caseId: string; readonly score: number }[],
): DrillResult | undefined {
  const pairs = answers.flatMap(({ caseId, score }): AnswerPair[] => {
    const known = DRILL_CASES.find((c) => c.id === caseId);
    return known ? [[score, known.score]] : [];
  });
  const agreed = agreement(pairs);
  const withinHalf = shareWithin(pairs, 0.5);
  if (!agreed || withinHalf === undefined) return undefined;
  return { answered: pairs.length, withinHalf, bias: agreed.bias, kappa: quadraticKappa(pairs) };
}
