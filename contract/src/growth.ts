import type { AdjustedWeight, Breakdown, GuessingMethod, Species } from '@yaylak/core';

/** A gain with how wide the guess is. Kilograms a day. */
export interface GainView {
  readonly kgPerDay: number;
  readonly standardError: number;
  readonly halfWidth: number;
  readonly from: string;
  readonly to: string;
  readonly readings: number;
  /** Half the contemporaries' median, the line it is judged by; null without a group to compare with. */
  readonly lineKgPerDay: number | null;
  readonly verdict: 'above' | 'below' | 'too-soon' | 'no-group';
}

/** A weight set to an age, with every step, for "how?". */
export interface AdjustedView {
  readonly standardDays: number;
  readonly readKg: number;
  readonly readOn: string;
  readonly ageDays: number;
  readonly birthKg: number;
  readonly birthWeight: AdjustedWeight['birthWeight'];
  readonly steps: AdjustedWeight['steps'];
  readonly factors: AdjustedWeight['factors'];
  readonly factorSources: Readonly<
    Record<
      keyof AdjustedWeight['factors'],
      {
        readonly class: string | null;
        readonly source: 'table' | 'own';
        readonly records: number;
        readonly ownWeight: number;
      }
    >
  >;
  readonly kg: number;
  readonly standardError: number;
}

export interface ContemporaryVerdict {
  readonly adjusted: AdjustedView;
  readonly ratio: number;
  readonly groupSize: number;
  readonly isSmallGroup: boolean;
  readonly breakdown: Breakdown;
}

/** How somebody's tape or eye reads beside the scale; 80 % interval. */
export interface BiasView {
  readonly by: string;
  readonly method: GuessingMethod;
  readonly species: Species;
  readonly pairs: number;
  readonly ratio: number;
  readonly low: number | null;
  readonly high: number | null;
  readonly isUsed: boolean;
}
