import { feed } from '../book/kinds/feed';
import { treatment } from '../book/kinds/treatment';
import type { Reared } from '../rearing';
import { anAnimal, day } from '../tests/builders';
import {
  feedCost,
  meanMargin,
  remediesCost,
  saleMargin,
  tripShares,
  type HeadCosts,
  type MeanMargin,
} from './saleMargin';

const at = (on: string) => ({ entryId: on, on: day(on), writtenBy: 'Ayla', jobId: undefined }) as never;
const ate = (since: string, on: string, kg: number, priceMinor: number) =>
  feed.fact({ since, feed: 'Plain pellet', kg, priceMinor } as never, at(on));
const nothing: HeadCosts = { feedMinor: undefined, remediesMinor: undefined, purchaseMinor: undefined };
const kit = (id: string, goneOn?: string): Reared => ({
  id,
  bornOn: day('2026-09-01'),
  birthDamId: 'doe',
  fosterings: [],
  weanedOn: undefined,
  goneOn: goneOn === undefined ? undefined : day(goneOn),
});

it('a head bears its own feed and its share of what its dam and the litter ate', () => {
  const facts = anAnimal('a', { species: 'rabbit', bornOn: day('2026-09-01') });
  facts.feeds.push(ate('2026-10-15', '2026-11-01', 4, 50));
  const dam = {
    damId: 'doe',
    feeds: [ate('2026-09-02', '2026-10-10', 40, 45), ate('2026-01-02', '2026-02-10', 90, 45)],
    about: [kit('a'), kit('b'), kit('c'), kit('dead', '2026-09-20')],
  };
  // Own 4 x 50 = 200; 40 x 45 = 1800 on the three that were there to its end; the note of an earlier litter is not its.
  expect(feedCost(facts, [dam])).toBeCloseTo(200 + 600, 9);
  expect(feedCost(anAnimal('a'), [])).toBeUndefined();
});

it('a remedy costs what was paid for its batch, else what the priced batches cost together', () => {
  const product = {
    doseUnit: 'ml' as const,
    batches: [
      { batch: 'K1', amount: 500, paidMinor: 5_000 },
      { batch: 'K2', amount: 250, paidMinor: 4_000 },
      { batch: 'K3', amount: 250 },
    ],
  };
  const facts = anAnimal('a');
  const give = (amount: number, batch?: string, unit = 'ml') =>
    facts.treatments.push(
      treatment.fact({ productId: 'drench', amount, unit, route: 'mouth', batch } as never, at('2026-06-01')),
    );
  const cost = () => remediesCost(facts, (id) => (id === 'drench' ? product : undefined));
  expect(cost()).toBeUndefined();
  give(5, 'K1');
  expect(cost()).toBeCloseTo(50, 9);
  give(5, 'K2');
  expect(cost()).toBeCloseTo(50 + 80, 9);
  // Without a price of its own, and with no batch said: 9000 for 750 ml.
  give(5, 'K3');
  give(5);
  expect(cost()).toBeCloseTo(130 + 60 + 60, 9);
  give(1, 'K1', 'tablet');
  expect(cost()).toBeCloseTo(250, 9);
});

it('what is left is the price less a share of the trip, charges, feed, remedies and purchase', () => {
  const costs = { feedMinor: 1_800, remediesMinor: 250, purchaseMinor: 4_000 };
  const one = saleMargin(
    { grossMinor: 11_000, netMinor: 10_300 },
    { notedMinor: undefined, outlet: { tripMinor: 3_000 }, heads: 6 },
    costs,
  );
  // 110.00 - 5.00 - 7.00 - 18.00 - 2.50 - 40.00
  expect(one.leftMinor).toBe(3_750);
  const two = saleMargin(
    { grossMinor: 9_000, netMinor: 9_000 },
    { notedMinor: undefined, outlet: undefined, heads: 1 },
    nothing,
  );
  expect(two.leftMinor).toBe(9_000);
  const mean = meanMargin([
    { margin: one, costs },
    { margin: two, costs: nothing },
  ]);
  expect(mean).toMatchObject({
    heads: 2,
    leftMinor: 6_375,
    noted: { feedMinor: 1, remediesMinor: 1, purchaseMinor: 1 },
  });
  expect(mean?.parts).toMatchObject({ priceMinor: 10_000, haulageMinor: 250, commissionMinor: 350, feedMinor: 900 });
  expect(meanMargin([])).toBeUndefined();
});

it('rounded to whole hundredths the parts still add up to what is left', () => {
  const third = saleMargin(
    { grossMinor: 10_000, netMinor: 9_999.5 },
    { notedMinor: undefined, outlet: { tripMinor: 1_000 }, heads: 3 },
    { feedMinor: 33.4, remediesMinor: 0.5, purchaseMinor: undefined },
  );
  const mean = meanMargin([{ margin: third, costs: nothing }]) as MeanMargin;
  // 10000 - 333.33 - .5 - 33.4 - .5 = 9632.27
  expect(mean.leftMinor).toBe(9_632);
  const { priceMinor, ...off } = mean.parts;
  expect(priceMinor - Object.values(off).reduce((s, o) => s + o, 0)).toBe(9_632);
  expect(Object.values(off).every(Number.isInteger)).toBe(true);
});

it('what the trip cost is taken as it was written down; the outlet’s entry stands in for it', () => {
  const paid = { grossMinor: 9_000, netMinor: 9_000 };
  const trip = { notedMinor: 250, outlet: { tripMinor: 3_000 }, heads: 6 };
  expect(saleMargin(paid, trip, nothing).leftMinor).toBe(8_750);
  expect(saleMargin(paid, { ...trip, notedMinor: 0 }, nothing).leftMinor).toBe(9_000);
  expect(saleMargin(paid, { ...trip, notedMinor: undefined }, nothing).leftMinor).toBe(8_500);
});

it('a trip is shared to the hundredth', () => {
  expect(tripShares(1_000, 3)).toEqual([333, 333, 334]);
  for (const [trip, heads] of [
    [0, 4],
    [1, 7],
    [9_999, 13],
    [5_000, 1],
  ] as const) {
    const shares = tripShares(trip, heads);
    expect(shares.reduce((s, n) => s + n, 0)).toBe(trip);
    expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
  }
});
