import fc from 'fast-check';
import { geneKey, genotypes, GENE_RESULTS, youngAffected, type GeneResult, type Genotype, type WithParents } from '.';
import { beliefPropagation } from './beliefPropagation';
import { cliqueTree } from './cliqueTree';

const animal = (id: string, sireId?: string, damId?: string): WithParents => ({ id, sireId, damId });
const test = (animalId: string, result: GeneResult) => ({ animalId, result });

/** As `genotypes`, of families that contradict nothing. */
function found(
  animals: readonly WithParents[],
  tests: readonly ReturnType<typeof test>[],
  alleleFrequency = 0.1,
  errorRate = 0,
) {
  const answer = genotypes({ animals, tests, alleleFrequency, errorRate });
  expect(answer.contradictions).toEqual([]);
  return answer;
}
const close = (got: Genotype | undefined, want: readonly number[], digits = 10): void => {
  want.forEach((w, i) => expect(got?.[i]).toBeCloseTo(w, digits));
};

describe('by hand', () => {
  const family = [animal('sire'), animal('dam'), animal('young', 'sire', 'dam')];
  it('nobody tested: nothing is told of anybody', () => {
    expect(found(family, []).of('young')).toBeUndefined();
  });
  it('one that is not affected may carry', () => {
    // 0.81 and 0.18 of 0.99.
    close(found(family, [test('sire', 'unaffected')]).of('sire'), [0.81 / 0.99, 0.18 / 0.99, 0]);
    // Two carriers with a healthy young: one third free, two thirds carrier.
    const tests = [test('sire', 'carrier'), test('dam', 'carrier'), test('young', 'unaffected')];
    close(found(family, tests).of('young'), [1 / 3, 2 / 3, 0]);
  });
  it('a young that is affected makes both parents carriers at least', () => {
    // Each gave one copy: of those who give it, 1/2 of 0.18 are carriers and 0.01 affected, so 0.9 and 0.1.
    close(found(family, [test('young', 'affected')]).of('sire'), [0, 0.9, 0.1]);
  });
  it('a healthy-tested pair of carriers gives one in four', () => {
    const of = found(family, [test('sire', 'carrier'), test('dam', 'carrier')]);
    close(of.of('young'), [0.25, 0.5, 0.25]);
    expect(youngAffected(of.of('sire') as Genotype, of.of('dam') as Genotype)).toBe(0.25);
  });
  it('a free young says something of its sire', () => {
    // P(sire | young free): free 0.81 x 1, carrier 0.18 x 1/2, affected 0: 0.81 and 0.09 of 0.9.
    close(found(family, [test('young', 'free')]).of('sire'), [0.9, 0.1, 0]);
  });
  it('an unknown parent is a random gamete of the base', () => {
    close(found([animal('sire'), animal('young', 'sire')], [test('sire', 'carrier')]).of('young'), [0.45, 0.5, 0.05]);
  });
  it('a test that errs leaves a little room', () => {
    // 0.81 x 0.99, 0.18 x 0.005, 0.01 x 0.005.
    const sum = 0.81 * 0.99 + 0.19 * 0.005;
    close(found([animal('a')], [test('a', 'free')], 0.1, 0.01).of('a'), [
      (0.81 * 0.99) / sum,
      (0.18 * 0.005) / sum,
      (0.01 * 0.005) / sum,
    ]);
  });
  it('two free parents of an affected young contradict each other: each counts as a carrier', () => {
    const kin = [...family, animal('brother', 'sire', 'dam'), animal('stranger')];
    const tests = [test('sire', 'free'), test('dam', 'free'), test('young', 'affected'), test('stranger', 'free')];
    const answer = genotypes({ animals: kin, tests, alleleFrequency: 0.1, errorRate: 0 });
    expect(answer.contradictions).toEqual([{ kind: 'parentage', animalIds: expect.arrayContaining(['sire', 'dam']) }]);
    expect(['sire', 'dam', 'young'].map((id) => answer.of(id))).toEqual([
      [0, 1, 0],
      [0, 1, 0],
      [0, 0, 1],
    ]);
    close(answer.of('brother'), [0.25, 0.5, 0.25]);
    // Another family is told of as ever.
    expect(answer.of('stranger')).toEqual(new Float64Array([1, 0, 0]));
    expect(['sire', 'stranger'].map(answer.isDoubted)).toEqual([true, false]);
  });
  it('two tests of one animal that contradict each other count it as a carrier, and its young by that', () => {
    const tests = [test('sire', 'free'), test('sire', 'carrier'), test('dam', 'free')];
    const answer = genotypes({ animals: family, tests, alleleFrequency: 0.1, errorRate: 0 });
    expect(answer.contradictions).toEqual([{ kind: 'own', animalIds: ['sire'] }]);
    expect(answer.of('sire')).toEqual([0, 1, 0]);
    close(answer.of('young'), [0.5, 0.5, 0]);
    // Free and not affected is no contradiction.
    expect(found(family, [test('sire', 'free'), test('sire', 'unaffected')]).isDoubted('sire')).toBe(false);
  });
  it('counts an affected young of two free parents that cannot be as affected even where nothing fits', () => {
    const tests = [test('sire', 'affected'), test('dam', 'affected'), test('young', 'free')];
    const answer = genotypes({ animals: family, tests, alleleFrequency: 0.1, errorRate: 0 });
    expect(answer.contradictions).toHaveLength(1);
    expect(answer.of('young')).toEqual([0, 1, 0]);
    expect(answer.of('sire')).toEqual([0, 0, 1]);
  });
  it('has one name of a gene, however it was typed', () => {
    expect(geneKey('  Wry  Jaw ')).toBe(geneKey('wry jaw'));
  });
  it('refuses a frequency that is no share', () => {
    expect(() => genotypes({ animals: [], tests: [], alleleFrequency: 1.2, errorRate: 0 })).toThrow('1.2');
  });
});

