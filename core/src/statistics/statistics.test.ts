import fc from 'fast-check';
import { fitLine, fitLinear, meanWithRange, median, quantileSorted, robustSpread, standardDeviation, t80 } from '.';

it('says how sure a mean is', () => {
  // By hand: 1 2 3 6 has mean 3, SD sqrt(14/3) = 2.1602, and t 1.63774 on 3 degrees of freedom: 1.63774 x 2.1602 / 2.
  expect(meanWithRange([1, 2, 3, 6])).toEqual({ mean: 3, halfWidth: expect.closeTo(1.76898, 4) });
  expect(meanWithRange([4])).toBeUndefined();
});

describe('least squares', () => {
  it('fits a line with its error', () => {
    // By hand: x 0 1 2 3, y 1 3 2 5: slope 1.1, intercept 1.1, RSS 2.7, s2 1.35, Sxx 5, SE sqrt(0.27).
    const fit = fitLine([
      [0, 1],
      [1, 3],
      [2, 2],
      [3, 5],
    ]);
    expect(fit?.slope).toBeCloseTo(1.1, 12);
    expect(fit?.intercept).toBeCloseTo(1.1, 12);
    expect(fit?.slopeStandardError).toBeCloseTo(Math.sqrt(0.27), 12);
  });

  it('gives no line for one x, and no error for two', () => {
    expect(
      fitLine([
        [5, 1],
        [5, 2],
      ]),
    ).toBeUndefined();
    expect(
      fitLine([
        [5, 1],
        [6, 2],
      ])?.slopeStandardError,
    ).toBeUndefined();
  });

  it('keeps its digits far from the origin', () => {
    const far = 2_461_000;
    const fit = fitLine([
      [far, 20],
      [far + 10, 22.5],
      [far + 20, 25],
    ]);
    expect(fit?.slope).toBeCloseTo(0.25, 12);
  });

  it('finds the coefficients that made the data', () => {
    fc.assert(
      fc.property(
        fc.tuple(fc.double({ min: -5, max: 5, noNaN: true }), fc.double({ min: -5, max: 5, noNaN: true })),
        ([a, b]) => {
          const rows = [
            [1, 0],
            [1, 1],
            [1, 0.5],
            [1, 2],
          ];
          const [x = 0, y = 0] = fitLinear(
            rows,
            rows.map(([u = 0, v = 0]) => a * u + b * v),
          );
          // The ridge of 1e-9 leaves an error of about that size.
          expect(x).toBeCloseTo(a, 6);
          expect(y).toBeCloseTo(b, 6);
        },
      ),
      { seed: 7 },
    );
  });

  it('gives 0 to a column no record speaks of', () => {
    expect(
      fitLinear(
        [
          [1, 0],
          [1, 0],
        ],
        [3, 5],
      )[1],
    ).toBe(0);
  });
});

describe('spread', () => {
  it('interpolates quantiles by type 7', () => {
    expect(quantileSorted([1, 2, 3, 4], 0.25)).toBe(1.75);
    expect(median([5, 1, 9])).toBe(5);
    expect(median([])).toBeUndefined();
  });
  it('is not moved by one wild reading', () => {
    expect(robustSpread([10, 11, 12, 13, 14])).toBeCloseTo(1.4826, 4);
    expect(robustSpread([10, 11, 12, 13, 1400])).toBeCloseTo(1.4826, 4);
  });
  it('needs two numbers for an SD', () => {
    expect(standardDeviation([3])).toBeUndefined();
    expect(standardDeviation([2, 4, 4, 4, 5, 5, 7, 9])).toBeCloseTo(2.1381, 4);
  });
  it('knows Student’s t of an 80 % interval', () => {
    // Standard tables of the 90th percentile; with one degree it is the tangent of 72 degrees, with two 4 / sqrt(4.5).
    expect(t80(1)).toBeCloseTo(Math.tan(0.4 * Math.PI), 9);
    expect(t80(2)).toBeCloseTo(4 / Math.sqrt(4.5), 9);
    for (const [degrees, t] of [
      [3, 1.638],
      [5, 1.476],
      [10, 1.372],
      [30, 1.31],
      [40, 1.303],
      [60, 1.296],
      [120, 1.289],
    ] as const)
      expect(t80(degrees)).toBeCloseTo(t, 3);
    expect(t80(31)).toBeGreaterThan(1.309);
    expect(t80(3.5)).toBeLessThan(t80(3));
    expect(t80(1e6)).toBeCloseTo(1.281552, 6);
    expect(() => t80(0)).toThrow('at least 1');
  });
});
