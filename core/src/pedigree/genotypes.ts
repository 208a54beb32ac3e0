import { beliefPropagation } from './beliefPropagation';
import { cliqueTree } from './cliqueTree';
import type { Factor } from './factor';
import type { WithParents } from './arrays';
import type { AnimalId } from '../units';

/** What a test of a recessive gene says: no copy, one, or two; or only that there are not two. */
export const GENE_RESULTS = ['free', 'carrier', 'affected', 'unaffected'] as const;
export type GeneResult = (typeof GENE_RESULTS)[number];

/** Copies of the gene each result leaves room for: none, one, two. */
const FITS: Readonly<Record<GeneResult, readonly [boolean, boolean, boolean]>> = {
  free: [true, false, false],
  carrier: [false, true, false],
  affected: [false, false, true],
  unaffected: [true, true, false],
};

/** One name of a gene, however it was typed: case and spaces do not count. */
export const geneKey = (name: string): string => name.trim().toLowerCase().replaceAll(/\s+/g, ' ');

export interface GeneTest {
  readonly animalId: AnimalId;
  readonly result: GeneResult;
}

export interface GenotypeQuestion {
  readonly animals: readonly WithParents[];
  readonly tests: readonly GeneTest[];
  /** Share of the harmful allele among gametes of the base population, 0 to 1. */
  readonly alleleFrequency: number;
  /** Share of tests that say what is not so. */
  readonly errorRate: number;
}

/** Probability of no copy, one and two; they add up to 1. */
export type Genotype = readonly [free: number, carrier: number, affected: number];

/** Tests that cannot all be true: of one animal, or by the parentage between them. */
export interface GeneContradiction {
  readonly kind: 'own' | 'parentage';
  readonly animalIds: readonly AnimalId[];
}

export interface GenotypesFound {
  /** Chances of an animal, worked out when it is first asked for; undefined where no test tells anything of it. */
  of(id: string): Genotype | undefined;
  /** Between what two runs the chance to carry lies, where the family is too entangled for an exact figure. */
  about(id: string): readonly [low: number, high: number] | undefined;
  readonly contradictions: readonly GeneContradiction[];
  /** One of its tests, or a parent, is wrong: until that is mended it counts as a carrier, or as affected if it was so. */
  isDoubted(id: string): boolean;
}

/** A table over more animals than this (3^width numbers) is not made; the family is then gone round by messages. */
const MOST_WIDTH = 11;

/** A family of the tested and their forebears, as far as it hangs together. */
interface Family {
  readonly ids: readonly string[];
  readonly factors: readonly Factor[];
  readonly isExact: boolean;
}

/**
 * Probability of each genotype of a recessive gene, given the tests and the parentage: exact by variable elimination
 * over the tested, the one asked for and their forebears (Lauritzen & Spiegelhalter 1988, J. R. Stat. Soc. B 50:
 * 157-224; untested descendants say nothing), or by messages passed round (iterative peeling, van Arendonk et al. 1989,
 * Theor. Appl. Genet. 78: 735) where a family is entangled beyond the width limit after that. Base animals are in
 * Hardy-Weinberg proportions; an unknown parent is a random gamete of the base.
 * @throws RangeError on a frequency or error rate outside 0 to 1
 */
