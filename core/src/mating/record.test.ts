import { dayOf } from '../calendar';
import { isAfterHeat, pairRecords, quarterRecords, sireRecords, type SiredLitter, type Spell } from '.';

const litter = (damId: string, sireId: string, bornOn: string, size: number): SiredLitter => ({
  damId,
  sireId,
  bornOn: dayOf(bornOn),
  size,
});
const litters = [
  litter('d1', 'a', '2025-01-01', 8),
  litter('d1', 'b', '2025-03-01', 6),
  litter('d1', 'b', '2025-05-01', 7),
  litter('d2', 'a', '2025-01-05', 7),
  litter('d2', 'b', '2025-03-05', 6),
  litter('d3', 'b', '2025-03-06', 12),
];

it('holds a male against the others with the same females', () => {
  const [b, a] = sireRecords(litters);
  expect(a).toMatchObject({ sireId: 'a', litters: 2, meanSize: 7.5, againstOthers: { females: 2 } });
  // d1: 8 less 6.5 is 1.5; d2: 7 less 6 is 1; the mean 1.25, SD 0.3536, half width 3.078 x 0.3536 / sqrt 2.
  expect(a?.againstOthers?.mean).toBe(1.25);
  expect(a?.againstOthers?.halfWidth).toBeCloseTo(0.7695, 3);
  // d3 had none but his and does not raise him.
  expect(b).toMatchObject({ sireId: 'b', litters: 4, againstOthers: { mean: -1.25, females: 2 } });
});

it('says nothing against others of a male with one female in common', () => {
  expect(sireRecords(litters.slice(0, 2))[0]?.againstOthers).toBeUndefined();
});

it('tells each pair beside what she had otherwise', () => {
  const pairs = pairRecords(litters);
  expect(pairs[0]).toEqual({
    damId: 'd1',
    sireId: 'b',
    litters: 2,
    meanSize: 6.5,
    otherwise: { meanSize: 8, litters: 1 },
    lastOn: dayOf('2025-05-01'),
  });
  expect(pairs.find((p) => p.damId === 'd3')?.otherwise).toBeUndefined();
});

describe('by quarter, with the heat', () => {
  const hot = [{ from: dayOf('2026-07-10'), to: dayOf('2026-07-20') }];
  const spell = (on: string, outcome: Spell['outcome']): Spell => ({
    services: [],
    on: dayOf(on),
    lastOn: dayOf(on),
    maleIds: ['a'],
    outcome,
    isRipe: outcome.kind !== 'open',
  });
  it('counts what took and how large the litters were', () => {
    const quarters = quarterRecords(
      [
        spell('2026-09-05', { kind: 'nothing-came' }),
        spell('2026-06-30', { kind: 'born', on: dayOf('2026-07-31'), young: 8 }),
        spell('2026-07-12', { kind: 'born', on: dayOf('2026-08-12'), young: 5 }),
        spell('2026-09-29', { kind: 'open' }),
      ],
      hot,
    );
    expect(quarters.map((q) => [`${q.quarter} ${q.year}`, q.spells, q.share?.share, q.meanSize, q.afterHeat])).toEqual([
      ['summer 2026', 2, 1, 6.5, 1],
      ['autumn 2026', 2, 0, undefined, 1],
    ]);
  });
  it('tells a December with the winter it begins, as everywhere', () => {
    const born = (on: string) => spell(on, { kind: 'born', on: dayOf(on), young: 2 });
    const quarters = quarterRecords(['2026-03-01', '2025-12-01', '2025-11-30', '2026-02-28'].map(born), []);
    expect(quarters.map((q) => [q.quarter, q.year, q.spells])).toEqual([
      ['autumn', 2025, 1],
      ['winter', 2026, 2],
      ['spring', 2026, 1],
    ]);
  });
  it('marks a service to fifty days after the last hot day', () => {
    expect(isAfterHeat(dayOf('2026-09-08'), hot)).toBe(true);
    expect(isAfterHeat(dayOf('2026-09-09'), hot)).toBe(false);
    expect(isAfterHeat(dayOf('2026-07-09'), hot)).toBe(false);
  });
});
