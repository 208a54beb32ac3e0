import type { ChoosingSet, ChoosingView } from '@yaylak/contract';
import { aGroup, arrival, departure, get, move, testApp, uuid, weight, type TestApp } from '../tests/testApp';

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
const rank = (more = ''): Promise<ChoosingView> =>
  get(t, `/api/choosing?species=sheep&sex=female&bornIn=2026&standardDays=90${more}`);

it('sets the weight to the age and to a twin before it ranks', async () => {
  // Single, 32 kg x 0.92 = 29.44; twin, 30 kg x 1: the lighter twin stands first.
  const single = await aLamb(32, { birthType: 1, rearingType: 1 });
  const twin = await aLamb(30);
  const { rows } = await rank();
  expect(rows.map((r) => r.tag.animalId)).toEqual([twin, single]);
  expect(rows[1]?.adjusted?.kg).toBeCloseTo(29.44, 6);
  expect(rows[1]).toMatchObject({ placeByWeight: 1, place: 2 });
  expect(rows[1]?.breakdown?.totalGrams).toBe(
    Object.values(rows[1]?.breakdown?.parts ?? {}).reduce((s, p) => s + p, 0),
  );
});

it('leaves out who is gone, of another year, sex or species', async () => {
  const here = await aLamb(30);
  const gone = await aLamb(35);
  await aLamb(36, { sex: 'male' });
  await t.post(departure(gone, '2026-10-01'));
  const old = uuid();
  await t.post(arrival(old, { bornOn: '2025-04-01', on: '2025-04-01' }));
  expect((await rank()).rows.map((r) => r.tag.animalId)).toEqual([here]);
});

it('chooses within a group, and names the groups of the set with their heads', async () => {
  const [top, low] = [await aGroup(t, 'Top'), await aGroup(t, 'Low')];
  const lambs = [await aLamb(30), await aLamb(31), await aLamb(32)];
  await t.post(move(lambs[0] ?? '', top), move(lambs[1] ?? '', top), move(lambs[2] ?? '', low));
  const all = await rank();
  expect(all.groups).toEqual([
    { id: top, name: 'Top', count: 2 },
    { id: low, name: 'Low', count: 1 },
  ]);
  const part = await rank(`&groupId=${top}`);
  expect(part.groupId).toBe(top);
  expect(part.groups).toEqual(all.groups);
  expect(part.rows.map((r) => r.tag.animalId)).toEqual([lambs[1], lambs[0]]);
});

it('draws no more lines than there are animals', async () => {
  await aLamb(30);
  expect((await rank('&keep=50&second=50')).lines).toEqual({ keep: 1, second: 1 });
  await t.http().get('/api/choosing?species=sheep&sex=female&bornIn=2026&keep=-1').expect(400);
});

it('counts who has no weight near the age, and ranks them on the rest', async () => {
  await aLamb(30);
  const bare = uuid();
  await t.post(arrival(bare));
  const view = await rank();
  expect(view.withoutWeight).toBe(1);
  expect(view.rows.find((r) => r.tag.animalId === bare)).toMatchObject({ adjusted: null, breakdown: null });
});

it('offers the sets of this year and the last, this year first', async () => {
  await aLamb(30);
  const [last, before] = [uuid(), uuid()];
  await t.post(
    arrival(last, { bornOn: '2025-04-01', on: '2025-04-01', species: 'goat' }),
    arrival(before, { bornOn: '2024-04-01', on: '2024-04-01' }),
  );
  expect(await get<ChoosingSet[]>(t, '/api/choosing/sets')).toEqual([
    { species: 'sheep', sex: 'female', bornIn: 2026, count: 1 },
    { species: 'goat', sex: 'female', bornIn: 2025, count: 1 },
  ]);
});
