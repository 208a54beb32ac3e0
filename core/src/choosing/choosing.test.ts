import fc from 'fast-check';
import type { Breakdown } from '../growth';
import { drawLines, linesWithin, rankByIndex, rankByValues, reasonsFor, suggestedLines, type Candidate } from '.';

const value = (v: number, se = 0) => ({ value: v, standardError: se });
const weights = { growth: 50, damRecord: 30, lastGain: 20 };

describe('the index', () => {
  it('is worked as by hand', () => {
    // growth 20 30 40: mean 30, SD 10, so +-10 points; nothing else is known of anybody, so growth has all the weight.
    const ranked = rankByIndex(
      [
        { id: 'a', traits: { growth: value(20, 2) } },
        { id: 'b', traits: { growth: value(40, 4) } },
        { id: 'c', traits: { growth: value(30) } },
      ],
      weights,
    );
    expect(ranked.map((r) => [r.id, r.place, r.index, r.standardError])).toEqual([
      ['b', 1, 60, 4],
      ['c', 2, 50, 0],
      ['a', 3, 40, 2],
    ]);
  });
  it('gives what was not measured no points and all the spread of the set, never certainty', () => {
    // Growth 20, 40 and dam's litters 1, 2: SDs 14.14 and 0.707. Weights 50 and 30 of 80.
    const ranked = rankByIndex(
      [
        { id: 'a', traits: { growth: value(20), damRecord: value(1) } },
        { id: 'b', traits: { growth: value(40), damRecord: value(2) } },
        { id: 'c', traits: { growth: value(30) } },
      ],
      weights,
    );
    const unmeasured = ranked.find((r) => r.id === 'c');
    expect(unmeasured?.index).toBe(50);
    expect(unmeasured?.standardError).toBeCloseTo((10 * 30) / 80, 10);
    expect(ranked.find((r) => r.id === 'a')?.standardError).toBe(0);
  });
  it('leaves out a trait that is the same in all', () => {
    const ranked = rankByIndex(
      [
        { id: 'a', traits: { growth: value(20), damRecord: value(1, 0.4) } },
        { id: 'b', traits: { growth: value(40), damRecord: value(1, 0.4) } },
      ],
      weights,
    );
    expect(ranked.map((r) => [r.index.toFixed(3), r.standardError])).toEqual([
      ['57.071', 0],
      ['42.929', 0],
    ]);
  });
  it('takes what was not measured as the mean and says so', () => {
    const ranked = rankByIndex(
      [
        { id: 'a', traits: {} },
        { id: 'b', traits: { growth: value(20) } },
      ],
      weights,
    );
    expect(ranked.find((r) => r.id === 'a')).toMatchObject({
      index: 50,
      parts: [{ trait: 'growth', value: undefined, points: 0 }],
    });
  });
  it('never claims to know where one alone stands, nor those who are all the same', () => {
    const one = { traits: { growth: { value: 40, standardError: 0.5 } } };
    const error = (ids: readonly string[]): number[] =>
      rankByIndex(
        ids.map((id) => ({ id, ...one })),
        { growth: 50 },
      ).map((r) => r.standardError);
    expect(error(['a'])).toEqual([10]);
    expect(error(['a', 'b'])).toEqual([10, 10]);
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

describe('the index of breeding values', () => {
  const valued = (id: string, growth: number, pev: number) => ({
    id,
    values: new Map([['growth', { value: growth, predictionErrorVariance: pev }]] as const),
  });
  it('is worked as by hand, in points and in money', () => {
    // Genetic SD 2: +1 kg is 5 points of 10 an SD, the error 10 x 1 / 2.
    const traits = [{ trait: 'growth', geneticVariance: 4, baseLevel: 30 }] as const;
    const animals = [valued('a', -1, 1), valued('b', 1, 1)];
    const inPoints = rankByValues(animals, traits, { scale: 'points', weights: { growth: 3 } });
    expect(inPoints?.map((r) => [r.id, r.index, r.standardError])).toEqual([
      ['b', 55, 5],
      ['a', 45, 5],
    ]);
    const inMoney = rankByValues(animals, traits, { scale: 'money', weights: { growth: 250 } });
    expect(inMoney?.map((r) => [r.id, r.index, r.standardError])).toEqual([
      ['b', 250, 250],
      ['a', -250, 250],
    ]);
  });
  it('marks down what lies off an aim, either way, and one little is known of', () => {
    const traits = [{ trait: 'growth', geneticVariance: 4, baseLevel: 30, aim: 30 }] as const;
    const ranked = rankByValues([valued('a', 0, 0), valued('b', 3, 0), valued('c', 0, 4)], traits, {
      scale: 'money',
      weights: { growth: 100 },
    });
    // E|X| of a normal with SD 2 around the aim is 2 sqrt(2 / pi) = 1.5958.
    expect(ranked?.map((r) => [r.id, Number(r.index.toFixed(1))])).toEqual([
      ['a', 0],
      ['c', -159.6],
      ['b', -300],
    ]);
  });
  it('is none where no trait has a weight', () => {
    const traits = [{ trait: 'growth', geneticVariance: 4, baseLevel: 30 }] as const;
    expect(rankByValues([valued('a', 0, 1)], traits, { scale: 'points', weights: { growth: 0 } })).toBeUndefined();
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
  it('greys who has more than two chances in ten to belong on the other side, and an exact tie', () => {
    // The lines at 51 and at 30: one point away with an error of 1.5 is Phi(-1 / 1.5) = .2525.
    const placed = drawLines(ranked([60, 52, 50, 40, 20], 1.5), { keep: 2, second: 2 });
    expect(placed.map((p) => Number(p.chanceAcross.toFixed(4)))).toEqual([0, 0.2525, 0.2525, 0, 0]);
    expect(placed.map((p) => p.isGrey)).toEqual([false, true, true, false, false]);
    // One point away with an error of 1.1: Phi(-1 / 1.1) = .1817.
    expect(drawLines(ranked([60, 52, 50], 1.1), { keep: 2, second: 1 })[1]).toMatchObject({ isGrey: false });
    const tied = drawLines(ranked([60, 50, 50, 40], 0), { keep: 2, second: 2 });
    expect(tied.map((p) => [p.chanceAcross, p.isGrey])).toEqual([
      [0, false],
      [0.5, true],
      [0.5, true],
      [0, false],
    ]);
  });
  it('tells as often as it says on which side one belongs', () => {
    // Simulated: true points of one at 52 with an error of 3, the line at 51; how often is it below?
    const [, near] = drawLines(ranked([60, 52, 50], 3), { keep: 2, second: 1 });
    let state = 7;
    const uniform = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
    const normal = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const draws = 40_000;
    let below = 0;
    for (let k = 0; k < draws; k++) if (52 + 3 * normal() < 51) below++;
    expect(near?.chanceAcross).toBeCloseTo(below / draws, 2);
  });
  it('stands at four in ten and a quarter more; one alone stays', () => {
    expect([28, 2, 1, 0].map(suggestedLines)).toEqual([
      { keep: 11, second: 7 },
      { keep: 1, second: 1 },
      { keep: 1, second: 0 },
      { keep: 0, second: 0 },
    ]);
  });

  it('keeps within the number there; the second string gives way', () => {
    expect(linesWithin({ keep: 99, second: 4 }, 28)).toEqual({ keep: 28, second: 0 });
    expect(linesWithin({ keep: 20, second: 12 }, 28)).toEqual({ keep: 20, second: 8 });
    expect(linesWithin({ keep: -1, second: -1 }, 28)).toEqual({ keep: 0, second: 0 });
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
    chanceAcross: 0.3,
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
      { code: 'near-line', chanceAcross: 0.3 },
    ]);
  });
});
