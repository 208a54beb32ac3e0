import { agreement, halfWidth80, shareWithin, standardDeviation, type AnswerPair } from '../statistics';
import type { Days } from '../units';

/** One foetus whose age two told. */
export interface AgeingPair {
  readonly learner: string;
  readonly scanner: string;
  readonly learnerDays: Days;
  readonly scannerDays: Days;
}

export interface AgeingAgreement {
  readonly learner: string;
  readonly scanner: string;
  readonly pairs: readonly AnswerPair[];
  /** Mean of learner less scanner, days. */
  readonly bias: number;
  /** Half the 80 % interval of the bias; undefined under two pairs. */
  readonly biasHalfWidth: number | undefined;
  /** Standard deviation of the differences (n-1); undefined under two pairs. */
  readonly sd: number | undefined;
  readonly limits: readonly [low: number, high: number] | undefined;
  /** Share within five days, five included. */
  readonly withinFive: number;
}

const CLOSE_DAYS = 5;

/** How each learner tells ages beside each scanner, the most pairs first (Bland & Altman 1986; see `agreement`). */
export function ageingAgreement(all: readonly AgeingPair[]): AgeingAgreement[] {
  const byPair = new Map<string, AgeingPair[]>();
  for (const one of all) {
    const key = JSON.stringify([one.learner, one.scanner]);
    byPair.set(key, [...(byPair.get(key) ?? []), one]);
  }
  return [...byPair.values()]
    .flatMap((own): AgeingAgreement[] => {
      const pairs = own.map((p): AnswerPair => [p.learnerDays, p.scannerDays]);
      const found = agreement(pairs);
      const [first] = own;
      if (!found || !first) return [];
      const { learner, scanner } = first;
      return [
        {
          learner,
          scanner,
          pairs,
          bias: found.bias,
          biasHalfWidth: found.biasStandardError === undefined ? undefined : halfWidth80(found.biasStandardError),
          sd: standardDeviation(pairs.map(([a, b]) => a - b)),
          limits: found.limits,
          withinFive: shareWithin(pairs, CLOSE_DAYS) ?? 0,
        },
      ];
    })
    .sort((a, b) => b.pairs.length - a.pairs.length || (a.learner < b.learner ? -1 : 1));
}
