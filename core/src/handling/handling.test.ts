import { careCaution, nextTube, suggestGate, type KnownGain, type SortRule } from '..';
import { day } from '../tests/builders';

describe('the gate a rule suggests', () => {
  const weightRule: SortRule = { by: 'weight', line: 40, above: 'right', below: 'left' };
  const animal = { kg: undefined, gain: undefined, failed: [], points: undefined };
  it.each([
    [41.5, 'right', false],
    [40, 'right', true], // at the line counts as above, and is near
    [39.2, 'left', true],
    [38, 'left', false],
  ])('by weight, %d kg: %s', (kg, gate, isNear) => {
    expect(suggestGate(weightRule, { ...animal, kg }, 1)).toMatchObject({ gate, isNear });
  });
  it('by gain says when it is too soon to tell', () => {
    const gain: KnownGain = {
      kind: 'gain',
      kgPerDay: 0.15,
      standardError: 0.05,
      halfWidth: 0.06,
      from: day('2026-11-01'),
      to: day('2026-11-15'),
      readings: 2,
    };
    const rule: SortRule = { by: 'gain', line: 0.1, above: 'down', below: 'right' };
    expect(suggestGate(rule, { ...animal, gain }, 1)).toMatchObject({ gate: 'down', isNear: true });
    expect(suggestGate(rule, { ...animal, gain: { ...gain, halfWidth: 0.02 } }, 1)).toMatchObject({ isNear: false });
  });
  it('sends one that an outlet would have one way, any other the other, and nobody before it was felt', () => {
    const rule: SortRule = { by: 'ready', outletId: 'bridge', above: 'left', below: 'right' };
    const box = (isReady: boolean) => ({
      isReady,
      chance: isReady ? 0.8 : 0.3,
      isNarrow: undefined,
      worst: { factor: 'fat' as const, side: 'over' as const },
    });
    const animal = { kg: 44, gain: undefined, failed: [], points: undefined };
    expect(suggestGate(rule, { ...animal, box: box(true) }, 1)?.gate).toBe('left');
    expect(suggestGate(rule, { ...animal, box: box(false) }, 1)).toMatchObject({
      gate: 'right',
      because: { kind: 'ready', box: { chance: 0.3 } },
    });
    expect(suggestGate(rule, animal, 1)).toBeUndefined();
  });

  it('by standards and by points', () => {
    const rule: SortRule = { by: 'standards', above: 'left', below: 'right' };
    expect(suggestGate(rule, { ...animal, failed: ['Mouth'] }, 1)).toMatchObject({ gate: 'right' });
    expect(suggestGate(rule, animal, 1)).toMatchObject({ gate: 'left' });
  });
  it('by points: a written choice goes before them, a failed standard before both, and near is told', () => {
    const rule: SortRule = { by: 'index', line: 60, above: 'left', below: 'right', between: 'down' };
    const by = (change: object) => suggestGate(rule, { ...animal, points: 61, pointsError: 3, ...change }, 1);
    expect(by({})).toEqual({
      gate: 'left',
      because: { kind: 'index', points: 61, standardError: 3, line: 60 },
      isNear: true,
    });
    expect(by({ points: 50 })).toMatchObject({ gate: 'right', isNear: false });
    expect(by({ decision: 'sell' })).toMatchObject({ gate: 'right', because: { kind: 'decision', decision: 'sell' } });
    expect(by({ decision: 'second' })).toMatchObject({ gate: 'down' });
    expect(by({ decision: 'keep', failed: ['Mouth'] })).toMatchObject({
      gate: 'right',
      because: { kind: 'standards', failed: ['Mouth'] },
    });
    expect(suggestGate({ ...rule, between: undefined }, { ...animal, decision: 'second' }, 1)?.gate).toBe('right');
  });
  it('is none where its figure is missing', () => {
    for (const rule of [weightRule, { ...weightRule, by: 'gain' }, { ...weightRule, by: 'index' }] as const)
      expect(suggestGate(rule, animal, 1)).toBeUndefined();
  });
});

it.each([
  ['B-001', 'B-002'],
  ['B-099', 'B-100'],
  ['A9', 'A10'],
  ['26/0007-G', '26/0008-G'],
  ['99999999999999999999', '100000000000000000000'],
  ['blue', undefined],
])('after tube %s comes %s', (tube, next) => {
  expect(nextTube(tube)).toBe(next);
});

it.each([
  ['dock', 'sheep', 'female', 7, undefined],
  ['dock', 'sheep', 'female', 8, 'over-age'],
  ['dock', 'goat', 'male', 2, 'not-usual'],
  ['castrate', 'sheep', 'female', 2, 'wrong-sex'],
  ['disbud', 'goat', 'female', 11, 'over-age'],
  ['castrate', 'cattle', 'male', undefined, undefined],
  ['feet', 'sheep', 'female', 900, undefined],
] as const)('%s of a %s (%s) of %s days: %s', (kind, species, sex, ageDays, caution) => {
  expect(careCaution(kind, { species, sex, ageDays })?.kind).toBe(caution);
});
