import {
  biasKey,
  isGuess,
  sameDayPairs,
  scaleBiases,
  scorerBiases,
  scorerPairs,
  type AnimalFacts,
  type SameDayPair,
  type ScaleBias,
  type ScorerPair,
  type ScoreReading,
} from '@yaylak/core';
import type { ScorersSetting } from '@yaylak/contract';

const NONE: ReadonlyMap<string, number> = new Map();

/**
 * How each hand, tape and eye reads beside another. Kept by animal: a weight or score only reads the pairs of its own
 * animal anew, and the sums over them.
 */
export class Biases {
  private readonly pairsOf = new Map<string, readonly SameDayPair[]>();
  private readonly scoresOf = new Map<string, readonly ScoreReading[]>();
  /** Animals whose weights, or scores, changed since they were read. */
  private readonly weighed = new Set<AnimalFacts>();
  private readonly scored = new Set<AnimalFacts>();
  private tape: ReadonlyMap<string, ScaleBias> = new Map();
  private scorers: { readonly pairs: readonly ScorerPair[]; readonly biasOf: ReadonlyMap<string, number> } | undefined;
  private setting: ScorersSetting = { setRight: [] };

  /** A weight of an animal came or went. */
  noteWeight(facts: AnimalFacts): void {
    if (this.pairsOf.has(facts.record.id) || facts.weights.some((w) => isGuess(w.method))) this.weighed.add(facts);
  }

  /** A score of an animal came or went. */
  noteScore(facts: AnimalFacts): void {
    const { scores } = facts;
    if (this.scoresOf.has(facts.record.id) || isTwiceADay(scores)) this.scored.add(facts);
  }

  setScorers(setting: ScorersSetting): void {
    this.setting = setting;
    this.scorers = undefined;
  }

  /** How each person's tape and eye read beside the scale, by `biasKey`. */
  get byKey(): ReadonlyMap<string, ScaleBias> {
    return this.tape;
  }

  /** How the scorers felt the same animals. */
  get scorerPairs(): readonly ScorerPair[] {
    return this.readScorers().pairs;
  }

  /** How much higher each scorer that is set right reads. */
  get scorerBias(): ReadonlyMap<string, number> {
    return this.setting.setRight.length === 0 ? NONE : this.readScorers().biasOf;
  }

  /** Whether anything changed since it was read last. */
  get isOpen(): boolean {
    return this.weighed.size + this.scored.size > 0;
  }

  /**
   * Reads what changed since it was read last.
   * @returns whose readings are now set right otherwise: by these keys of a tape or eye, by these scorers
   */
  settle(): { readonly keys: ReadonlySet<string>; readonly scorers: ReadonlySet<string> } {
    const keys = new Set<string>();
    if (this.weighed.size > 0) {
      for (const facts of this.weighed)
        put(this.pairsOf, facts.record.id, sameDayPairs(facts.weights, facts.record.species));
      this.weighed.clear();
      const before = this.tape;
      this.tape = new Map(scaleBiases(inOrder(this.pairsOf).flat()).map((b) => [biasKey(b), b]));
      for (const key of new Set([...before.keys(), ...this.tape.keys()]))
        if (usedRatio(before.get(key)) !== usedRatio(this.tape.get(key))) keys.add(key);
    }
    const scorers = new Set<string>();
    if (this.scored.size > 0) {
      for (const { record, scores } of this.scored)
        put(this.scoresOf, record.id, isTwiceADay(scores) ? [...scores] : []);
      this.scored.clear();
      const before = this.scorers?.biasOf ?? NONE;
      this.scorers = undefined;
      const after = this.scorerBias;
      for (const by of new Set([...before.keys(), ...after.keys()]))
        if (before.get(by) !== after.get(by)) scorers.add(by);
    }
    return { keys, scorers };
  }

  private readScorers(): NonNullable<Biases['scorers']> {
    if (this.scorers) return this.scorers;
    const pairs = scorerPairs(inOrder(this.scoresOf));
    const { reference, setRight } = this.setting;
    const biases = reference === undefined ? [] : scorerBiases(pairs, reference);
    const used = biases.filter((b) => b.isUsable && setRight.includes(b.by));
    return (this.scorers = { pairs, biasOf: new Map(used.map((b) => [b.by, b.bias])) });
  }
}

const usedRatio = (bias: ScaleBias | undefined): number | undefined => (bias?.isUsed ? bias.ratio : undefined);

function put<T>(map: Map<string, readonly T[]>, id: string, list: readonly T[]): void {
  if (list.length === 0) map.delete(id);
  else map.set(id, list);
}

/** By animal, so that a sum comes out the same to the last digit however the pairs came in. */
const inOrder = <T>(map: ReadonlyMap<string, readonly T[]>): (readonly T[])[] =>
  [...map].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, list]) => list);

const isTwiceADay = (scores: readonly ScoreReading[]): boolean =>
  scores.some((s, i) => i > 0 && scores[i - 1]?.on === s.on);
