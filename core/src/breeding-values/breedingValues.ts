import { inbreedingOf, pedigreeOf, type WithParents } from '../pedigree';
import { mean } from '../statistics';
import type { AnimalId } from '../units';
import { solveMixedModel, type VarianceShares } from './mixedModel';

/** A record of a trait, with what it is held against: one level of each effect, in the same order for all records. */
export interface TraitRecord {
  readonly animalId: AnimalId;
  readonly value: number;
  readonly effects: readonly string[];
  /** The litter or female it shares with others, where the trait has such a share. */
  readonly sharedBy?: string | undefined;
}

export interface BreedingQuestion {
  readonly animals: readonly WithParents[];
  readonly records: readonly TraitRecord[];
  readonly shares: VarianceShares;
  /** Whose mean is 0: those born in the base years. */
  readonly base: ReadonlySet<AnimalId>;
}

export const RELIABILITY_WORDS = ['guess', 'fair', 'good'] as const;
export type ReliabilityWord = (typeof RELIABILITY_WORDS)[number];

export interface BreedingValue {
  /** Difference from the mean of the base animals, in the trait's unit. */
  readonly value: number;
  readonly predictionErrorVariance: number;
  readonly reliability: number;
  readonly word: ReliabilityWord;
  readonly records: number;
  /** They add up to the value. Without a record it is all kin: the parents' mean. */
  readonly parts: {
    /** Its records against the mean of all. */
    readonly own: number;
    /** What the groups it was recorded in take off, or add. */
    readonly group: number;
    /** What kin add, and what is held back of one record alone. */
    readonly kin: number;
  };
}

export type BreedingAnswer =
  /** Their parents are their own young. */
  | { readonly kind: 'loop'; readonly ids: readonly AnimalId[] }
  | { readonly kind: 'too-few'; readonly records: number; readonly needed: number }
  /** All records are the same within their groups: nothing tells one animal from another. */
  | { readonly kind: 'no-spread' }
  | {
      readonly kind: 'values';
      readonly of: ReadonlyMap<AnimalId, BreedingValue>;
      readonly geneticVariance: number;
      /** Reliabilities are exact; of very large herds they are near enough. */
      readonly isExact: boolean;
      /** What the mean of the base animals stands for, in the trait's own unit. */
      readonly baseLevel: number;
    };

/** Fewer records say too little of any animal. */
export const LEAST_RECORDS = 30;

/** Values of a trait with their reliabilities, by `solveMixedModel`. Records of animals not given are left out. */
export function breedingValues({ animals, records, shares, base }: BreedingQuestion): BreedingAnswer {
  const read = pedigreeOf(animals);
  if (read.kind === 'loop') return { kind: 'loop', ids: read.ids };
  const { pedigree } = read;
  const used = records.filter((r) => pedigree.indexOf.has(r.animalId));
  if (used.length < LEAST_RECORDS) return { kind: 'too-few', records: used.length, needed: LEAST_RECORDS };
  const inbreeding = inbreedingOf(pedigree);
  const animal = Int32Array.from(used, (r) => pedigree.indexOf.get(r.animalId) as number);
  const value = Float64Array.from(used, (r) => r.value);
  const effects = used[0]?.effects.length ?? 0;
  // A trait whose records are held against nothing has their mean.
  const fixed =
    effects === 0
      ? [new Int32Array(used.length)]
      : Array.from({ length: effects }, (_, f) => numbered(used, (r) => r.effects[f] ?? ''));
  const other = shares.other > 0 ? numbered(used, (r) => r.sharedBy ?? r.animalId) : undefined;
  const answer = solveMixedModel(pedigree, inbreeding, { animal, value, fixed, other }, shares);
  const { geneticVariance = 0 } = answer;
  const all = used.map((r) => r.value);
  const allRecords = mean(all) as number;
  const spread = Math.max(1, Math.abs(allRecords));
  if (geneticVariance <= spread ** 2 * Number.EPSILON) return { kind: 'no-spread' };
  const inBase = pedigree.ids.flatMap((id, i) => (base.has(id) ? [answer.values[i] as number] : []));
  const baseMean = mean(inBase) ?? 0;
  const fixedOf = used.map((_, r) =>
    fixed.reduce((sum, effect, f) => sum + (answer.fixed[f]?.[effect[r] as number] ?? 0), 0),
  );
  const allFixed = mean(fixedOf) as number;
  const own = new Float64Array(animals.length);
  const held = new Float64Array(animals.length);
  const count = new Int32Array(animals.length);
  used.forEach((_, r) => {
    const i = animal[r] as number;
    own[i] = (own[i] as number) + (value[r] as number) - allRecords;
    held[i] = (held[i] as number) + (fixedOf[r] as number) - allFixed;
    count[i] = (count[i] as number) + 1;
  });
  const of = new Map<AnimalId, BreedingValue>();
  pedigree.ids.forEach((id, i) => {
    const n = count[i] as number;
    const shown = (answer.values[i] as number) - baseMean;
    const ownPart = n === 0 ? 0 : (own[i] as number) / n;
    const groupPart = n === 0 ? 0 : -(held[i] as number) / n;
    // Rounding may leave a hair below 0 where nothing at all is known.
    const reliability = Math.min(1, Math.max(0, answer.reliability[i] as number));
    of.set(id, {
      value: shown,
      predictionErrorVariance: answer.predictionErrorVariance[i] as number,
      reliability,
      word: reliabilityWord(reliability),
      records: n,
      parts: { own: ownPart, group: groupPart, kin: shown - ownPart - groupPart },
    });
  });
  return { kind: 'values', of, geneticVariance, isExact: answer.isExact, baseLevel: allFixed + baseMean };
}

/** Under .2 a guess, to .5 fair, above good. */
export const reliabilityWord = (reliability: number): ReliabilityWord =>
  reliability < 0.2 ? 'guess' : reliability <= 0.5 ? 'fair' : 'good';

/** Levels numbered from 0 as they come. */
function numbered(records: readonly TraitRecord[], levelOf: (record: TraitRecord) => string): Int32Array {
  const known = new Map<string, number>();
  return Int32Array.from(records, (record) => {
    const level = levelOf(record);
    const number = known.get(level) ?? known.size;
    known.set(level, number);
    return number;
  });
}
