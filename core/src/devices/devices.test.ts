import fc from 'fast-check';
import { newLook, readDeviceLine, steadyDetector, type CrateState } from '..';

/** Samples ten times a second. */
const run = (kgs: readonly number[]): CrateState[] => {
  const see = steadyDetector();
  return kgs.map((kg, i) => see({ atMs: i * 100, kg }));
};
const settledAt = (states: readonly CrateState[]): number[] =>
  states.flatMap((s) => (s.kind === 'settled' && s.isNew ? [s.kg] : []));
const times = <T>(n: number, value: T): T[] => Array.from({ length: n }, () => value);

describe('a weight in the crate', () => {
  it('settles once it has stood still, and is said once', () => {
    const states = run([0, 0, 12, 45, 38, 41, 40.2, ...times(12, 40.1)]);
    expect(settledAt(states)).toEqual([40.1]);
    expect(states[7]?.kind).toBe('moving');
    expect(states.at(-1)).toEqual({ kind: 'settled', kg: 40.1, isNew: false });
  });
  it('does not settle while the animal steps about', () => {
    expect(settledAt(run(Array.from({ length: 60 }, (_, i) => 40 + 3 * Math.sin(i))))).toEqual([]);
  });
  it('is said again only after the crate was empty', () => {
    expect(settledAt(run([...times(12, 40), ...times(12, 55)]))).toEqual([40]);
    expect(settledAt(run([...times(12, 40), ...times(10, 0), ...times(12, 55)]))).toEqual([40, 55]);
  });
  it('does not fall for one sample near zero while it stands', () => {
    expect(settledAt(run([...times(12, 40), 0.2, ...times(12, 40)]))).toEqual([40]);
  });
  it('begins anew after a silence: two samples far apart say nothing', () => {
    const see = steadyDetector();
    times(4, 0).forEach((_, i) => see({ atMs: i * 100, kg: 40 }));
    expect(see({ atMs: 60_000, kg: 40 }).kind).toBe('moving');
  });
  it('lies within the spread of what was seen, for any noise it settles in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 800, noNaN: true }),
        fc.infiniteStream(fc.double({ min: -1, max: 1, noNaN: true })),
        (kg, noise) => {
          const samples = [...noise.take(30)].map((n) => kg * (1 + 0.004 * n));
          for (const settled of settledAt(run(samples))) {
            expect(settled).toBeGreaterThanOrEqual(Math.min(...samples));
            expect(settled).toBeLessThanOrEqual(Math.max(...samples));
          }
          expect(settledAt(run(samples))).toHaveLength(1);
        },
      ),
    );
  });
});

it.each([
  ['792 000000126031', { kind: 'number', digits: '792000000126031' }],
  ['A0000000 792000000126031\r', { kind: 'number', digits: '792000000126031' }],
  ['ST,GS,  27.40 kg', { kind: 'weight', kg: 27.4 }],
  ['+0027,4kg', { kind: 'weight', kg: 27.4 }],
  ['742 g', { kind: 'weight', kg: 0.742 }],
  ['100 lb', { kind: 'weight', kg: 45.359237 }],
  ['27.4', { kind: 'weight', kg: 27.4 }],
  ['-0.2 kg', { kind: 'weight', kg: -0.2 }],
  ['792000000126', { kind: 'bad-number', reason: 'wrong-length', text: '792000000126' }],
  ['battery low', { kind: 'noise', text: 'battery low' }],
  ['', { kind: 'noise', text: '' }],
])('reads the line %j', (line, expected) => {
  expect(readDeviceLine(line)).toEqual(
    'kg' in expected ? { ...expected, kg: expect.closeTo(expected.kg, 9) } : expected,
  );
});

it('takes a number held in the field once, and again after a pause', () => {
  const isNew = newLook(4000);
  const looks = [0, 900, 4000, 7500, 12_000].map((at) => isNew('792000000126031', at));
  expect(looks).toEqual([true, false, false, false, true]);
  expect(isNew('792000000126032', 12_100)).toBe(true);
});
