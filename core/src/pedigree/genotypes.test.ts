import fc from 'fast-check';
import { genotypes, GENE_RESULTS, youngAffected, type GeneResult, type Genotype, type WithParents } from '.';
import { beliefPropagation } from './beliefPropagation';
import { cliqueTree } from './cliqueTree';

const animal = (id: string, sireId?: string, damId?: string): WithParents => ({ id, sireId, damId });
const test = (animalId: string, result: GeneResult) => ({ animalId, result });

function found(
  animals: readonly WithParents[],
  tests: readonly ReturnType<typeof test>[],
  alleleFrequency = 0.1,
  errorRate = 0,
): ReadonlyMap<string, Genotype> {
  const answer = genotypes({ animals, tests, alleleFrequency, errorRate });
  if (answer.kind !== 'genotypes') throw new Error('these contradict each other');
  return answer.of;
}
const close = (got: Genotype | undefined, want: readonly number[], digits = 10): void => {
  want.forEach((w, i) => expect(got?.[i]).toBeCloseTo(w, digits));
};

describe('by hand', () => {
  const family = [animal('sire'), animal('dam'), animal('young', 'sire', 'dam')];
  it('nobody tested: as the base is', () => {
    close(found(family, []).get('young'), [0.81, 0.18, 0.01]);
  });
  it('a young that is affected makes both parents carriers at least', () => {
    // Each gave one copy: of those who give it, 1/2 of 0.18 are carriers and 0.01 affected, so 0.9 and 0.1.
    close(found(family, [test('young', 'affected')]).get('sire'), [0, 0.9, 0.1]);
  });
  it('a healthy-tested pair of carriers gives one in four', () => {
    const of = found(family, [test('sire', 'carrier'), test('dam', 'carrier')]);
    close(of.get('young'), [0.25, 0.5, 0.25]);
    expect(youngAffected(of.get('sire') as Genotype, of.get('dam') as Genotype)).toBe(0.25);
  });
  it('a free young says something of its sire', () => {
    // P(sire | young free): free 0.81 x 1, carrier 0.18 x 1/2, affected 0: 0.81 and 0.09 of 0.9.
    close(found(family, [test('young', 'free')]).get('sire'), [0.9, 0.1, 0]);
  });
  it('an unknown parent is a random gamete of the base', () => {
    close(found([animal('sire'), animal('young', 'sire')], [test('sire', 'carrier')]).get('young'), [0.45, 0.5, 0.05]);
  });
  it('a test that errs leaves a little room', () => {
    // 0.81 x 0.99, 0.18 x 0.005, 0.01 x 0.005.
    const sum = 0.81 * 0.99 + 0.19 * 0.005;
    close(found([animal('a')], [test('a', 'free')], 0.1, 0.01).get('a'), [
      (0.81 * 0.99) / sum,
      (0.18 * 0.005) / sum,
      (0.01 * 0.005) / sum,
    ]);
  });
  it('two free parents of an affected young contradict each other, and the tested are named', () => {
    const tests = [test('sire', 'free'), test('dam', 'free'), test('young', 'affected')];
    expect(genotypes({ animals: family, tests, alleleFrequency: 0.1, errorRate: 0 })).toEqual({
      kind: 'contradiction',
      testedIds: ['sire', 'dam', 'young'],
    });
  });
  it('refuses a frequency that is no share', () => {
    expect(() => genotypes({ animals: [], tests: [], alleleFrequency: 1.2, errorRate: 0 })).toThrow('1.2');
  });
});

