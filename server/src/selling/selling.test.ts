import type { BookFile, OutletView, SaleAnimalView, SaleRow, SellingView } from '@yaylak/contract';
import {
  aGroup,
  anOutlet,
  aProduct,
  arrival,
  fact,
  get,
  move,
  testApp,
  TODAY,
  treatment,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
let pen: string;
beforeEach(async () => {
  t = await testApp();
  pen = await aGroup(t, 'Fattening pen');
});
afterEach(() => t.close());

const outlet = async (change: object = {}): Promise<string> => {
  const id = uuid();
  await t
    .http()
    .post('/api/selling/outlets')
    .send({ id, ...anOutlet(change) })
    .expect(201);
  return id;
};
const lamb = async (kgs: readonly number[], change: object = {}, weanedOn = '2026-09-01'): Promise<string> => {
  const id = uuid();
  await t.post(
    arrival(id, { sex: 'male', bornOn: '2026-04-20', on: '2026-04-20', ...change }),
    move(id, pen, weanedOn),
    fact('weaning', id, { on: weanedOn, isDone: true }),
    // The last today, a week between each.
    ...kgs.map((kg, i) =>
      weight(id, new Date(Date.UTC(2026, 10, 23 - 7 * (kgs.length - 1 - i))).toISOString().slice(0, 10), kg),
    ),
  );
  return id;
};
const view = (): Promise<SellingView> => get(t, '/api/selling?species=sheep');
const rowOf = async (id: string): Promise<SaleRow> => {
  const row = (await view()).rows.find((r) => r.tag.animalId === id);
  if (!row) throw new Error('not for sale');
  return row;
};

describe('who is ready', () => {
  it('is who lies in what an outlet wants, with what it brings there today and when most', async () => {
    const market = await outlet();
    const [heavy, light] = [await lamb([42, 43.4, 44.8]), await lamb([32, 33.4, 34.8])];
    expect(await rowOf(heavy)).toMatchObject({
      state: 'ready',
      feedDays: 83,
      weight: { kg: 44.8, on: TODAY, gainKgPerDay: expect.closeTo(0.2, 6) as number },
      // 44.8 x 3.00 less 1.00.
      cells: [{ outletId: market, nowMinor: expect.closeTo(13_340, 6) as number, readiness: { kind: 'ready' } }],
      bestOutletId: market,
    });
    const row = await rowOf(light);
    expect(row.state).toBe('in-days');
    // To 40 kg it lacks 5.2, at .2 a day, and has to be there by 7 in 10.
    expect(row.inDays).toBeGreaterThan(26);
    expect(row.inDays).toBeLessThan(34);
    // A day brings .60 and costs .26 and a little risk: it waits to the end of its days on feed.
    expect(row.cells[0]?.best).toMatchObject({ inDays: 37 });
  });

  it('is nobody under withdrawal, nobody too young, and nobody kept for a buyer; each with why', async () => {
    await outlet();
    const [given, kept, young] = [
      await lamb([44]),
      await lamb([44]),
      await lamb([20], { bornOn: '2026-10-10', on: '2026-10-10' }, '2026-11-01'),
    ];
    const product = await aProduct(t, { withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14 }] });
    await t.post(treatment(given, product, { meatDays: 14 }), fact('reservation', kept, { buyer: 'Neighbour' }));
    expect(await rowOf(given)).toMatchObject({ state: 'held', held: { of: 'withdrawal', clearOn: '2026-12-08' } });
    expect((await rowOf(given)).cells[0]?.nowMinor).toBeNull();
    expect(await rowOf(kept)).toMatchObject({ state: 'held', held: { of: 'reserved', buyer: 'Neighbour' } });
    expect(await rowOf(young)).toMatchObject({ state: 'held', held: { of: 'too-young' } });
  });

  it('is nobody who may be unfit to travel, until it was looked at again', async () => {
    await outlet();
    const lame = await lamb([44]);
    const looked = (on: string, grade: 'pass' | 'fail') => fact('look', lame, { on, grades: { 'sheep-feet': grade } });
    await t.post(looked('2026-11-20', 'fail'));
    const row = await rowOf(lame);
    expect(row).toMatchObject({
      state: 'held',
      held: { of: 'unfit', unfit: { code: 'lame', on: '2026-11-20' } },
      cells: [{ nowMinor: null }],
    });
    await t.post(looked(TODAY, 'pass'));
    expect(await rowOf(lame)).toMatchObject({ state: 'ready', held: null });
  });

  it('leaves out who was chosen to be kept, and takes in the old that were chosen to go', async () => {
    const [keeper, old, mother] = [
      await lamb([44], { sex: 'female' }),
      await lamb([60], { sex: 'female', bornOn: '2019-04-01' }),
      await lamb([60], { sex: 'female', bornOn: '2020-04-01' }),
    ];
    await t.post(
      fact('choice', keeper, { decision: 'keep', among: 'ewe lambs' }),
      fact('choice', old, { decision: 'cull', among: 'grown ewes', reason: 'teeth' }),
    );
    const ids = (await view()).rows.map((r) => r.tag.animalId);
    expect(ids).toEqual([old]);
    expect(ids).not.toContain(mother);
  });

  it('is asked to be felt for an outlet that pays by class, and is worth its class once it was', async () => {
    const cells = Array.from({ length: 5 }, (_, s) =>
      Array.from({ length: 5 }, (__, f) => 20 * (s - 2) - 30 * Math.max(0, f - 2)),
    );
    const grid = { shape: 'whole', fat: 'whole', cellsAre: 'adjustment', cells };
    await outlet({
      payBy: 'grid',
      prices: [{ from: '2026-01-01', baseMinor: 650, bands: [], grid }],
      wants: { fromKg: 18, fromFat: 4, toFat: 9 },
    });
    const id = await lamb([42, 43.4, 44.8]);
    expect(await rowOf(id)).toMatchObject({ state: 'not-felt', finish: null, cells: [{ nowMinor: null }] });
    await t.post(fact('finish', id, { on: TODAY, shape: 8, fat: { tail: 7, loin: 7, ribs: 7 } }));
    const row = await rowOf(id);
    expect(row.finish).toEqual({ on: TODAY, shape: 8, fat: 7 });
    // 44.8 x .46 = 20.6 kg at 6.50, a little off for the fat it may be graded.
    expect(row.cells[0]?.nowMinor).toBeGreaterThan(12_200);
    expect(row.cells[0]?.nowMinor).toBeLessThan(13_300);
    expect(row.cells[0]?.readiness.kind).not.toBe('not-felt');
  });

  it('is told by day at each outlet, with a range, the gain that pays for its keep, and what it hangs on', async () => {
    const market = await outlet();
    const id = await lamb([42, 43.4, 44.8]);
    const { row, outlooks } = await get<SaleAnimalView>(t, `/api/selling/animals/${id}`);
    expect(row).toEqual(await rowOf(id));
    const [one] = outlooks;
    expect(one).toMatchObject({ outletId: market, best: row.cells[0]?.best, noDay: null });
    expect(one?.margins.slice(0, 57)).toEqual(row.curve);
    // .26 a day over 3.00 a kilogram.
    expect(one?.breakevenKgPerDay).toBeCloseTo(26 / 300, 9);
    expect(one?.range?.low).toBeLessThan(one?.best?.minor ?? 0);
    expect(one?.range?.high).toBeGreaterThan(one?.best?.minor ?? 0);
    expect(one?.hangsOn.map((h) => h.what)).toEqual(['gain', 'keep', 'price']);
    await t.http().get(`/api/selling/animals/${uuid()}`).expect(404);
  });

  it('is split over the outlets so that the pen brings most, a trip paid once and those kept for a buyer left out', async () => {
    const market = await outlet();
    const breeder = await outlet({
      name: 'Breeder',
      payBy: 'live-head',
      prices: [{ from: '2026-01-01', baseMinor: 15_000, bands: [] }],
      tripMinor: 2_000,
      most: 1,
      wants: {},
    });
    const [big, small, kept] = [await lamb([48]), await lamb([44]), await lamb([47])];
    await t.post(fact('reservation', kept, { buyer: 'Neighbour' }));
    const { split } = await view();
    // Today 143 and 131 at the market, 149 at the breeder; both wait at the end of their days for more.
    expect(Object.keys(split?.columns ?? {}).sort()).toEqual([big, small].sort());
    expect(split?.columns[big]).toBe('stays');
    expect(split?.alone).toEqual([
      {
        outletId: market,
        totalMinor: expect.closeTo(48 * 300 + 44 * 300 - 200 - 1_500, 6) as number,
        losesMinor: expect.any(Number) as number,
      },
    ]);
    expect([market, breeder, 'stays']).toContain(split?.columns[small]);
    expect(split?.totalMinor).toBeCloseTo((split?.alone[0]?.totalMinor ?? 0) + (split?.alone[0]?.losesMinor ?? 0), 6);
  });

  it('sends nobody where it is not wanted as it is, unless somebody asks there', async () => {
    const market = await outlet();
    const fussy = await outlet({
      name: 'Fussy',
      payBy: 'live-head',
      prices: [{ from: '2026-01-01', baseMinor: 90_000, bands: [] }],
      wants: { fromKg: 30, toKg: 36 },
    });
    const heavy = await lamb([46, 46, 46]);
    const row = await rowOf(heavy);
    expect(row).toMatchObject({ state: 'plateau', bestOutletId: market });
    expect((await view()).split?.columns[heavy]).toBe(market);
    const asking: SellingView = await get(t, '/api/selling?species=sheep&outside=asked');
    expect(asking.split?.columns[heavy]).toBe(fussy);
    expect(asking.rows).toEqual((await view()).rows);
    await t.http().get('/api/selling?species=sheep&outside=maybe').expect(400);
  });

  it('is said as of a book read anew, whatever is written down between two looks', async () => {
    const market = await outlet({ payBy: 'carcass-kg' });
    const [first, second, third] = [await lamb([42, 43.4, 44.8]), await lamb([38, 39]), await lamb([41, 43])];
    const product = await aProduct(t, { withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14 }] });
    const changes: Readonly<Record<string, () => Promise<unknown>>> = {
      'weight of one, gain of the pen': () => t.post(weight(second, TODAY, 41)),
      'a treatment': () => t.post(treatment(second, product, { meatDays: 14 })),
      'a reservation': () => t.post(fact('reservation', third, { buyer: 'Neighbour' })),
      'one felt': () => t.post(fact('finish', first, { on: TODAY, shape: 8, fat: { loin: 7 } })),
      'a price': () =>
        t
          .http()
          .put(`/api/selling/outlets/${market}`)
          .send({
            ...anOutlet({ payBy: 'carcass-kg', prices: [{ from: '2026-01-01', baseMinor: 420, bands: [] }] }),
            version: 1,
          })
          .expect(200),
      'the name of the pen': () => t.http().patch(`/api/groups/${pen}`).send({ version: 1, name: 'Shed' }).expect(200),
      'one sold': () => t.post(fact('departure', first, { how: 'slaughtered', outletId: market, kg: 44.8 })),
      'what it killed out': () => t.post(fact('carcass', first, { on: TODAY, carcassKg: 23.5 })),
    };
    let before = await view();
    for (const [what, change] of Object.entries(changes)) {
      await change();
      const kept = await view();
      t = await t.again();
      expect({ what, view: kept }).toEqual({ what, view: await view() });
      expect({ what, view: kept }).not.toEqual({ what, view: before });
      before = kept;
    }
  });

  it('is not known without a weight', async () => {
    await outlet();
    expect(await rowOf(await lamb([]))).toMatchObject({ state: 'not-known', weight: null, cells: [], curve: [] });
  });
});

