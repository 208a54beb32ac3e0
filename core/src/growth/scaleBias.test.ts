import { biasKey, correctedKg, sameDayPairs, scaleBiases, type SameDayPair } from '..';
import { reading } from '../tests/builders';

const pair = (guessedKg: number, scaleKg: number, by = 'Aylin'): SameDayPair => ({
  by,
  method: 'tape',
  species: 'sheep',
  guessedKg,
  scaleKg,
});

it('pairs a tape with the scales of the same day, and with no other day', () => {
  const readings = [
    { ...reading('2026-11-01', 44, 'tape'), by: 'Aylin' },
    { ...reading('2026-11-01', 40), by: 'Kerem' },
    { ...reading('2026-11-01', 42, 'crate'), by: 'Kerem' },
    { ...reading('2026-11-02', 45, 'tape'), by: 'Aylin' },
  ];
  expect(sameDayPairs(readings, 'sheep')).toEqual([{ ...pair(44, 41), by: 'Aylin' }]);
});

it('is the mean of log ratios with its interval', () => {
  // By hand: 44/40 = 1.1 and 40/44 = 1/1.1 cancel in logs; SD of +-0.09531 is 0.13479, t 3.078 / sqrt 2: 0.29337.
  const [bias] = scaleBiases([pair(44, 40), pair(40, 44)]);
  expect(bias).toMatchObject({ pairs: 2, isUsed: false });
  expect(bias?.ratio).toBeCloseTo(1, 12);
  expect(bias?.low).toBeCloseTo(Math.exp(-0.29337), 3);
  expect(bias?.high).toBeCloseTo(Math.exp(0.29337), 3);
});

it.each([
  [7, undefined],
  [8, 40],
])('with %i pairs a tape of 44 kg that reads a tenth high becomes %s', (n, kg) => {
  const biases = scaleBiases(Array.from({ length: n }, (_, i) => pair(1.1 * (30 + i), 30 + i)));
  const byKey = new Map(biases.map((b) => [biasKey(b), b]));
  const corrected = correctedKg({ kg: 44, method: 'tape', by: 'Aylin', species: 'sheep' }, byKey);
  if (kg === undefined) expect(corrected).toBeUndefined();
  else expect(corrected).toBeCloseTo(kg, 9);
  // Another hand, another species and the scale itself are left as they are.
  expect(correctedKg({ kg: 44, method: 'tape', by: 'Kerem', species: 'sheep' }, byKey)).toBeUndefined();
  expect(correctedKg({ kg: 44, method: 'scale', by: 'Aylin', species: 'sheep' }, byKey)).toBeUndefined();
});

it('keeps persons and methods apart', () => {
  const biases = scaleBiases([pair(44, 40), pair(36, 40, 'Kerem'), { ...pair(40, 40), method: 'estimate' }]);
  expect(biases.map((b) => [b.by, b.method, Number(b.ratio.toFixed(3))])).toEqual([
    ['Aylin', 'tape', 1.1],
    ['Kerem', 'tape', 0.9],
    ['Aylin', 'estimate', 1],
  ]);
  expect(biases[0]?.low).toBeUndefined(); // one pair has no interval
});
