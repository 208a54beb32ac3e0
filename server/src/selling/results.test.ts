import type { ResultsView, SellingView } from '@yaylak/contract';
import { anOutlet, arrival, fact, get, testApp, uuid, weight, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

/** Pays 6.00 a kilogram of carcass by class: 20 cents more or less a class of shape, 30 less for fat 4, 60 for 5. */
const grid = {
  shape: 'whole',
  fat: 'whole',
  cellsAre: 'adjustment',
  cells: [-40, -20, 0, 20, 40].map((s) => [0, 0, 0, -30, -60].map((f) => s + f)),
} as const;
const abattoir = async (name: string): Promise<string> => {
  const id = uuid();
  const facts = anOutlet({
    name,
    payBy: 'grid',
    prices: [{ from: '2026-01-01', baseMinor: 600, bands: [], grid }],
    headMinor: 200,
    commissionShare: 0,
    wants: {},
  });
  await t
    .http()
    .post('/api/selling/outlets')
    .send({ id, ...facts })
    .expect(201);
  return id;
};
/** Felt R and 3 at 44 kg, two days before it left. */
const lamb = async (more: readonly ((id: string) => object)[] = []): Promise<string> => {
  const id = uuid();
  await t.post(
    arrival(id, { sex: 'male', bornOn: '2026-04-20', on: '2026-04-20' }),
    weight(id, '2026-11-01', 42),
    weight(id, '2026-11-08', 44),
    fact('finish', id, { on: '2026-11-08', shape: 8, fat: { loin: 8 } }),
    ...more.map((one) => one(id) as never),
  );
  return id;
};
const leaves =
  (outletId: string, change: object = {}) =>
  (id: string) =>
    fact('departure', id, { on: '2026-11-10', how: 'slaughtered', outletId, kg: 44, ...change });
const comesBack =
  (change: object = {}) =>
  (id: string) =>
    fact('carcass', id, {
      on: '2026-11-10',
      carcassKg: 19.8,
      shape: 11,
      fat: 8,
      priceMinor: 12_276,
      deductedMinor: 200,
      ...change,
    });
const results = (): Promise<ResultsView> => get(t, '/api/selling/results?species=sheep');

it('holds what was paid against what was expected, head by head and together', async () => {
  const bridge = await abattoir('Stone bridge');
  await lamb([leaves(bridge), comesBack()]);
  const waits = await lamb([leaves(bridge)]);
  const { years, year, loads } = await results();
  expect([years, year]).toEqual([[2026], 2026]);
  expect(loads).toHaveLength(1);
  const [load] = loads;
  expect(load).toMatchObject({ outletId: bridge, on: '2026-11-10', waiting: 1, compared: 1, paidMinor: 12_076 });
  const [paid, open] = [load!.heads.find((h) => h.carcass), load!.heads.find((h) => !h.carcass)];
  expect(open).toMatchObject({ tag: { animalId: waits }, difference: null, priceMinor: null });
  const { expectedMinor, paidMinor, ...parts } = paid!.difference!;
  expect(Object.values(parts).reduce((s: number, p) => s + (p ?? 0), expectedMinor)).toBe(paidMinor);
  // U instead of R brings 20 cents more of 19.8 kg; what it thought of 4 and over before is gone too.
  expect(parts.classMinor).toBeGreaterThan(396);
});

it('is learned from: the same hand brings another estimate after the grader gave better shapes', async () => {
  const bridge = await abattoir('Stone bridge');
  const worth = async (id: string): Promise<number> => {
    const { rows } = await get<SellingView>(t, '/api/selling?species=sheep');
    return rows.find((r) => r.tag.animalId === id)?.cells.find((c) => c.outletId === bridge)?.nowMinor ?? 0;
  };
  const next = await lamb();
  const before = await worth(next);
  for (let i = 0; i < 5; i++) await lamb([leaves(bridge), comesBack()]);
  const { graders, killingOut } = await results();
  // Five that graded a class better than felt: believed by half.
  expect(graders).toMatchObject([
    { outletId: bridge, breedGroup: null, shape: { pairs: 5, mean: 3, halfWidth: 0, used: 1.5 } },
  ]);
  // (5 x .45 + 10 x .46) / 15
  expect(killingOut).toMatchObject({ heads: 5, usual: 0.46 });
  expect(killingOut.share).toBeCloseTo(0.456667, 6);
  expect(await worth(next)).toBeGreaterThan(before);
});

it('is not learned from by what was expected before it was known', async () => {
  const bridge = await abattoir('Stone bridge');
  await lamb([leaves(bridge), comesBack()]);
  const expected = async (): Promise<number | undefined> => (await results()).loads.at(-1)?.expectedMinor;
  const before = await expected();
  await lamb([leaves(bridge, { on: '2026-11-12' }), comesBack({ on: '2026-11-12' })]);
  expect(await expected()).toBe(before);
});

it('sets two graders against each other from five pairs each', async () => {
  const [bridge, hill] = [await abattoir('Stone bridge'), await abattoir('Hill works')];
  for (let i = 0; i < 5; i++) {
    await lamb([leaves(bridge), comesBack({ shape: 9 + (i % 2) })]);
    if (i < 4) await lamb([leaves(hill), comesBack({ shape: 7 })]);
  }
  expect((await results()).compared).toEqual([]);
  await lamb([leaves(hill), comesBack({ shape: 7 })]);
  const [one] = (await results()).compared;
  expect(Math.abs(one!.shape!.difference)).toBeCloseTo(2.4, 10);
  expect(one!.fat).toMatchObject({ difference: 0 });
});
