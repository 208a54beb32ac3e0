import { SPECIES_TABLE } from '../species';
import { day, reading } from '../tests/builders';
import { againstAim, weightForHeight } from '.';

const { sheep } = SPECIES_TABLE;
const at = { on: day('2026-05-10'), heightCm: 70 };

describe('weight for height', () => {
  it('is the weighing nearest to the day of the stick, over the height', () => {
    const weights = [reading('2026-04-28', 56), reading('2026-05-06', 63), reading('2026-05-20', 70)];
    const found = weightForHeight(at, weights, sheep);
    expect(found?.kgPerCm).toBeCloseTo(63 / 70, 12);
    expect(found?.weighed.on).toBe(day('2026-05-06'));
    // The reading is sure to 2.5 %, the height to 1.5 %: .9 x sqrt(.000625 + .000225) = .0262.
    expect(found?.sd).toBeCloseTo(0.02624, 5);
  });

  it('takes the later of two that are equally near', () => {
    const found = weightForHeight(at, [reading('2026-05-08', 60), reading('2026-05-12', 64)], sheep);
    expect(found?.weighed.kg).toBe(64);
  });

  it.each([
    ['2026-04-26', true],
    ['2026-04-25', false],
    ['2026-05-24', true],
    ['2026-05-25', false],
  ])('weighed on %s, it is known: %s', (on, isKnown) => {
    expect(weightForHeight(at, [reading(on, 60)], sheep) !== undefined).toBe(isKnown);
  });

  it.each([
    [0.86, 'light'],
    [0.867, 'as-aimed'],
    [0.9, 'as-aimed'],
    [0.933, 'as-aimed'],
    [0.94, 'heavy'],
  ] as const)('of %s kg a cm against .9 is %s', (kgPerCm, verdict) => {
    // 1.28155 x .0262 = .0336 is left open by scale and stick.
    expect(againstAim({ kgPerCm, sd: 0.0262, weighed: reading('2026-05-10', 60) }, 0.9)).toBe(verdict);
  });
});
