import { dailyWeights, type AnimalFacts, type WeightFact } from '../book';
import { correctedKg, doubtReading, isGuess, type Reading, type ReadingDoubt, type ScaleBias } from '../growth';
import type { SpeciesSettings } from '../species';

const NONE: ReadonlyMap<string, ScaleBias> = new Map();

interface DoubtContext {
  /** By `biasKey`; asked only where a tape or an eye is among the animal's readings, as they are dear to keep up. */
  readonly biases: () => ReadonlyMap<string, ScaleBias>;
  readonly settings: SpeciesSettings;
  /** The animal's readings by day, set right, where they are known already (`dailyWeights`). */
  readonly daily?: readonly Reading[];
}

/** A doubt about a weight beside the animal's own before it (see `doubtReading`), a tape and an eye set right in both. */
export function doubtOf(
  facts: AnimalFacts,
  weight: Pick<WeightFact, 'on' | 'kg' | 'method' | 'by'>,
  { biases, settings, daily }: DoubtContext,
): ReadingDoubt | undefined {
  const isGuessed = isGuess(weight.method) || (!daily && facts.weights.some((w) => isGuess(w.method)));
  const known = isGuessed ? biases() : NONE;
  const before = (daily ?? dailyWeights(facts, known)).findLast((r) => r.on < weight.on);
  const kg = correctedKg({ ...weight, species: facts.record.species }, known) ?? weight.kg;
  return doubtReading(before, { on: weight.on, kg, method: weight.method }, settings);
}
