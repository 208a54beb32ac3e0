import { countedAt, scanningRate } from '.';

it.each([
  ['scan', 'carrying', 2, 2],
  ['scan', 'empty', undefined, 0],
  ['scan', 'doubtful', undefined, undefined],
  ['scan', 'carrying', undefined, undefined], // told young, and nobody counted
  ['palpation', 'empty', undefined, 0],
  ['blood', 'empty', undefined, undefined], // blood never counts
] as const)('a %s that told %s with %s counts %s', (way, result, young, counted) => {
  expect(countedAt({ way, result, young })).toBe(counted);
});

it('is young to 100 females counted, the empty ones among them', () => {
  expect(scanningRate([2, 0, 1, 3])).toEqual({ females: 4, young: 6, per100: 150 });
  expect(scanningRate([])).toBeUndefined();
});
