import { oneMoreYear, type YearMoney, type YearOfFemale } from '..';

const female: YearOfFemale = {
  own: { mean: 1, litters: 5 },
  herd: 1.6,
  ageFactor: 0.9,
  firstFactor: 0.75,
  litterSd: 0.6,
  survival: 0.9,
  firstSurvival: 0.95,
};
const money: YearMoney = {
  young: 7_000,
  youngError: 0,
  cull: 6_000,
  cullError: 0,
  keep: 9_000,
  replacement: 14_000,
  years: 5,
};

it('weighs one more year against a young one, as worked by hand', () => {
  const found = oneMoreYear(female, money);
  // R = .9 x (5 + 4.8) / 8 = 1.1025; keeping 7717.5 + 5400 - 9000.
  expect(found.young).toBeCloseTo(1.1025, 12);
  expect(found.keeping).toBeCloseTo(4_117.5, 9);
  // R1 = 1.2; E1 = 14000 - 8000 / 5 = 12400; 8400 + 11780 - 9000 - 14000 + 6000.
  expect(found.replacing).toBeCloseTo(3_180, 9);
  expect(found.difference).toBeCloseTo(937.5, 9);
  // v x .9 x .6 / sqrt(8) = 1336.4; x 1.28155.
  expect(found.halfWidth).toBeCloseTo(1.2815515655 * 7_000 * ((0.9 * 0.6) / Math.sqrt(8)), 6);
});

it('what is not sure of the prices moves the difference only where the two differ', () => {
  const same = oneMoreYear(
    { ...female, own: { mean: 1.6, litters: 0 }, ageFactor: 0.75 },
    { ...money, youngError: 900 },
  );
  // Both rear as many: the price of a young cancels out.
  expect(same.halfWidth).toBeCloseTo(1.2815515655 * 7_000 * ((0.75 * 0.6) / Math.sqrt(3)), 6);
  const cull = oneMoreYear(female, { ...money, cullError: 1_000 });
  const byCull = 0.9 - 0.95 / 5 - 1;
  expect(cull.halfWidth).toBeCloseTo(
    1.2815515655 * Math.hypot(7_000 * ((0.9 * 0.6) / Math.sqrt(8)), byCull * 1_000),
    6,
  );
});
