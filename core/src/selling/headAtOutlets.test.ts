import { SPECIES_TABLE } from '../species';
import { day, reading } from '../tests/builders';
import { headAtOutlets, type HeadAsked, type Outlet } from '.';

const today = day('2026-11-30');
const settings = {
  ...SPECIES_TABLE.sheep,
  selling: { ...SPECIES_TABLE.sheep.selling, keepMinorADay: 20, diesADay: 0 },
};
const head = (change: Partial<HeadAsked> = {}): HeadAsked => ({
  today,
  bornOn: day('2026-04-20'),
  // .2 kg a day to 42.
  daily: [reading('2026-11-02', 36.4), reading('2026-11-16', 39.2), reading('2026-11-30', 42)],
  curve: undefined,
  group: undefined,
  feedDays: undefined,
  clearIn: 0,
  oldEnoughIn: 0,
  shape: undefined,
  felt: [],
  fatGroup: 'middle',
  killingOut: 0.46,
  penHeads: 10,
  ...change,
});
const outlet = (id: string, kg: Outlet['box']['kg'], baseMinor: number): Outlet => ({
  id,
  species: 'sheep',
  payBy: 'live-head',
  prices: [{ from: day('2026-01-01'), baseMinor, bands: [] }],
  shrinkShare: 0,
  commissionShare: 0,
  tripMinor: 1_000,
  headMinor: 0,
  least: 0,
  box: { kg },
  leastChance: 0.7,
});
const small = outlet('small', { to: 35 }, 15_000);
const grown = outlet('grown', { from: 55 }, 12_000);
const market = outlet('market', { from: 38 }, 9_000);
const asked = (outlets: readonly Outlet[], change?: Partial<HeadAsked>) => {
  const answer = headAtOutlets(head(change), outlets, settings);
  if (!answer) throw new Error('its weight is known');
  return answer;
};

it('brings most where it would be taken, today or later, and not where more is paid for another', () => {
  expect(asked([small, market]).best?.outlet.id).toBe('market');
  // 55 kg in two months or so: that is worth waiting for, and has its day.
  expect(asked([small, market, grown]).best?.outlet.id).toBe('grown');
});

it('is worth at a later day what those pay that would take it: a week of keep and the trip shared by ten off', () => {
  expect(asked([small, market]).staysMinor).toBeCloseTo(9_000 - 7 * 20 - 100, 6);
  expect(asked([market], { clearIn: 130 }).staysMinor).toBeUndefined();
});

it('is asked about everywhere where nobody would take it', () => {
  const { best, staysMinor, state } = asked([small]);
  expect(best?.outlet.id).toBe('small');
  expect(staysMinor).toBeCloseTo(15_000 - 7 * 20 - 100, 6);
  expect(state).toBe('never');
});

it('stays for those that will still want it then, and for the others only where nobody will', () => {
  // 42 kg grows by .2 a day: out of a box to 44 before a week and a half is over, with the error of scale and gain sooner.
  const closing = outlet('closing', { from: 30, to: 43.5 }, 12_000);
  const { at } = asked([closing]);
  expect(at[0]?.readiness).toMatchObject({ kind: 'ready', closes: { by: { of: 'weight', side: 'over' } } });
  expect(asked([closing, market]).staysMinor).toBeCloseTo(9_000 - 7 * 20 - 100, 6);
  expect(asked([closing]).staysMinor).toBeCloseTo(12_000 - 7 * 20 - 100, 6);
  // Wanted from the day it comes to 44 kg by 7 in 10 on.
  const later = outlet('later', { from: 44 }, 12_000);
  const days = asked([later]).at[0]?.readiness;
  if (days?.kind !== 'in-days') throw new Error('it grows into the box');
  expect(days.days).toBeGreaterThan(10);
  expect(asked([later]).staysMinor).toBeCloseTo(12_000 - days.days * 20 - 100, 6);
});
