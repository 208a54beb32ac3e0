import fc from 'fast-check';
import type { Breakdown } from '../growth';
import { drawLines, rankByIndex, reasonsFor, type Candidate } from '.';

const value = (v: number, se = 0) => ({ value: v, standardError: se });
const weights = { growth: 50, damRecord: 30, lastGain: 20 };

describe('the index', () => {
  it('is worked as by hand', () => {
    // growth 20 30 40: mean 30, SD 10, so +-10 x 0.5 points.
    const ranked = rankByIndex(
      [
        { id: 'a', traits: { growth: value(20, 2) } },
        { id: 'b', traits: { growth: value(40, 4) } },
        { id: 'c', traits: { growth: value(30) } },
      ],
      weights,
    );
    expect(ranked.map((r) => [r.id, r.place, r.index, r.standardError])).toEqual([
      ['b', 1, 55, 2],
      ['c', 2, 50, 0],
      ['a', 3, 45, 1],
    ]);
  });
  it('takes what was not measured as the mean and says so', () => {
    const [first] = rankByIndex([{ id: 'a', traits: {} }], weights);
    expect(first).toMatchObject({
      index: 50,
      parts: [{ trait: 'growth', value: undefined, points: 0 }, expect.anything(), expect.anything()],
    });
  });
  it('refuses weights that weigh nothing', () => {
    expect(() => rankByIndex([], { growth: 0, damRecord: 0, lastGain: 0 })).toThrow(RangeError);
    expect(() => rankByIndex([], { growth: -1, damRecord: 5, lastGain: 0 })).toThrow(RangeError);
  });
  it('has parts that add up, and does not depend on the order given', () => {
    const candidates = fc.uniqueArray(
      fc.record({
        id: fc.uuid(),
        // On a scale's own steps: spreads of a billionth of a gram are rounding and nothing else.
        g: fc.integer({ min: 100, max: 500 }).map((tenths) => tenths / 10),
        d: fc.integer({ min: 0, max: 30 }).map((tenths) => tenths / 10),
      }),
      { selector: (c) => c.id, minLength: 2, maxLength: 15 },
    );
    fc.assert(
      fc.property(candidates, (list) => {
        const made: Candidate[] = list.map((c) => ({
          id: c.id,
          traits: { growth: value(c.g, 1), damRecord: value(c.d, 0.2) },
        }));
        const ranked = rankByIndex(made, weights);
        for (const r of ranked) expect(r.parts.reduce((s, p) => s + p.points, 50)).toBeCloseTo(r.index, 9);
        const again = rankByIndex([...made].reverse(), weights);
        again.forEach((r, i) => expect(r.index).toBeCloseTo(ranked[i]?.index ?? 0, 9));
      }),
    );
  });
});

describe('the line', () => {
  const ranked = (indices: readonly number[], standardError: number) =>
    indices.map((index, i) => ({ id: String(i), place: i + 1, index, standardError, parts: [] }));
  it('lies at the number wanted', () => {
    expect(drawLines(ranked([60, 55, 50, 45], 0.1), { keep: 1, second: 2 }).map((p) => p.suggestion)).toEqual([
      'keep',
      'second',
      'second',
      'sell',
    ]);
  });
  it('greys who is nearer to it than the own error, and an exact tie', () => {
    expect(drawLines(ranked([60, 52, 50, 40], 1.5), { keep: 2, second: 2 }).map((p) => p.isGrey)).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(drawLines(ranked([60, 50, 50, 40], 0), { keep: 2, second: 2 }).map((p) => p.isGrey)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
  it('greys nobody when all or none are kept', () => {
    expect(drawLines(ranked([60, 50], 20), { keep: 2, second: 0 }).some((p) => p.isGrey)).toBe(false);
    expect(drawLines(ranked([60, 50], 20), { keep: 0, second: 0 }).map((p) => p.suggestion)).toEqual(['sell', 'sell']);
  });
});

describe('reasons', () => {
  const breakdown: Breakdown = {
    totalGrams: 5000,
    parts: { age: 2900, birthType: 1900, sex: 0, damAge: 1000, likeForLike: -800 },
    ageDaysAgainstMean: 11,
    meanReadKg: 34,
    meanAdjustedKg: 35,
    setSize: 30,
  };
  const row = {
    id: 'a',
    place: 14,
    index: 47,
    standardError: 2,
    suggestion: 'second',
    isGrey: true,
    parts: [
      { trait: 'growth', value: 30, points: -3 },
      { trait: 'damRecord', value: undefined, points: 0 },
      { trait: 'lastGain', value: 0.1, points: 0.4 },
    ],
  } as const;
  it('name what made it heavy, what moved the index, what is missing, and the line', () => {
    expect(reasonsFor(row, { breakdown, placeByWeight: 1 })).toEqual([
      { code: 'heavier-than-worth', place: 14, placeByWeight: 1, part: 'age', grams: 2900 },
      { code: 'trait', trait: 'growth', points: -3 },
      { code: 'not-measured', trait: 'damRecord' },
      { code: 'near-line', standardError: 2 },
    ]);
  });
});