/** Slow and obvious: every way all genotypes can be, one by one. */
function enumerated(animals: readonly WithParents[], tests: readonly ReturnType<typeof test>[], q: number, e: number) {
  const n = animals.length;
  const index = new Map(animals.map((a, i) => [a.id, i]));
  const sums = animals.map(() => [0, 0, 0]);
  const states = new Array<number>(n).fill(0);
  const handed = (id: string | undefined): number => {
    const i = id === undefined ? undefined : index.get(id);
    return i === undefined ? q : (states[i] as number) / 2;
  };
  const visit = (i: number, weight: number): void => {
    if (weight === 0) return;
    if (i === n) {
      animals.forEach((_, k) => {
        (sums[k] as number[])[states[k] as number] = ((sums[k] as number[])[states[k] as number] as number) + weight;
      });
      return;
    }
    const { id, sireId, damId } = animals[i] as WithParents;
    const [s, d] = [handed(sireId), handed(damId)];
    [(1 - s) * (1 - d), s * (1 - d) + d * (1 - s), s * d].forEach((p, state) => {
      states[i] = state;
      const fits = tests
        .filter((t) => t.animalId === id)
        .map((t) => (GENE_RESULTS[state] === t.result ? 1 - e : e / 2));
      visit(
        i + 1,
        fits.reduce((w, f) => w * f, weight * p),
      );
    });
  };
  visit(0, 1);
  return sums.map((own) => own.map((v) => v / own.reduce((a, b) => a + b, 0)));
}

const randomFamily = fc
  .tuple(
    fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat(4)), { minLength: 2, maxLength: 8 }),
    fc.array(fc.tuple(fc.nat(), fc.constantFrom(...GENE_RESULTS)), { maxLength: 4 }),
  )
  .map(([draws, results]) => {
    // From a few founders inbred families with loops come by themselves.
    const animals = draws.map(([s, d, founder], i) =>
      i < 2 || founder === 0 ? animal(String(i)) : animal(String(i), String(s % i), String(d % i)),
    );
    return { animals, tests: results.map(([i, result]) => test(String(i % animals.length), result)) };
  });

it('equals every way counted out, on random families with and without loops', () => {
  fc.assert(
    fc.property(randomFamily, ({ animals, tests }) => {
      const slow = enumerated(animals, tests, 0.2, 0.02);
      const of = found(animals, tests, 0.2, 0.02);
      animals.forEach((a, i) => (slow[i] as number[]).forEach((p, g) => expect(of.get(a.id)?.[g]).toBeCloseTo(p, 9)));
    }),
    { seed: 9, numRuns: 150 },
  );
});

it('passes messages round to the same answer where no line meets another', () => {
  // A chain: each message is exact, so the two ways must agree.
  const inherit = Float64Array.from([0.9, 0.1, 0, 0.45, 0.5, 0.05, 0, 0.9, 0.1]);
  const factors = [
    { variables: [0], values: Float64Array.from([0.81, 0.18, 0.01]) },
    { variables: [0, 1], values: inherit },
    { variables: [1, 2], values: inherit },
    { variables: [2], values: Float64Array.from([0.01, 0.01, 0.98]) },
  ];
  const exact = cliqueTree(factors, [0, 1, 2], 5);
  const round = beliefPropagation(factors, [0, 1, 2]);
  if (typeof exact === 'string' || typeof round === 'string') throw new Error('no answer');
  // Messages are passed until they move less than 1e-7.
  for (const v of [0, 1, 2])
    close(Array.from(round.get(v) ?? []) as unknown as Genotype, Array.from(exact.get(v) ?? []), 6);
});

it('says of a family too entangled for exact figures that they are close', () => {
  // Twelve founders each way, every one mated to every other: no order keeps the tables small.
  const founders = Array.from({ length: 24 }, (_, i) => animal(`f${i}`));
  const young = Array.from({ length: 144 }, (_, i) => animal(`y${i}`, `f${i % 12}`, `f${12 + Math.floor(i / 12)}`));
  const answer = genotypes({
    animals: [...founders, ...young],
    tests: [test('y0', 'affected')],
    alleleFrequency: 0.05,
    errorRate: 0,
  });
  if (answer.kind !== 'genotypes') throw new Error('no answer');
  expect(answer.approximate.size).toBe(168);
  // Both parents of the affected young surely carry, whatever the others are.
  for (const id of ['f0', 'f12']) expect(answer.of.get(id)?.[0]).toBeCloseTo(0, 9);
  for (const genotype of answer.of.values()) expect(genotype[0] + genotype[1] + genotype[2]).toBeCloseTo(1, 9);
});
