import { dayOf } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { fitCurve, normalShareBelow, proportion } from '../statistics';
import { reading } from '../tests/builders';
import { dayOfWeight, growthCurve, shareGrown } from '.';

const born = dayOf('2025-04-01');
const sheep = SPECIES_TABLE.sheep;
/** A ewe lamb that grows by Gompertz: 64 e^(-2.4 e^(-0.011 t)), to the gram. */
const gompertz = (t: number): number => 64 * Math.exp(-2.4 * Math.exp(-0.011 * t));
const brody = (t: number): number => 60 * (1 - 0.93 * Math.exp(-0.005 * t));
const weighed = (kgAt: (t: number) => number, ...ages: readonly number[]) =>
  ages.map((t) => ({ on: (born + t) as typeof born, kg: kgAt(t), method: 'scale' as const }));

it.each([
  ['gompertz', gompertz, 64],
  ['brody', brody, 60],
] as const)('finds a %s curve again from its own points', (kind, kgAt, mature) => {
  const curve = growthCurve(born, weighed(kgAt, 0, 56, 112, 147, 240, 365, 420), sheep);
  expect(curve).toMatchObject({ kind: 'curve', curve: kind, readings: 7 });
  if (curve.kind !== 'curve') return;
  expect(curve.matureKg).toBeCloseTo(mature, 3);
  expect(curve.kgAt(300)).toBeCloseTo(kgAt(300), 3);
});

it('widens the grown weight with the scatter of the readings', () => {
  const scattered = weighed(gompertz, 0, 56, 112, 147, 240, 365, 420).map((r, i) => ({
    ...r,
    kg: r.kg * (i % 2 ? 1.03 : 0.97),
  }));
  const curve = growthCurve(born, scattered, sheep);
  if (curve.kind !== 'curve') throw new Error('no curve');
  expect(curve.halfWidthKg).toBeGreaterThan(1);
  expect(Math.abs(curve.matureKg - 64)).toBeLessThan(3 * curve.halfWidthKg);
});

it('falls back on the share grown with three readings: 43.4 kg at a year is 0.7 of 62', () => {
  const curve = growthCurve(born, [reading('2025-06-01', 20), reading('2026-04-01', 43.4)], sheep);
  expect(curve).toMatchObject({ kind: 'share-grown', share: 0.7 });
  if (curve.kind === 'no-curve') throw new Error('no curve');
  expect(curve.matureKg).toBeCloseTo(62, 9);
  // 43.4 x 0.025 / 0.7 = 1.55 of the scale and 0.07 x 62 = 4.34 of the table: 1.2816 x 4.6085.
  expect(curve.halfWidthKg).toBeCloseTo(5.906, 3);
});

it('gives no curve without a birth date or a reading', () => {
  expect(growthCurve(undefined, [reading('2025-06-01', 20)], sheep)).toEqual({
    kind: 'no-curve',
    reason: 'no-birth-date',
  });
  expect(growthCurve(born, [], sheep)).toEqual({ kind: 'no-curve', reason: 'no-reading' });
});

it.each([
  [0, 4.6 / 62],
  [365, 0.7],
  [547.5, 0.81], // half way from 0.70 to 0.92
  [1095, 1],
  [4000, 1],
])('at %d days a ewe is %d grown', (age, share) => {
  expect(shareGrown(age, sheep)).toBeCloseTo(share, 9);
});

it('foretells the day of a weight along the curve, through the last reading', () => {
  const daily = weighed(gompertz, 0, 56, 112, 147, 240);
  const last = daily.at(-1) as (typeof daily)[number];
  const curve = growthCurve(born, daily, sheep);
  // 0.65 x 64 = 41.6 kg: 2.4 e^-0.011t = ln(1 / 0.65) at t = 156.2, past already on the last day; 50 kg at t = 206.
  expect(dayOfWeight(curve, 41.6, born, last)).toBe(last.on);
  const heavy = dayOfWeight(curve, 58, born, last);
  // ln(64 / 58) = 0.09844; t = ln(2.4 / 0.09844) / 0.011 = 290.4.
  expect((heavy ?? 0) - born).toBe(291);
  expect(dayOfWeight(curve, 70, born, last)).toBeUndefined();
});

it('gives the errors of a fit as s2 (J J)^-1 has them, here of a straight line', () => {
  // y = 1 + 2x with residuals +-0.1: slope error sqrt(s2 / Sxx), s2 = RSS / 2.
  const line = fitCurve(
    ([a = 0, b = 0], x) => ({ value: a + b * x, gradient: [1, x] }),
    [
      [0, 1.1],
      [1, 2.9],
      [2, 4.9],
      [3, 7.1],
    ],
    [0, 0],
  );
  expect(line?.parameters[0]).toBeCloseTo(1, 6);
  expect(line?.parameters[1]).toBeCloseTo(2, 6);
  expect(line?.rss).toBeCloseTo(0.04, 9);
  expect(line?.standardErrors[1]).toBeCloseTo(Math.sqrt(0.02 / 5), 6);
  expect(fitCurve(() => ({ value: 0, gradient: [0, 0] }), [[0, 1]], [1, 1])).toBeUndefined();
});

it('gives a share with the interval of Wilson', () => {
  // 7 of 10 at z 1.28155: centre (0.7 + 0.08212) / 1.16424 = 0.67179, half 1.10076 x sqrt(0.021 + 0.0041059).
  const found = proportion(7, 10);
  expect(found?.low).toBeCloseTo(0.4974, 3);
  expect(found?.high).toBeCloseTo(0.8462, 3);
  expect(proportion(0, 5)?.low).toBe(0);
  expect(proportion(0, 0)).toBeUndefined();
});

it.each([
  [0, 0.5],
  [1.959964, 0.975],
  [-1.281552, 0.1],
])('under %d of a standard normal lie %d', (z, share) => {
  expect(normalShareBelow(z, 0, 1)).toBeCloseTo(share, 6);
});
