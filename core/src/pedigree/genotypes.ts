import { beliefPropagation } from './beliefPropagation';
import { cliqueTree } from './cliqueTree';
import type { Factor } from './factor';
import type { WithParents } from './arrays';

/** What a test of a recessive gene says: no copy, one, or two. */
export const GENE_RESULTS = ['free', 'carrier', 'affected'] as const;
export type GeneResult = (typeof GENE_RESULTS)[number];

export interface GeneTest {
  readonly animalId: string;
  readonly result: GeneResult;
}

export interface GenotypeQuestion {
  readonly animals: readonly WithParents[];
  readonly tests: readonly GeneTest[];
  /** Share of the harmful allele among gametes of the base population, 0 to 1. */
  readonly alleleFrequency: number;
  /** Share of tests that say one of the other two results. */
  readonly errorRate: number;
}

/** Probability of no copy, one and two; they add up to 1. */
export type Genotype = readonly [free: number, carrier: number, affected: number];

export type GenotypesFound =
  | {
      readonly kind: 'genotypes';
      readonly of: ReadonlyMap<string, Genotype>;
      /** Animals whose family is so entangled that their figures are close and not exact. */
      readonly approximate: ReadonlySet<string>;
    }
  /** No way of handing down gives these tests: a test or a parent is wrong. */
  | { readonly kind: 'contradiction'; readonly testedIds: readonly string[] };

/** A table over more animals than this (3^width numbers) is not made; the family is then gone round by messages. */
const MOST_WIDTH = 11;

/**
 * Probability of each genotype of a recessive gene for all animals, given the tests and the parentage; exact by
 * variable elimination on the pedigree, family by family (Lauritzen & Spiegelhalter 1988, J. R. Stat. Soc. B 50:
 * 157-224), or by messages passed round (iterative peeling, van Arendonk et al. 1989, Theor. Appl. Genet. 78: 735)
 * where a family is entangled beyond the width limit. Base animals are in Hardy-Weinberg proportions; an unknown
 * parent is a random gamete of the base.
 * @throws RangeError on a frequency or error rate outside 0 to 1
 */
export function genotypes(question: GenotypeQuestion): GenotypesFound {
  const { animals, tests, alleleFrequency: q, errorRate } = question;
  for (const share of [q, errorRate]) if (!(share >= 0 && share <= 1)) throw new RangeError(`${share} is not a share`);
  const index = new Map(animals.map((a, i) => [a.id, i]));
  const parent = (id: string | undefined): number | undefined => (id === undefined ? undefined : index.get(id));
  const factors: Factor[] = animals.map((a, i) => inheritance(i, parent(a.sireId), parent(a.damId), q));
  for (const { animalId, result } of tests) {
    const i = index.get(animalId);
    if (i !== undefined) factors.push(evidence(i, result, errorRate));
  }
  const of = new Map<string, Genotype>();
  const approximate = new Set<string>();
  for (const family of families(animals.length, factors)) {
    const exact = cliqueTree(family.factors, family.variables, MOST_WIDTH);
    const found = exact === 'too-wide' ? beliefPropagation(family.factors, family.variables) : exact;
    const ids = family.variables.map((v) => animals[v]?.id ?? '');
    if (found === 'impossible')
      return { kind: 'contradiction', testedIds: tests.map((t) => t.animalId).filter((id) => ids.includes(id)) };
    family.variables.forEach((v, k) => {
      of.set(ids[k] as string, found.get(v) as unknown as Genotype);
      if (exact === 'too-wide') approximate.add(ids[k] as string);
    });
  }
  return { kind: 'genotypes', of, approximate };
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

const evidence = (i: number, result: GeneResult, errorRate: number): Factor => ({
  variables: [i],
  values: Float64Array.from(GENE_RESULTS, (r) => (r === result ? 1 - errorRate : errorRate / 2)),
});

/** The digits of a table's place to the base of three, the first variable first. */
function statesAt(at: number, count: number): number[] {
  const states: number[] = new Array<number>(count).fill(0);
  for (let v = count - 1, rest = at; v >= 0; v--, rest = Math.floor(rest / 3)) states[v] = rest % 3;
  return states;
}

interface Family {
  readonly variables: number[];
  readonly factors: Factor[];
}

/** Animals that hang together through any factor, each group by itself. */
function families(count: number, factors: readonly Factor[]): Family[] {
  const root = Int32Array.from({ length: count }, (_, i) => i);
  const find = (i: number): number => {
    let at = i;
    while (root[at] !== at) at = root[at] = root[root[at] as number] as number;
    return at;
  };
  for (const { variables } of factors) for (const v of variables) root[find(v)] = find(variables[0] as number);
  const found = new Map<number, Family>();
  const of = (v: number): Family => {
    const family = found.get(find(v)) ?? { variables: [], factors: [] };
    found.set(find(v), family);
    return family;
  };
  for (let i = 0; i < count; i++) of(i).variables.push(i);
  for (const f of factors) of(f.variables[0] as number).factors.push(f);
  return [...found.values()];
}

/** Probability that an animal hands the allele to one young. */
export const handsDown = ([, carrier, affected]: Genotype): number => carrier / 2 + affected;

/**
 * Probability that a young of two animals is affected, each animal's genotype by itself: close where the two are no
 * near kin, and otherwise a little low.
 */
export const youngAffected = (sire: Genotype, dam: Genotype): number => handsDown(sire) * handsDown(dam);
