/** Steps a score may have: halves are the rule, quarters for whoever feels them. */
export const SCORE_STEPS = [0.5, 0.25] as const;
export type ScoreStep = (typeof SCORE_STEPS)[number];
export const LOWEST_SCORE = 1;
export const HIGHEST_SCORE = 5;

/**
 * Measurement SD of one score given by hand, in scores: a practised scorer gives the same animal the same half again
 * most of the time. Rule of thumb.
 */
export const SCORE_SD = 0.25;

export type TypedScore =
  | { readonly kind: 'score'; readonly score: number }
  | { readonly kind: 'refused'; readonly reason: 'empty' | 'not-a-score' | 'out-of-range' | 'finer-than-quarters' };

/**
 * A score as it is typed with cold hands: `3`, `3.5`, `3,25`; a point with nothing after it is a half (`3.`), so that
 * two keys do for a half.
 */
export function readTypedScore(typed: string): TypedScore {
  const text = typed.trim().replace(',', '.');
  if (text === '') return { kind: 'refused', reason: 'empty' };
  if (!/^\d{1,2}(\.\d*)?$/.test(text)) return { kind: 'refused', reason: 'not-a-score' };
  const score = text.endsWith('.') ? Number(text.slice(0, -1)) + 0.5 : Number(text);
  if (score < LOWEST_SCORE || score > HIGHEST_SCORE) return { kind: 'refused', reason: 'out-of-range' };
  return isScore(score) ? { kind: 'score', score } : { kind: 'refused', reason: 'finer-than-quarters' };
}

/** Whether a number is a score: 1 to 5 by quarters. */
export const isScore = (value: number): boolean =>
  value >= LOWEST_SCORE && value <= HIGHEST_SCORE && Number.isInteger(value * 4);
