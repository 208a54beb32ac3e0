import type {
  ChangeDraft,
  ChoosingSet,
  ChoosingView,
  KinView,
  RosterView,
  StrictnessView,
  GeneticTrendView,
} from '@yaylak/contract';
import { USUAL_HOW } from '@yaylak/core';
import {
  aGroup,
  arrival,
  departure,
  fact,
  get,
  move,
  tag,
  testApp,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

/** A ewe lamb weighed at birth and at 90 days, 30 June. @returns its id */
async function aLamb(kg: number, change: object = {}): Promise<string> {
  const id = uuid();
  await t.post(
    arrival(id, { birthType: 2, rearingType: 2, ...change }),
    weight(id, '2026-04-01', 4),
    weight(id, '2026-06-30', kg),
  );
  return id;
}
const LAMBS = { species: 'sheep', sex: 'female', from: '2026-04-01' } as const;
const view = (): Promise<ChoosingView> => get(t, '/api/choosing?species=sheep&sex=female&from=2026-04-01');
const draft = (change: Partial<ChangeDraft>, version = 0) =>
  t
    .http()
    .post('/api/choosing/draft')
    .send({ ...LAMBS, version, by: 'Ayla', ...change });
const idsOf = (rows: ChoosingView['rows']) => rows.map((r) => r.tag.animalId);
const look = (animalId: string, grades: object, on = '2026-10-01') => fact('look', animalId, { on, grades });

it('sets the weight to the age and to a twin before it ranks', async () => {
  // Single, 32 kg x 0.92 = 29.44; twin, 30 kg x 1: the lighter twin stands first.
  const single = await aLamb(32, { birthType: 1, rearingType: 1 });
  const twin = await aLamb(30);
  await draft({ standardDays: 90 }).expect(201);
  const { rows, basis, standardDays } = await view();
  expect(standardDays).toBe(90);
  expect(idsOf(rows)).toEqual([twin, single]);
  expect(rows[1]?.adjusted?.kg).toBeCloseTo(29.44, 6);
  expect(rows[1]).toMatchObject({ placeByWeight: 1, place: 2 });
  expect(rows[1]?.breakdown?.totalGrams).toBe(
    Object.values(rows[1]?.breakdown?.parts ?? {}).reduce((s, p) => s + p, 0),
  );
  // Two records are no breeding values: own records serve, and the traits say why.
  expect(basis).toBe('own');
});

it('says of each trait how many records breeding values lack', async () => {
  await aLamb(30);
  const { traits } = await view();
  expect(traits.find((s) => s.trait === 'growth')).toMatchObject({ state: 'too-few', records: 1, needed: 30 });
});

it('leaves out who is gone, of another crop, sex or species', async () => {
  const here = await aLamb(30);
  const gone = await aLamb(35);
  await aLamb(36, { sex: 'male' });
  await t.post(departure(gone, '2026-10-01'));
  const old = uuid();
  await t.post(arrival(old, { bornOn: '2025-04-01', on: '2025-04-01' }));
  expect(idsOf((await view()).rows)).toEqual([here]);
});

it('names the groups of the set with their heads', async () => {
  const [top, low] = [await aGroup(t, 'Top'), await aGroup(t, 'Low')];
  const lambs = [await aLamb(30), await aLamb(31), await aLamb(32)];
  await t.post(move(lambs[0] ?? '', top), move(lambs[1] ?? '', top), move(lambs[2] ?? '', low));
  const { groups, rows } = await view();
  expect(groups).toEqual([
    { id: top, name: 'Top', count: 2 },
    { id: low, name: 'Low', count: 1 },
  ]);
  expect(rows.map((r) => r.groupId)).toEqual([low, top, top]);
});

it('offers crops by their spell of births and the grown apart; the latest crop first', async () => {
  await aLamb(30);
  const [autumn, before, kid] = [uuid(), uuid(), uuid()];
  await t.post(
    arrival(autumn, { bornOn: '2026-09-10', on: '2026-09-10' }),
    arrival(before, { bornOn: '2023-04-01', on: '2023-04-01' }),
    arrival(kid, { bornOn: '2025-04-01', on: '2025-04-01', species: 'goat' }),
  );
  const sheep = { species: 'sheep', sex: 'female', count: 1 };
  expect(await get<ChoosingSet[]>(t, '/api/choosing/sets')).toEqual([
    { ...sheep, from: '2026-09-10', to: '2026-09-10' },
    { ...sheep, from: '2026-04-01', to: '2026-04-01' },
    { ...sheep, species: 'goat', from: '2025-04-01', to: '2025-04-01' },
    { ...sheep, from: null, to: null },
  ]);
  await t.http().get('/api/choosing?species=rabbit&sex=male').expect(404);
});

it('ranks nobody under 42 days or with no weight of its own, whatever it weighs', async () => {
  const newborn = uuid();
  await t.post(arrival(newborn, { bornOn: '2026-11-05', on: '2026-11-05' }), weight(newborn, '2026-11-20', 30));
  const bare = uuid();
  await t.post(arrival(bare, { bornOn: '2026-10-11', on: '2026-10-11' }));
  const found = await get<ChoosingView>(t, '/api/choosing?species=sheep&sex=female&from=2026-11-05');
  expect(found.notRanked.map((r) => r.tag.animalId).sort()).toEqual([newborn, bare].sort());
  expect(found.rows).toEqual([]);
});

describe('by eye', () => {
  it('who fails leaves before the numbers, with standard, day and scorer, and is let back with a reason', async () => {
    const [lamb, other] = [await aLamb(30), await aLamb(29)];
    await t.post(look(lamb, { 'sheep-mouth': 'fail', 'sheep-feet': 'pass' }));
    const first = await view();
    expect(idsOf(first.rows)).toEqual([other]);
    expect(first.failed[0]).toMatchObject({ suggestion: 'sell', eye: { state: 'fails', letBack: null } });
    expect(first.failed[0]?.eye.failed[0]).toMatchObject({
      name: 'Mouth',
      grade: 'fail',
      on: '2026-10-01',
      by: 'Aylin',
    });
    await draft({ letBack: [{ animalId: lamb, reason: 'grown out since' }] }).expect(201);
    expect((await view()).rows.find((r) => r.tag.animalId === lamb)?.eye.letBack).toBe('grown out since');
    await draft({ letBack: [{ animalId: lamb, reason: '' }] }, 1).expect(201);
    expect(idsOf((await view()).rows)).toEqual([other]);
  });

  it('a race after the choice goes by it, and by what was failed since', async () => {
    const lamb = await aLamb(30);
    await t.post(
      look(lamb, { 'sheep-mouth': 'fail' }),
      fact('choice', lamb, { on: '2026-11-01', decision: 'keep', among: 'ewe lambs', reason: 'grown out' }),
      look(lamb, { 'sheep-feet': 'fail' }, '2026-11-10'),
    );
    const { animals } = await get<RosterView>(t, '/api/roster');
    expect(animals[0]).toMatchObject({
      chosen: 'keep',
      chosenOver: ['sheep-mouth'],
      grades: { 'sheep-mouth': 'fail', 'sheep-feet': 'fail' },
    });
  });

  it('is followed from year to year', async () => {
    const lambs = [await aLamb(30), await aLamb(31)];
    await t.post(look(lambs[0] ?? '', { 'sheep-mouth': 'fail' }), look(lambs[1] ?? '', { 'sheep-mouth': 'pass' }));
    const { standards } = await get<StrictnessView>(t, '/api/choosing/strictness?species=sheep');
    expect(standards.map((s) => s.name)).toEqual(['Any standard', 'Mouth']);
    expect(standards[1]?.years).toMatchObject([{ year: 2026, failed: 1, of: 2, share: 0.5 }]);
    expect(standards[1]?.ofDams).toBeNull();
  });
});

describe('the draft', () => {
  it('keeps lines, weights and decisions over a restart, and draws no more lines than there are animals', async () => {
    const [a, b] = [await aLamb(30), await aLamb(29)];
    await draft({ keep: 50, second: 50, how: { ...USUAL_HOW.sheep, basis: 'own' } }).expect(201);
    await draft({ decide: [{ animalId: b, decision: 'cull', reason: 'wild' }] }, 1).expect(201);
    t = await t.again();
    const found = await view();
    expect(found.lines).toEqual({ keep: 2, second: 0 });
    expect(found.draft).toMatchObject({ version: 2, by: 'Ayla' });
    expect(found.how.basis).toBe('own');
    expect(found.rows.map((r) => [r.tag.animalId, r.decided?.decision, r.decided?.reason])).toEqual([
      [a, undefined, undefined],
      [b, 'cull', 'wild'],
    ]);
    await draft({ keep: -1 }, 2).expect(400);
    const nothing = { ...USUAL_HOW.sheep, own: { growth: 0, lastGain: 0 } };
    const refused = await draft({ how: nothing }, 2).expect(400);
    expect((refused.body as { detail: string }).detail).toMatch(/one trait at least has to count/);
  });

  it('tells the later of two people what the first decided, and writes nothing over it unseen', async () => {
    const lamb = await aLamb(30);
    await t.post(tag(lamb, '26-0001', 'red'));
    await draft({ decide: [{ animalId: lamb, decision: 'sell' }] }).expect(201);
    const late = await draft({ by: 'Kerem', decide: [{ animalId: lamb, decision: 'keep' }] }).expect(409);
    expect((late.body as { detail: string }).detail).toMatch(/Ayla decided on red 26-0001 after you opened/);
    expect((await view()).rows[0]?.decided).toMatchObject({ decision: 'sell', by: 'Ayla' });
    // Having seen it, Kerem may.
    await draft({ by: 'Kerem', decide: [{ animalId: lamb, decision: 'keep' }] }, 1).expect(201);
    await draft({ by: 'Kerem', decide: [{ animalId: lamb, decision: 'as-suggested' }] }, 2).expect(201);
    expect((await view()).rows[0]?.decided).toBeNull();
  });

  it('says who was decided on and left since', async () => {
    const [here, gone] = [await aLamb(30), await aLamb(31)];
    await draft({ decide: [{ animalId: gone, decision: 'keep' }] }).expect(201);
    await t.post(departure(gone, '2026-11-20'));
    const found = await view();
    expect(idsOf(found.rows)).toEqual([here]);
    expect(found.left).toMatchObject([{ how: 'sold', on: '2026-11-20', decision: 'keep' }]);
  });

  it('stays with its crop when an earlier birth comes to light, and goes when it is thrown away', async () => {
    await aLamb(30);
    await draft({ keep: 1, second: 0 }).expect(201);
    await t.post(arrival(uuid(), { bornOn: '2026-03-20', on: '2026-03-20' }));
    expect((await view()).draft?.version).toBe(1);
    await t.http().delete('/api/choosing/draft?species=sheep&sex=female&from=2026-04-01&version=4').expect(409);
    await t.http().delete('/api/choosing/draft?species=sheep&sex=female&from=2026-04-01&version=1').expect(200);
    expect((await view()).draft).toBeNull();
    await t.http().delete('/api/choosing/draft?species=sheep&sex=female&from=2026-04-01&version=1').expect(404);
  });

  it('keeps together who was chosen so, until the number or the list is another', async () => {
    const [a, b, c] = [await aLamb(32), await aLamb(30), await aLamb(28)];
    await draft({ keep: 2, second: 1, kin: { pointsPerPercent: 1, sireCap: 0, keptIds: [a, c] } }).expect(201);
    const found = await view();
    expect(found.isKinStale).toBe(false);
    expect(found.rows.map((r) => [r.tag.animalId, r.suggestion])).toEqual([
      [a, 'keep'],
      [b, 'second'],
      [c, 'keep'],
    ]);
    await draft({ keep: 1 }, 1).expect(201);
    const other = await view();
    expect(other.isKinStale).toBe(true);
    expect(other.rows.map((r) => r.suggestion)).toEqual(['keep', 'second', 'sell']);
  });
});

it('tells who is related to whom, and to the mates that stay', async () => {
  const [ram, other, sold] = [uuid(), uuid(), uuid()];
  const old = { bornOn: '2023-03-01', on: '2023-03-01', sex: 'male' };
  await t.post(arrival(ram, old), arrival(other, old), arrival(sold, old));
  await t.post(fact('choice', sold, { on: '2026-11-01', decision: 'sell', among: 'rams' }));
  const [a, b] = [await aLamb(32, { sireId: ram }), await aLamb(30, { sireId: ram })];
  const kin = await get<KinView>(t, '/api/choosing/kin?species=sheep&sex=female&from=2026-04-01');
  expect(kin.animalIds).toEqual([a, b]);
  expect(kin.sireIds).toEqual([ram, ram]);
  // Half sibs: an eighth. Their sire is one of two mates: a quarter and nothing.
  expect(kin.kinship).toEqual([0.125]);
  expect(kin.withMates).toEqual([0.125, 0.125]);
  expect(kin.mates.map((m) => m.animalId).sort()).toEqual([ram, other].sort());
});

it('ranks by breeding values from thirty records on, with parts that add up, and says what it lacks', async () => {
  const [good, poor] = [uuid(), uuid()];
  const old = { bornOn: '2023-03-01', on: '2023-03-01', sex: 'male' };
  await t.post(arrival(good, old), arrival(poor, old));
  const lambs = new Map<string, string>();
  for (let i = 0; i < 32; i++) {
    const sireId = i % 2 === 0 ? good : poor;
    lambs.set(await aLamb(28 + (i % 2 === 0 ? 2 : 0) + ((i * 7) % 5) / 2, { sireId }), sireId);
  }
  const found = await view();
  expect(found.basis).toBe('values');
  expect(found.traits.find((s) => s.trait === 'growth')).toMatchObject({ state: 'values', records: 32 });
  const topHalf = found.rows.slice(0, 16).filter((r) => lambs.get(r.tag.animalId) === good);
  expect(topHalf.length).toBeGreaterThan(12);
  for (const row of found.rows) {
    const growth = row.values.find((v) => v.trait === 'growth');
    const { own = 0, group = 0, kin = 0 } = growth?.parts ?? {};
    expect(own + group + kin).toBeCloseTo(growth?.value ?? NaN, 9);
    expect(row.parts.reduce((s, p) => s + p.points, 50)).toBeCloseTo(row.index, 9);
  }
  // By year: the two rams of one year and their lambs, half of each; nobody is born to the rams' year.
  const { traits } = await get<GeneticTrendView>(t, '/api/choosing/trend?species=sheep');
  const growth = traits.find((s) => s.trait === 'growth');
  const valueOf = new Map(found.rows.map((r) => [r.tag.animalId, r.values.find((v) => v.trait === 'growth')?.value]));
  const mean = [...valueOf.values()].reduce<number>((sum, v) => sum + (v ?? NaN), 0) / valueOf.size;
  expect(growth?.years.map((y) => [y.year, y.head])).toEqual([
    [2023, 2],
    [2026, 32],
  ]);
  expect(growth?.years[1]?.mean).toBeCloseTo(mean, 9);
  // Each ram has half of the lambs, so together they are as good as their year.
  expect(growth?.years[1]?.sires).toMatchObject({ young: 32, gain: expect.any(Number) as number });
  expect(growth?.years[1]?.sires?.superiority).toBeCloseTo(0, 9);
  expect(growth?.years[1]?.dams).toBeNull();
  expect(traits.find((s) => s.trait === 'young-born')).toMatchObject({ state: 'too-few', years: [] });
  // After a change it answers at once with what was there, says so, and has the new values a moment later.
  await aLamb(31, { sireId: good });
  const trend = () => get<GeneticTrendView>(t, '/api/choosing/trend?species=sheep');
  const headOf = (seen: GeneticTrendView) => seen.traits.find((s) => s.trait === 'growth')?.years.at(-1)?.head;
  const atOnce = await trend();
  expect([atOnce.isBehind, headOf(atOnce)]).toEqual([true, 32]);
  await view();
  const later = await trend();
  expect([later.isBehind, headOf(later)]).toEqual([false, 33]);
  // In money an index is the value times what a kilogram brings.
  const how = { ...USUAL_HOW.sheep, scale: 'money' as const, money: { growth: 250 } };
  await draft({ how }).expect(201);
  const inMoney = (await view()).rows[0];
  expect(inMoney?.index).toBeCloseTo(250 * (inMoney?.values[0]?.value ?? NaN), 9);
});