const isFitting = (result: GeneResult, copies: number): boolean =>
  result === 'unaffected' ? copies < 2 : ['free', 'carrier', 'affected'].indexOf(result) === copies;

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
      const weights = tests.filter((t) => t.animalId === id).map((t) => (isFitting(t.result, state) ? 1 - e : e / 2));
      visit(
        i + 1,
        weights.reduce((w, f) => w * f, weight * p),
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
      const { of, about } = found(animals, tests, 0.2, 0.02);
      animals.forEach((a, i) => {
        const got = of(a.id);
        // Of one no test reaches nothing is told, rather than what the base is.
        if (got) (slow[i] as number[]).forEach((p, g) => expect(got[g]).toBeCloseTo(p, 9));
        expect(about(a.id)).toBeUndefined();
      });
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

it('is exact while only the untested are entangled, and says between what it lies where the tested are', () => {
  // Twelve founders each way, every one mated to every other: no order keeps the tables small.
  const founders = Array.from({ length: 24 }, (_, i) => animal(`f${i}`));
  const young = Array.from({ length: 144 }, (_, i) => animal(`y${i}`, `f${i % 12}`, `f${12 + Math.floor(i / 12)}`));
  const answer = genotypes({
    animals: [...founders, ...young],
    tests: [test('y0', 'affected')],
    alleleFrequency: 0.05,
    errorRate: 0,
  });
  const all = [...founders, ...young].map((a) => a.id);
  // The tested and its forebears are three, and exact: only those beside them were entangled.
  expect(all.filter((id) => answer.about(id))).toEqual([]);
  // Both parents of the affected young surely carry, whatever the others are.
  for (const id of ['f0', 'f12']) expect(answer.of(id)?.[0]).toBeCloseTo(0, 9);
  // A half sister of it: her sire is a carrier at least, her dam as the base is.
  const [free, carrier, affected] = answer.of('f0') ?? [0, 0, 0];
  const sure = genotypes({ animals: [animal('s'), animal('y', 's')], tests: [], alleleFrequency: 0.05, errorRate: 0 });
  expect(sure.of('y')).toBeUndefined();
  const handed = carrier / 2 + affected;
  close(answer.of('y12'), [(1 - handed) * 0.95, handed * 0.95 + (1 - handed) * 0.05, handed * 0.05]);
  expect(free + carrier + affected).toBeCloseTo(1, 9);
  // Every young tested: now all hang together, and the figures are between what two runs tell.
  const entangled = genotypes({
    animals: [...founders, ...young],
    tests: young.map((y, i) => test(y.id, i === 0 ? 'affected' : 'unaffected')),
    alleleFrequency: 0.05,
    errorRate: 0,
  });
  expect(all.filter((id) => entangled.about(id))).toHaveLength(168);
  for (const id of all) {
    const [low, high] = entangled.about(id) ?? [1, 0];
    expect(low).toBeLessThanOrEqual(high);
    expect(entangled.of(id)?.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
  }
});
