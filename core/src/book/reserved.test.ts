import { dayOf } from '../calendar';
import type { AnimalFacts } from './facts';
import { lapsedOn, reservedOn } from './reserved';

const day = dayOf;
type Facts = Pick<AnimalFacts, 'reservations' | 'releases' | 'departures'>;
const facts = (change: Partial<Facts> = {}): Facts => ({
  reservations: [
    {
      entryId: 'r',
      on: day('2026-11-20'),
      buyer: 'Demir',
      until: day('2026-11-30'),
      priceMinor: 24_000,
      depositMinor: undefined,
    },
  ],
  releases: [],
  departures: [],
  ...change,
});
const buyerOn = (of: Facts, iso: string) => reservedOn(of, day(iso))?.buyer;

it('is kept from the day it is written to the end of its last', () => {
  expect(['2026-11-19', '2026-11-20', '2026-11-30', '2026-12-01'].map((on) => buyerOn(facts(), on))).toEqual([
    undefined,
    'Demir',
    'Demir',
    undefined,
  ]);
});

it('is free when it was let go, and when it left', () => {
  const released = facts({ releases: [{ entryId: 'x', on: day('2026-11-25'), reservationId: 'r' }] });
  expect([buyerOn(released, '2026-11-24'), buyerOn(released, '2026-11-25')]).toEqual(['Demir', undefined]);
  const left = facts({ departures: [{ entryId: 'd', on: day('2026-11-25'), how: 'sold' }] as never });
  expect([buyerOn(left, '2026-11-24'), buyerOn(left, '2026-11-25')]).toEqual(['Demir', undefined]);
});

it('tells for a week that the day is over, unless it was let go, kept anew, or has left', () => {
  const told = (of: Facts, iso: string) => lapsedOn(of, day(iso))?.buyer;
  expect(['2026-11-30', '2026-12-01', '2026-12-07', '2026-12-08'].map((on) => told(facts(), on))).toEqual([
    undefined,
    'Demir',
    'Demir',
    undefined,
  ]);
  const on = '2026-12-02';
  expect(told(facts({ releases: [{ entryId: 'x', on: day('2026-11-29'), reservationId: 'r' }] }), on)).toBeUndefined();
  expect(
    told(facts({ departures: [{ entryId: 'd', on: day('2026-12-01'), how: 'sold' }] as never }), on),
  ).toBeUndefined();
  const [first] = facts().reservations;
  const anew = { ...first, entryId: 's', on: day('2026-12-01'), buyer: 'Kaya', until: undefined } as never;
  expect(told(facts({ reservations: [...facts().reservations, anew] }), on)).toBeUndefined();
});