export function genotypes(question: GenotypeQuestion): GenotypesFound {
  const { animals, tests, alleleFrequency: q, errorRate } = question;
  for (const share of [q, errorRate]) if (!(share >= 0 && share <= 1)) throw new RangeError(`${share} is not a share`);
  const index = new Map(animals.map((a, i) => [a.id, i]));
  const at = (id: string | undefined): number | undefined => (id === undefined ? undefined : index.get(id));
  /** An animal and all its forebears. */
  const lineOf = (ids: Iterable<string>): Set<string> => {
    const line = new Set<string>();
    const waiting = [...ids];
    for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
      const animal = animals[at(id) ?? -1];
      if (!animal || line.has(id)) continue;
      line.add(id);
      for (const parent of [animal.sireId, animal.damId]) if (parent !== undefined) waiting.push(parent);
    }
    return line;
  };
  const inheritanceOf = (id: string): Factor => {
    const i = at(id) as number;
    return inheritance(i, at(animals[i]?.sireId), at(animals[i]?.damId), q);
  };

  const results = new Map<string, GeneResult[]>();
  for (const { animalId, result } of tests)
    if (index.has(animalId)) results.set(animalId, [...(results.get(animalId) ?? []), result]);
  const own = errorRate > 0 ? [] : [...results].filter(([, all]) => !isPossible(all)).map(([id]) => id);
  const doubted = new Set(own);
  const contradictions: GeneContradiction[] = own.map((id) => ({ kind: 'own', animalIds: [id] }));
  /** A doubted animal is taken for a carrier, unless all that was found is that it is affected. */
  const heldFor = (id: string): readonly GeneResult[] => {
    const all = results.get(id) ?? [];
    if (!doubted.has(id)) return all;
    return all.every((r) => r === 'affected') ? ['affected'] : ['carrier'];
  };
  const evidenceOf = (ids: readonly string[]): Factor[] =>
    ids.flatMap((id) => heldFor(id).map((r) => evidence(at(id) as number, r, errorRate)));

  const known = new Map<string, Genotype | undefined>();
  /** The other of two runs, of those whose figure is not exact. */
  const again = new Map<string, Genotype>();
  const familyOf = new Map<string, Family>();
  const keep = (found: Solved, ids: readonly string[]): void => {
    for (const id of ids) {
      const i = at(id) as number;
      known.set(id, found.first.get(i) as unknown as Genotype);
      if (found.second) again.set(id, found.second.get(i) as unknown as Genotype);
    }
  };
  const base = [...lineOf(results.keys())];
  for (const ids of families(base, (id) => [animals[at(id) as number]?.sireId, animals[at(id) as number]?.damId])) {
    const inherited = ids.map(inheritanceOf);
    const variables = ids.map((id) => at(id) as number);
    let factors = [...inherited, ...evidenceOf(ids)];
    let found = solve(factors, variables);
    if (found === 'impossible') {
      const tested = ids.filter((id) => results.has(id));
      contradictions.push({ kind: 'parentage', animalIds: tested });
      for (const id of tested) doubted.add(id);
      factors = [...inherited, ...evidenceOf(ids)];
      found = solve(factors, variables);
      // Even so nothing fits: the tests are left out, but each counts for itself.
      if (found === 'impossible') {
        factors = inherited;
        found = solve(factors, variables) as Solved;
      }
    }
    const family: Family = { ids, factors, isExact: found.second === undefined };
    for (const id of ids) familyOf.set(id, family);
    keep(found, ids);
  }
  for (const id of doubted) {
    known.set(id, heldFor(id)[0] === 'affected' ? [0, 0, 1] : [0, 1, 0]);
    again.delete(id);
  }

  /** Answers of pairs whose lines meet, by pair: their untested young are all alike. */
  const ofPair = new Map<string, readonly [Genotype, Genotype | undefined]>();
  const find = (id: string): Genotype | undefined => {
    if (known.has(id)) return known.get(id);
    const animal = animals[at(id) ?? -1];
    const line = animal && lineOf([id]);
    const touched = line && new Set([...line].flatMap((l) => familyOf.get(l) ?? []));
    if (!animal || !line || !touched || touched.size === 0) {
      known.set(id, undefined);
      return undefined;
    }
    const { sireId, damId } = animal;
    const pair = `${sireId} ${damId}`;
    let answer = ofPair.get(pair);
    if (!answer) {
      const meets = meet(sireId, damId);
      const extra = [...line].filter((l) => !familyOf.has(l));
      const exact =
        meets && [...touched].every((f) => f.isExact)
          ? cliqueTree(
              [...[...touched].flatMap((f) => f.factors), ...extra.map(inheritanceOf)],
              [...[...touched].flatMap((f) => f.ids), ...extra].map((l) => at(l) as number),
              MOST_WIDTH,
            )
          : undefined;
      answer =
        exact && typeof exact !== 'string'
          ? [exact.get(at(id) as number) as unknown as Genotype, undefined]
          : fromParents(sireId, damId, meets);
      ofPair.set(pair, answer);
    }
    known.set(id, answer[0]);
    if (answer[1]) again.set(id, answer[1]);
    return answer[0];
  };
  /** Whether the lines of two parents have anything to do with each other. */
  const meet = (sireId: AnimalId | undefined, damId: AnimalId | undefined): boolean => {
    if (sireId === undefined || damId === undefined) return false;
    const [his, hers] = [lineOf([sireId]), lineOf([damId])];
    const hisFamilies = new Set([...his].flatMap((l) => familyOf.get(l) ?? []));
    return [...hers].some((l) => his.has(l) || hisFamilies.has(familyOf.get(l) as Family));
  };
  /** Each parent by itself: exact where their lines do not meet, what messages would tell where they do. */
  const fromParents = (
    sireId: AnimalId | undefined,
    damId: AnimalId | undefined,
    meets: boolean,
  ): readonly [Genotype, Genotype | undefined] => {
    const handed = (id: string | undefined, of: ReadonlyMap<string, Genotype>): number => {
      const genotype = id === undefined ? undefined : (of.get(id) ?? find(id));
      return genotype ? handsDown(genotype) : q;
    };
    const young = (of: ReadonlyMap<string, Genotype>): Genotype => {
      const [s, d] = [handed(sireId, of), handed(damId, of)];
      return [(1 - s) * (1 - d), s * (1 - d) + d * (1 - s), s * d];
    };
    const first = young(NOTHING);
    const isAbout = meets || [sireId, damId].some((id) => id !== undefined && again.has(id));
    return [first, isAbout ? young(again) : undefined];
  };
  return {
    of: find,
    about: (id) => {
      const first = find(id);
      const second = again.get(id);
      if (!first || !second) return undefined;
      const [a, b] = [1 - first[0], 1 - second[0]];
      return [Math.min(a, b), Math.max(a, b)];
    },
    contradictions,
    isDoubted: (id) => doubted.has(id),
  };
}

