import { agreement, quadraticKappa, shareWithin, type Agreement, type AnswerPair } from '../statistics';
import type { ScoreReading } from './readings';

/** How two scorers, or one scorer twice, felt the same animals on the same days. */
export interface ScorerPair {
  readonly first: string;
  /** The same as `first` for a scorer who scored animals twice. */
  readonly second: string;
  readonly pairs: readonly AnswerPair[];
  readonly agreement: Agreement;
  readonly kappa: number | undefined;
  readonly withinHalf: number;
}

/** From so many animals scored by both a bias is used to set a scorer right. */
export const SCORER_PAIRS_NEEDED = 8;

/**
 * Same-day scores of the same animals, by pair of scorers (in order of their names) and of each scorer with himself.
 * Of two who scored an animal the first score of each counts; of one who scored it twice, the first two.
 * @param animals the scores of each animal
 */
export function scorerPairs(animals: Iterable<readonly ScoreReading[]>): ScorerPair[] {
  const found = new Map<string, { first: string; second: string; pairs: AnswerPair[] }>();
  const add = (first: string, second: string, pair: AnswerPair): void => {
    const key = JSON.stringify([first, second]);
    const known = found.get(key) ?? { first, second, pairs: [] };
    known.pairs.push(pair);
    found.set(key, known);
  };
  for (const readings of animals) {
    for (const on of new Set(readings.map((r) => r.on))) {
      const byScorer = new Map<string, number[]>();
      for (const r of readings) if (r.on === on) byScorer.set(r.by, [...(byScorer.get(r.by) ?? []), r.score]);
      const all = [...byScorer].sort(([a], [b]) => (a < b ? -1 : 1));
      all.forEach(([first, [own = 0, again]], i) => {
        if (again !== undefined) add(first, first, [own, again]);
        for (const [second, [other = 0]] of all.slice(i + 1)) add(first, second, [own, other]);
      });
    }
  }
  return [...found.values()].flatMap(({ first, second, pairs }) => {
    const agreed = agreement(pairs);
    const withinHalf = shareWithin(pairs, 0.5);
    if (!agreed || withinHalf === undefined) return [];
    return [{ first, second, pairs, agreement: agreed, kappa: quadraticKappa(pairs), withinHalf }];
  });
}

/** How much higher a scorer scores than the one others are held against. */
export interface ScorerBias {
  readonly by: string;
  /** Scores; taken off what this scorer gives. */
  readonly bias: number;
  readonly standardError: number | undefined;
  readonly pairs: number;
  /** Enough pairs to set right by it. */
  readonly isUsable: boolean;
}

/** Each scorer's bias against the reference scorer, from the pairs of the two. */
export function scorerBiases(pairs: readonly ScorerPair[], reference: string): ScorerBias[] {
  return pairs.flatMap(({ first, second, agreement: a }) => {
    if (first === second || (first !== reference && second !== reference)) return [];
    const isFirst = second === reference;
    return [
      {
        by: isFirst ? first : second,
        bias: isFirst ? a.bias : -a.bias,
        standardError: a.biasStandardError,
        pairs: a.pairs,
        isUsable: a.pairs >= SCORER_PAIRS_NEEDED,
      },
    ];
  });
}
