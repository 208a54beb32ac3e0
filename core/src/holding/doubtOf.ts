import { dailyWeights, type AnimalFacts, type WeightFact } from '../book';
import type { Day } from '../calendar';
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
  weight: Pick<WeightFact, 'on' | 'kg' | 'method' | 'by'> & { readonly entryId?: string },
  { biases, settings, daily }: DoubtContext,
): ReadingDoubt | undefined {
  const isGuessed = isGuess(weight.method) || (!daily && facts.weights.some((w) => isGuess(w.method)));
  const known = isGuessed ? biases() : NONE;
  const before = (daily ?? dailyWeights(facts, known)).findLast((r) => r.on < weight.on);
  const { species, bornOn } = facts.record;
  const trueKg = (w: Pick<WeightFact, 'kg' | 'method' | 'by'>): number => correctedKg({ ...w, species }, known) ?? w.kg;
  const other = sameDayBefore(facts, weight);
  return doubtReading(
    {
      before,
      sameDay: other && { ...other, kg: trueKg(other) },
      ageDays: bornOn === undefined ? undefined : weight.on - bornOn,
    },
    { on: weight.on, kg: trueKg(weight), method: weight.method },
    settings,
  );
}

/** The last weight of the same day that was written before it. */
function sameDayBefore(
  { weights }: AnimalFacts,
  { on, entryId }: { readonly on: Day; readonly entryId?: string },
): WeightFact | undefined {
  const at = entryId === undefined ? -1 : weights.findIndex((w) => w.entryId === entryId);
  return weights.findLast((w, i) => w.on === on && w.entryId !== entryId && (at < 0 || i < at));
}
