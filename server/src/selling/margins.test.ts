import type { MarginsView, MarginsBy } from '@yaylak/contract';
import {
  aGroup,
  anOutlet,
  aProduct,
  arrival,
  departure,
  fact,
  get,
  move,
  testApp,
  treatment,
  uuid,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const margins = (by: MarginsBy = 'outlet'): Promise<MarginsView> =>
  get(t, `/api/selling/margins?species=sheep&by=${by}`);
async function market(name = 'Hill market'): Promise<string> {
  const id = uuid();
  await t
    .http()
    .post('/api/selling/outlets')
    .send({ id, ...anOutlet({ name, commissionShare: 0.05, headMinor: 100, tripMinor: 3_000 }) })
    .expect(201);
  return id;
}
const lamb = async (change: object = {}): Promise<string> => {
  const id = uuid();
  await t.post(arrival(id, { sex: 'male', bornOn: '2026-04-20', on: '2026-04-20', ...change }));
  return id;
};
const sold = (id: string, outletId: string | undefined, priceMinor: number | undefined, on = '2026-11-10') => ({
  ...departure(id, on),
  ...(outletId === undefined ? {} : { outletId }),
  ...(priceMinor === undefined ? {} : { priceMinor }),
});

it('takes haulage, charges, feed, remedies and purchase off what was paid, and adds up', async () => {
  const outletId = await market();
  const drench = await aProduct(t, { batches: [{ batch: 'K1', amount: 500, paidMinor: 5_000 }] });
  const [bought, other, given] = [await lamb({ how: 'bought', boughtMinor: 4_000 }), await lamb(), await lamb()];
  await t.post(
    treatment(bought, drench, { on: '2026-08-01', meatDays: 14 }),
    fact('feed', bought, { since: '2026-09-01', on: '2026-11-01', feed: 'Barley', kg: 30, priceMinor: 40 }),
    sold(bought, outletId, 10_000),
    sold(other, outletId, 12_000),
    // Nobody said for how much: it went on the same trip.
    sold(given, outletId, undefined),
  );
  const { years, rows, all, unpaid } = await margins();
  expect(years).toEqual([2026]);
  expect(rows.map((r) => r.name)).toEqual(['Hill market']);
  const [year] = rows[0]?.years ?? [];
  // Two of three on the trip: 10.00 each. Charges 5 % and 1.00: 6.00 and 7.00. 8.5 ml of a drench of 10 cents: 85 on two.
  expect(year).toEqual({
    year: 2026,
    heads: 2,
    parts: {
      priceMinor: 11_000,
      haulageMinor: 1_000,
      commissionMinor: 650,
      feedMinor: 600,
      remediesMinor: 42,
      purchaseMinor: 2_000,
    },
    leftMinor: 6_708,
    noted: { feedMinor: 1, remediesMinor: 1, purchaseMinor: 1 },
  });
  expect(all).toEqual([year]);
  expect(unpaid).toEqual([{ year: 2026, heads: 1 }]);
});

it('tells sales apart by outlet, group, month and breed, and this year from the last', async () => {
  const [near, far] = [await market('Near'), await market('Far')];
  const group = await aGroup(t, 'Ram lambs');
  const [a, b, c] = [
    await lamb({ strain: 'Hill' }),
    await lamb(),
    await lamb({ bornOn: '2025-04-20', on: '2025-04-20', strain: 'Hill' }),
  ];
  await t.post(
    { ...move(a, group), on: '2026-05-01' },
    sold(a, near, 10_000, '2026-09-10'),
    sold(b, far, 11_000, '2026-11-10'),
    sold(c, near, 9_000, '2025-09-12'),
  );
  const of = async (by: MarginsBy) =>
    (await margins(by)).rows.map((r) => [r.name, ...r.years.map((y) => `${y.year}: ${y.heads}`)]);
  expect(await of('outlet')).toEqual([
    ['Far', '2026: 1'],
    ['Near', '2026: 1', '2025: 1'],
  ]);
  expect(await of('month')).toEqual([
    ['09', '2026: 1', '2025: 1'],
    ['11', '2026: 1'],
  ]);
  expect(await of('breed')).toEqual([
    ['', '2026: 1'],
    ['Hill', '2026: 1', '2025: 1'],
  ]);
  expect(await of('group')).toEqual([
    ['', '2026: 1', '2025: 1'],
    ['Ram lambs', '2026: 1'],
  ]);
  await get(t, '/api/selling/margins?species=sheep&by=moon', 400);
});

it('takes what the trip cost where it was written down, and keeps it over a restart', async () => {
  const outletId = await market();
  const [one, other] = [await lamb(), await lamb()];
  await t.post(
    { ...sold(one, outletId, 10_000), haulageMinor: 400 } as never,
    { ...sold(other, outletId, 10_000), haulageMinor: 401 } as never,
  );
  t = await t.again();
  const { rows } = await margins();
  // 8.01 on two, and 6.00 of charges each.
  expect(rows[0]?.years[0]).toMatchObject({ parts: { haulageMinor: 400, commissionMinor: 600 }, leftMinor: 9_000 });
});
