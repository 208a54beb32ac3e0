import fc from 'fast-check';
import { SPECIES_TABLE } from '../species';
import { assign, fewestMales, NO_MALE, pairRefusal, relationOf } from '.';

const costs = (...rows: readonly (readonly number[])[]) => Float64Array.from(rows.flat());
const X = Infinity;
const males = (table: Float64Array, females: number, capacities: readonly number[]): number[] => {
  const found = assign({ costs: table, females, capacities });
  if (found.kind === 'stopped') throw new Error('stopped');
  return [...found.maleOf];
};

describe('who goes to whom', () => {
  it('takes the cheapest where there is room', () => {
    expect(males(costs([1, 2], [2, 1]), 2, [2, 2])).toEqual([0, 1]);
  });
  it('moves an earlier female when a later one has but one choice', () => {
    expect(males(costs([1, 5], [1, X]), 2, [1, 1])).toEqual([1, 0]);
  });
  it('leaves her without a male whom none may serve, and serves the others', () => {
    expect(males(costs([X, X], [1, 2]), 2, [1, 1])).toEqual([NO_MALE, 0]);
  });
  it('serves as many as there is room for, the cheaper of the two', () => {
    expect(males(costs([3], [1]), 2, [1])).toEqual([NO_MALE, 0]);
  });
  it('can be stopped', () => {
    const stopped = assign({ costs: costs([1]), females: 1, capacities: [1], onProgress: () => true });
    expect(stopped).toEqual({ kind: 'stopped' });
  });
  it('refuses a table of another size', () => {
    expect(() => assign({ costs: costs([1]), females: 2, capacities: [1] })).toThrow('1 costs for 2 x 1');
    expect(() => assign({ costs: costs([1]), females: 1, capacities: [-1] })).toThrow('under zero');
  });
});

const cell = fc.oneof(
  { weight: 3, arbitrary: fc.integer({ min: -9, max: 9 }) },
  { weight: 1, arbitrary: fc.constant(X) },
);
const problem = fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 4 })).chain(([females, count]) =>
  fc.record({
    females: fc.constant(females),
    capacities: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: count, maxLength: count }),
    cells: fc.array(cell, { minLength: females * count, maxLength: females * count }),
  }),
);

/** Slow and obvious: every way, most served first, then least cost. */
function best({
  females,
  capacities,
  cells,
}: {
  females: number;
  capacities: readonly number[];
  cells: readonly number[];
}) {
  let found = { count: -1, cost: 0 };
  const room = [...capacities];
  const visit = (f: number, count: number, cost: number): void => {
    if (f === females) {
      if (count > found.count || (count === found.count && cost < found.cost)) found = { count, cost };
      return;
    }
    visit(f + 1, count, cost);
    capacities.forEach((_, m) => {
      const c = cells[f * capacities.length + m] as number;
      if (c === X || room[m] === 0) return;
      room[m] = (room[m] as number) - 1;
      visit(f + 1, count + 1, cost + c);
      room[m] = (room[m] as number) + 1;
    });
  };
  visit(0, 0, 0);
  return found;
}

it('is the best of all ways, within capacities and never against a no, on small holdings', () => {
  fc.assert(
    fc.property(problem, (p) => {
      const found = assign({ costs: Float64Array.from(p.cells), females: p.females, capacities: p.capacities });
      if (found.kind === 'stopped') throw new Error('stopped');
      const served = [...found.maleOf].filter((m) => m !== NO_MALE);
      expect({ count: served.length, cost: found.cost }).toEqual(best(p));
      p.capacities.forEach((c, m) => expect(served.filter((x) => x === m).length).toBeLessThanOrEqual(c));
      found.maleOf.forEach((m, f) => {
        if (m !== NO_MALE) expect(p.cells[f * p.capacities.length + m]).not.toBe(X);
      });
    }),
    { seed: 12, numRuns: 300 },
  );
});

describe('the fewest males', () => {
  it('are those that still serve everyone, the cheapest of equals', () => {
    const question = { costs: costs([1, 3, X], [1, 3, 2], [X, 3, 2]), females: 3, capacities: [3, 3, 3] };
    expect(fewestMales(question)).toEqual([false, true, false]);
    expect(fewestMales({ ...question, capacities: [3, 2, 3] })).toEqual([true, false, true]);
  });
  it('of many are found by dropping one after another', () => {
    const table = Float64Array.from({ length: 2 * 14 }, (_, i) => i % 14);
    const mask = fewestMales({ costs: table, females: 2, capacities: new Array<number>(14).fill(1) });
    expect(mask.filter(Boolean)).toHaveLength(2);
    expect(mask.slice(0, 2)).toEqual([true, true]);
  });
});

describe('a pair', () => {
  const family = new Map(
    [
      { id: 'ram', damId: 'old', sireId: undefined },
      { id: 'ewe', damId: 'old', sireId: 'x' },
      { id: 'twin', damId: 'old', sireId: 'x' },
      { id: 'lamb', damId: 'ewe', sireId: 'ram' },
      { id: 'grand', damId: 'lamb', sireId: undefined },
    ].map((a) => [a.id, a]),
  );
  const find = (id: string) => family.get(id);
  it.each([
    ['ram', 'lamb', 'young', 'parent'],
    ['old', 'ram', 'young', 'parent'],
    ['ewe', 'twin', 'full-sib', 'full-sib'],
    ['ram', 'ewe', 'half-sib', 'half-sib'],
    ['old', 'lamb', 'grandyoung', 'grandparent'],
    ['ram', 'x', undefined, undefined],
    ['stranger', 'ram', undefined, undefined],
  ])('to %s, %s is %s, and the other way %s', (a, b, relation, back) => {
    expect(relationOf(a, b, find)).toBe(relation);
    expect(relationOf(b, a, find)).toBe(back);
  });
  const rules = SPECIES_TABLE.sheep.pairing;
  const refusal = (femaleId: string, maleId: string, inbreeding: number, change = {}) =>
    pairRefusal({ femaleId, maleId, inbreeding }, { ...rules, ...change }, find, [
      { gene: 'spider', of: (id) => (id === 'x' || id === 'stranger' ? [0, 1, 0] : [0.96, 0.04, 0]) },
    ]);
  it('is refused for kinship named, then for inbreeding over the limit, then for a gene', () => {
    expect(refusal('ewe', 'ram', 0.125)).toEqual({ code: 'relation', relation: 'half-sib' });
    expect(refusal('q', 'ram', 0.07)).toEqual({ code: 'inbreeding', most: 0.0625 });
    expect(refusal('stranger', 'x', 0)).toEqual({ code: 'carriers', gene: 'spider', affected: 0.25 });
  });
  it('is allowed at the limit itself, and with one carrier alone', () => {
    expect(refusal('q', 'ram', 0.0625)).toBeUndefined();
    expect(refusal('q', 'x', 0)).toBeUndefined();
  });
  it('of grandparent and grandyoung follows the switch', () => {
    expect(refusal('old', 'lamb', 0.0625)).toEqual({ code: 'relation', relation: 'grandyoung' });
    expect(refusal('old', 'lamb', 0.0625, { grandparents: 'by-inbreeding' })).toBeUndefined();
  });
});