describe('one that left for an outlet', () => {
  it('is told with where it went, to whom, at what weight and for what; one that died is not sold', async () => {
    const market = await outlet();
    const [sold, dead] = [await lamb([44]), await lamb([43])];
    const sale = { outletId: market, buyer: 'Hill market', priceMinor: 10_450, kg: 44.5 };
    const answers = await t.post(
      fact('departure', sold, { how: 'sold', ...sale }),
      fact('departure', dead, { how: 'died', cause: 'unknown', buyer: 'Hill market' }),
    );
    expect(answers.map((a) => ('refusal' in a ? a.refusal.code : a.status))).toEqual(['kept', 'not-sold']);
    t = await t.again();
    const book = await get<BookFile>(t, '/api/book');
    expect(book.entries.find((e) => e.type === 'departure')).toMatchObject(sale);
    expect((await view()).rows.map((r) => r.tag.animalId)).toEqual([dead]);
  });
});

describe('outlets', () => {
  const change = (id: string, facts: object, version: number) =>
    t
      .http()
      .put(`/api/selling/outlets/${id}`)
      .send({ ...facts, version });

  it('are added once, changed on the version that was read, and closed', async () => {
    const id = await outlet();
    const again = { id, ...anOutlet({ name: 'Twice' }) };
    expect((await t.http().post('/api/selling/outlets').send(again).expect(201)).body).toMatchObject({
      version: 1,
      facts: { name: 'Hill market' },
    });
    await change(id, anOutlet({ note: 'Saturdays' }), 1).expect(200);
    await change(id, anOutlet(), 1).expect(409);
    await change(id, { ...anOutlet(), isClosed: true }, 2).expect(200);
    const [found] = await get<OutletView[]>(t, '/api/selling/outlets');
    expect(found).toMatchObject({ isClosed: true, version: 3 });
    expect((await view()).outlets).toEqual([]);
  });

  it.each([
    [
      { prices: [{ from: '2026-01-01', baseMinor: 0, bands: [] }] },
      'Prices from 1 Jan 2026: a price of 0 pays nothing. Type what the outlet pays.',
    ],
    [
      { payBy: 'grid' },
      'Prices from 1 Jan 2026: this outlet pays by class and has no grid. Fill one in, or choose another way to pay.',
    ],
    [{ least: 5, most: 3 }, 'It takes at most 3 and at least 5: no load would do. Raise the one or lower the other.'],
    [{ wants: { fromFat: 9, toFat: 4 } }, '4 lies under 9: nothing would fit. Exchange the two.'],
    [
      {
        payBy: 'carcass-kg',
        prices: [
          {
            from: '2026-01-01',
            baseMinor: 600,
            bands: [
              { fromKg: 12, toKg: 18, minorPerKg: 0 },
              { fromKg: 16, minorPerKg: -5 },
            ],
          },
        ],
      },
      'Prices from 1 Jan 2026: two bands cover 16 kg. Let one end where the next begins.',
    ],
    [
      {
        payBy: 'grid',
        prices: [
          {
            from: '2026-01-01',
            baseMinor: 600,
            bands: [],
            grid: {
              shape: 'whole',
              fat: 'whole',
              cellsAre: 'adjustment',
              cells: [
                [0, 0, 0, 0, 0],
                [0, 0, 0, 0],
              ],
            },
          },
        ],
      },
      'Prices from 1 Jan 2026: the grid has 2 rows and needs 5. Paste the whole field.',
    ],
  ])('with what nothing could be paid by are refused, with the remedy: %#', async (facts, message) => {
    const refused = await t
      .http()
      .post('/api/selling/outlets')
      .send({ id: uuid(), ...anOutlet(facts) })
      .expect(400);
    expect((refused.body as { fields: { message: string }[] }).fields.map((f) => f.message)).toEqual([message]);
  });

  it('have a name each', async () => {
    await outlet();
    await t
      .http()
      .post('/api/selling/outlets')
      .send({ id: uuid(), ...anOutlet({ name: 'hill  MARKET' }) })
      .expect(400);
  });
});
