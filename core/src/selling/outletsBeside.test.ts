import { outletBeside } from './outletsBeside';

it('counts who fits, what they bring with the trip off, and how many should miss', () => {
  const heads = [
    { isReady: true, chance: 0.9, minor: 10_000 },
    { isReady: true, chance: 0.8, minor: 11_000 },
    { isReady: true, chance: 1, minor: undefined },
    { isReady: false, chance: 0.4, minor: 9_000 },
  ];
  const found = outletBeside(heads, 2_000);
  expect(found).toMatchObject({ fits: 2, minor: 19_000 });
  // .1 + .2, and sqrt(.09 + .16).
  expect(found.misses).toBeCloseTo(0.3, 12);
  expect(found.missesSd).toBeCloseTo(0.5, 12);
  expect(outletBeside([], 2_000)).toEqual({ fits: 0, minor: 0, misses: 0, missesSd: 0 });
});
