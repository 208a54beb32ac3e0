import fc from 'fast-check';
import { agreement, quadraticKappa, shareWithin, type AnswerPair } from '.';

describe('agreement', () => {
  const pairs: AnswerPair[] = [
    [3, 2.5],
    [3, 3],
    [2.5, 2],
    [4, 4],
    [2, 2.5],
    [3.5, 3],
    [2, 2],
    [3, 2.5],
  ];
  it('gives bias and limits', () => {
    // By hand: differences .5 0 .5 0 -.5 .5 0 .5, mean 0.1875, squares about it 0.96875, SD sqrt(0.96875 / 7) = 0.37201;
    // limits 0.1875 -+ 1.96 x 0.37201.
    const a = agreement(pairs);
    expect(a?.bias).toBeCloseTo(0.1875, 12);
    expect(a?.biasStandardError).toBeCloseTo(0.37201 / Math.sqrt(8), 4);
    expect(a?.limits?.[0]).toBeCloseTo(-0.5416, 3);
    expect(a?.limits?.[1]).toBeCloseTo(0.9166, 3);
  });
  it('has no limits for one pair and no answer for none', () => {
    expect(agreement([[3, 2]])).toEqual({ pairs: 1, bias: 1, biasStandardError: undefined, limits: undefined });
    expect(agreement([])).toBeUndefined();
    expect(shareWithin([], 5)).toBeUndefined();
  });
  it('counts the bound as within', () => {
    expect(shareWithin([[40, 45], [40, 46]], 5)).toBe(0.5); // prettier-ignore
  });
});

/** Straight from the definition: observed and chance tables, class by class. */
function slowKappa(pairs: readonly AnswerPair[]): number | undefined {
  const classes = [...new Set(pairs.flat())];
  const n = pairs.length;
  const share = (test: (p: AnswerPair) => boolean): number => pairs.filter(test).length / n;
  let seen = 0;
  let chance = 0;
  for (const i of classes)
    for (const j of classes) {
      const w = (i - j) ** 2;
      seen += w * share(([a, b]) => a === i && b === j);
      chance += w * share(([a]) => a === i) * share(([, b]) => b === j);
    }
  return chance === 0 ? undefined : 1 - seen / chance;
}

describe('weighted kappa', () => {
  it('of a table worked by hand', () => {
    // First 1 1 1 2 2 2 2 3 3 3 against 1 1 2 2 2 2 3 3 3 1: sum w O = 1 + 1 + 4 of 10; margins 3 4 3 both, so
    // sum w E = (12 + 36 + 12 + 12 + 36 + 12) / 100 = 1.2, and kappa 1 - 0.6 / 1.2.
    const first = [1, 1, 1, 2, 2, 2, 2, 3, 3, 3];
    const second = [1, 1, 2, 2, 2, 2, 3, 3, 3, 1];
    expect(quadraticKappa(first.map((a, i) => [a, second[i] as number]))).toBeCloseTo(0.5, 12);
  });
  it('is 1 for two who always agree, and no answer where nothing varies', () => {
    expect(quadraticKappa([[2, 2], [3, 3]])).toBe(1); // prettier-ignore
    expect(quadraticKappa([[3, 3], [3, 3]])).toBeUndefined(); // prettier-ignore
    expect(quadraticKappa([[3, 2], [3, 2]])).toBe(0); // prettier-ignore
    expect(quadraticKappa([])).toBeUndefined();
  });
  it('is what the definition says, for any answers', () => {
    const score = fc.integer({ min: 4, max: 20 }).map((q) => q / 4);
    fc.assert(
      fc.property(fc.array(fc.tuple(score, score), { minLength: 1, maxLength: 40 }), (pairs) => {
        const slow = slowKappa(pairs);
        const fast = quadraticKappa(pairs);
        if (slow === undefined) expect(fast).toBeUndefined();
        else expect(fast).toBeCloseTo(slow, 9);
      }),
      { seed: 5 },
    );
  });
});

it('has its limits at 1.96 standard deviations, that figure and no other', () => {
  // Differences -1 and 1: bias 0, SD sqrt(2).
  expect(
    agreement([
      [1, 2],
      [2, 1],
    ])?.limits,
  ).toEqual([-1.96 * Math.SQRT2, 1.96 * Math.SQRT2]);
});