const NOTHING: ReadonlyMap<string, Genotype> = new Map();

const isPossible = (results: readonly GeneResult[]): boolean =>
  [0, 1, 2].some((copies) => results.every((r) => FITS[r][copies]));

interface Solved {
  readonly first: ReadonlyMap<number, Float64Array>;
  /** What messages in the other order come to; undefined where the first is exact. */
  readonly second: ReadonlyMap<number, Float64Array> | undefined;
}

function solve(factors: readonly Factor[], variables: readonly number[]): Solved | 'impossible' {
  const exact = cliqueTree(factors, variables, MOST_WIDTH);
  if (exact === 'impossible') return exact;
  if (exact !== 'too-wide') return { first: exact, second: undefined };
  const first = beliefPropagation(factors, variables);
  const second = beliefPropagation(factors.toReversed(), variables.toReversed());
  return first === 'impossible' || second === 'impossible' ? 'impossible' : { first, second };
}

/** Probability that a genotype hands down the allele. */
const HANDS_DOWN = [0, 0.5, 1] as const;

function inheritance(i: number, sire: number | undefined, dam: number | undefined, q: number): Factor {
  const variables = [i, ...(sire === undefined ? [] : [sire]), ...(dam === undefined || dam === sire ? [] : [dam])];
  const values = new Float64Array(3 ** variables.length);
  for (let at = 0; at < values.length; at++) {
    // The first variable turns slowest.
    const states = statesAt(at, variables.length);
    const handed = (p: number | undefined): number =>
      p === undefined ? q : HANDS_DOWN[states[variables.indexOf(p)] as 0 | 1 | 2];
    const [s, d] = [handed(sire), handed(dam)];
    values[at] = [(1 - s) * (1 - d), s * (1 - d) + d * (1 - s), s * d][states[0] as number] as number;
  }
  return { variables, values };
}

/** A test errs by saying one of the results that do not fit, each as often. */
const evidence = (i: number, result: GeneResult, errorRate: number): Factor => ({
  variables: [i],
  values: Float64Array.from(FITS[result], (fits) => (fits ? 1 - errorRate : errorRate / 2)),
});

/** The digits of a table's place to the base of three, the first variable first. */
function statesAt(at: number, count: number): number[] {
  const states: number[] = new Array<number>(count).fill(0);
  for (let v = count - 1, rest = at; v >= 0; v--, rest = Math.floor(rest / 3)) states[v] = rest % 3;
  return states;
}

/** Animals that hang together through parents among them, each group by itself. */
function families(
  ids: readonly string[],
  parentsOf: (id: string) => readonly (string | undefined)[],
): readonly string[][] {
  const place = new Map(ids.map((id, i) => [id, i]));
  const root = Int32Array.from({ length: ids.length }, (_, i) => i);
  const find = (i: number): number => {
    let at = i;
    while (root[at] !== at) at = root[at] = root[root[at] as number] as number;
    return at;
  };
  ids.forEach((id, i) => {
    for (const parent of parentsOf(id)) {
      const p = parent === undefined ? undefined : place.get(parent);
      if (p !== undefined) root[find(i)] = find(p);
    }
  });
  const found = new Map<number, string[]>();
  ids.forEach((id, i) => {
    const family = found.get(find(i));
    if (family) family.push(id);
    else found.set(find(i), [id]);
  });
  return [...found.values()];
}

/** Probability that an animal hands the allele to one young. */
export const handsDown = ([, carrier, affected]: Genotype): number => carrier / 2 + affected;

/**
 * Probability that a young of two animals is affected, each animal's genotype by itself: close where the two are no
 * near kin, and otherwise a little low.
 */
export const youngAffected = (sire: Genotype, dam: Genotype): number => handsDown(sire) * handsDown(dam);
