import { mean, standardDeviation, t80 } from '../statistics';
import type { Species } from '../species';
import type { Reading, WeighingMethod } from './readings';
import type { Kilograms } from '../units';

/** Ways that guess a weight from something else than a scale. */
export const GUESSING_METHODS = ['tape', 'estimate'] as const satisfies readonly WeighingMethod[];
export type GuessingMethod = (typeof GUESSING_METHODS)[number];
export const isGuess = (method: WeighingMethod): method is GuessingMethod =>
  (GUESSING_METHODS as readonly WeighingMethod[]).includes(method);

/** From so many same-day pairs on a bias is used. */
export const PAIRS_FOR_BIAS = 8;

/** One animal by tape or eye and by scale on one day. */
export interface SameDayPair {
  readonly by: string;
  readonly method: GuessingMethod;
  readonly species: Species;
  readonly guessedKg: Kilograms;
  readonly scaleKg: Kilograms;
}

/** How a person's tape or eye reads beside the scale. */
export interface ScaleBias {
  readonly by: string;
  readonly method: GuessingMethod;
  readonly species: Species;
  readonly pairs: number;
  /** Guessed over scale: 1.08 reads 8 % high. The mean of the logarithms, so that 2 and 1/2 make 1. */
  readonly ratio: number;
  /** 80 % interval of the ratio; undefined under two pairs. */
  readonly low: number | undefined;
  readonly high: number | undefined;
  /** Enough pairs to be used. */
  readonly isUsed: boolean;
}

type Written = Reading & { readonly by: string };

/** The pairs of one animal: each guess of a day beside the mean of that day's scale weights. */
export function sameDayPairs(readings: readonly Written[], species: Species): SameDayPair[] {
  return readings.flatMap((r): SameDayPair[] => {
    if (!isGuess(r.method)) return [];
    const scaleKg = mean(
      readings.filter((s) => s.on === r.on && (s.method === 'scale' || s.method === 'crate')).map((s) => s.kg),
    );
    return scaleKg === undefined ? [] : [{ by: r.by, method: r.method, species, guessedKg: r.kg, scaleKg }];
  });
}

/** Bias of each person, method and species. Mean of log ratios with Student's interval. */
export function scaleBiases(pairs: readonly SameDayPair[]): ScaleBias[] {
  const groups = new Map<string, SameDayPair[]>();
  for (const p of pairs) {
    const key = biasKey(p);
    groups.set(key, [...(groups.get(key) ?? []), p]);
  }
  return [...groups.values()].map((own) => {
    const { by, method, species } = own[0] as SameDayPair;
    const logs = own.map((p) => Math.log(p.guessedKg / p.scaleKg));
    const centre = mean(logs) as number;
    const sd = standardDeviation(logs);
    const half = sd === undefined ? undefined : (t80(own.length - 1) * sd) / Math.sqrt(own.length);
    return {
      by,
      method,
      species,
      pairs: own.length,
      ratio: Math.exp(centre),
      low: half === undefined ? undefined : Math.exp(centre - half),
      high: half === undefined ? undefined : Math.exp(centre + half),
      isUsed: own.length >= PAIRS_FOR_BIAS,
    };
  });
}

/** What setting right takes of a bias. */
export type UsedBias = Pick<ScaleBias, 'by' | 'method' | 'species' | 'ratio' | 'isUsed'>;

/** Biases as `correctedKg` looks them up. */
export const biasesByKey = <B extends UsedBias>(biases: readonly B[]): ReadonlyMap<string, B> =>
  new Map(biases.map((b) => [biasKey(b), b]));

/** Who guessed what how: biases are kept by this. */
export const biasKey = (g: Pick<SameDayPair, 'by' | 'method' | 'species'>): string =>
  `${g.species} ${g.method} ${g.by}`;

/** A guessed weight set right by its person's bias. @returns undefined where there is none to use: it stays as read */
export function correctedKg(
  guess: { readonly kg: Kilograms; readonly method: WeighingMethod; readonly by: string; readonly species: Species },
  biases: ReadonlyMap<string, UsedBias>,
): number | undefined {
  if (!isGuess(guess.method)) return undefined;
  const bias = biases.get(biasKey({ ...guess, method: guess.method }));
  return bias?.isUsed ? guess.kg / bias.ratio : undefined;
}
