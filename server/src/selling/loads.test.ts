import type { PlannedLoadView, SaleAheadView } from '@yaylak/contract';
import {
  anOutlet,
  aProduct,
  arrival,
  departure,
  fact,
  get,
  tag,
  testApp,
  treatment,
  uuid,
  weight,
  type TestApp,
  strike,
} from '../tests/testApp';

let t: TestApp;
let bridge: string;
beforeEach(async () => {
  t = await testApp();
  bridge = await outlet({ name: 'Stone bridge', payBy: 'carcass-kg' });
});
afterEach(() => t.close());

async function outlet(change: object): Promise<string> {
  const id = uuid();
  await t
    .http()
    .post('/api/selling/outlets')
    .send({ id, ...anOutlet(change) })
    .expect(201);
  return id;
}
async function lamb(text: string, change: object = {}): Promise<string> {
  const id = uuid();
  await t.post(
    arrival(id, { sex: 'male', bornOn: '2026-04-20', on: '2026-04-20', ...change }),
    { ...tag(id, text), on: '2026-05-01' },
    weight(id, '2026-11-20', 44),
  );
  return id;
}
const facts = (animalIds: readonly string[], change: object = {}) => ({
  outletId: bridge,
  on: '2026-11-26',
  animalIds,
  ...change,
});
const plan = async (animalIds: readonly string[], change: object = {}, status = 201) =>
  (
    await t
      .http()
      .post('/api/selling/loads')
      .send({ id: uuid(), ...facts(animalIds, change) })
      .expect(status)
  ).body as PlannedLoadView & { title?: string; detail?: string };
const loads = (): Promise<PlannedLoadView[]> => get(t, '/api/selling/loads');

it('is planned for an outlet and a day, with what each weighed last, until all of it have left', async () => {
  const one = await lamb('26-0031');
  const made = await plan([one]);
  expect(await loads()).toMatchObject([
    { id: made.id, heads: [{ tag: { text: '26-0031' }, weight: { kg: 44, on: '2026-11-20' }, checks: [] }] },
  ]);
  await t.post(departure(one, '2026-11-23', 'slaughtered'));
  expect(await loads()).toEqual([]);
  expect(await get<PlannedLoadView>(t, `/api/selling/loads/${made.id}`)).toMatchObject({ isGone: true });
});

it('takes nobody on that may not go, and says who and why', async () => {
  const held = await lamb('26-0032');
  await t.post(treatment(held, await aProduct(t), { on: '2026-11-20', meatDays: 14 }));
  const { title, detail } = await plan([await lamb('26-0031'), held], {}, 409);
  expect(title).toContain('26-0032 stays here.');
  expect(detail).toContain('Meat is withheld to the end of 4 Dec 2026: for slaughter from 5 Dec 2026.');
  // By then it is clear.
  await plan([held], { on: '2026-12-05' });
  const goat = await lamb('G-1', { species: 'goat' });
  expect((await plan([goat], {}, 400)).detail).toContain('none of the species');
});

it('is told for the days ahead with who is ready, which outlet goes next, and whose reservation ends', async () => {
  const market = await outlet({ name: 'Hill market', weekdays: [3], wants: { fromKg: 30 }, leastChance: 0.6 });
  const [one, kept] = [await lamb('26-0031'), await lamb('26-0032')];
  await t.post(
    ...[one, kept].flatMap((id) => [weight(id, '2026-11-10', 42), weight(id, '2026-11-22', 44.5)]),
    fact('reservation', kept, { buyer: 'Ms Hill', until: '2026-11-28' }),
  );
  await plan([one], { outletId: market, on: '2026-11-25' });
  const ahead = await get<SaleAheadView>(t, '/api/selling/ahead');
  expect(ahead.loads).toMatchObject([{ on: '2026-11-25', outletName: 'Hill market', heads: 1, stopped: 0 }]);
  expect(ahead.reserved).toMatchObject([{ tag: { text: '26-0032' }, buyer: 'Ms Hill', until: '2026-11-28' }]);
  // 23 November 2026 is a Monday, the market runs on Wednesdays; one is kept for a buyer.
  expect(ahead.species.find((s) => s.species === 'sheep')?.outlets).toEqual([
    { id: market, name: 'Hill market', goesOn: '2026-11-25', fits: 1 },
  ]);
  const { calendarKey } = await get<{ calendarKey: string }>(t, '/api/season');
  const ics = (await t.http().get(`/api/calendar.ics?key=${calendarKey}`).expect(200)).text;
  expect(ics).toContain('SUMMARY:Load for Hill market');
  expect(ics).toContain('26-0032: kept for Ms Hill to this day');
  expect(ics.replaceAll('\r\n ', '')).toMatch(/VALUE=DATE:20261125[\s\S]*?SUMMARY:Hill market goes: 1 ready/);
});

it('is held against today once its day is over', async () => {
  const one = await lamb('26-0031');
  const made = await plan([one], { on: '2026-11-19' });
  expect(made.heads[0]?.checks).toEqual([]);
  await t.post(treatment(one, await aProduct(t), { on: '2026-11-20', meatDays: 14 }));
  const [load] = await loads();
  expect(load?.heads[0]?.checks.map((c) => c.code)).toEqual(['meat-withheld']);
});

it('leaves with those aboard: the others are free for another, and all are on it once that is taken back', async () => {
  const [one, other] = [await lamb('26-0031'), await lamb('26-0032')];
  const made = await plan([one, other], { aboard: [one] });
  const left = fact('departure', one, { how: 'slaughtered', outletId: made.facts.outletId });
  await t.post(left);
  const now = () => get<PlannedLoadView>(t, `/api/selling/loads/${made.id}`);
  const gone = await now();
  expect([gone.isGone, gone.heads.map((h) => h.tag.text)]).toEqual([true, ['26-0031']]);
  const next = await plan([other]);
  await t.http().delete(`/api/selling/loads/${next.id}?version=1`);
  await t.post(strike(left.id));
  const back = await now();
  expect([back.isGone, back.heads.map((h) => h.tag.text)]).toEqual([false, ['26-0031', '26-0032']]);
  // One aboard that dies has not left with it.
  await t.post(fact('departure', one, { how: 'died', cause: 'unknown' }));
  expect((await now()).isGone).toBe(false);
});

it('has nobody on two loads', async () => {
  const one = await lamb('26-0031');
  const made = await plan([one]);
  const { title, detail } = await plan([one], { on: '2026-11-30' }, 409);
  expect(`${title} ${detail}`).toMatch(/26-0031 is on a load already. It goes to Stone bridge on 26 Nov 2026/);
  await t
    .http()
    .put(`/api/selling/loads/${made.id}`)
    .send({ ...facts([one], { on: '2026-11-30' }), version: 1 })
    .expect(200);
});

it('shows what came up since it was planned, and still lets others be put on it', async () => {
  const [one, other] = [await lamb('26-0031'), await lamb('26-0032')];
  const made = await plan([one]);
  await t.post(fact('reservation', one, { buyer: 'Ms Hill' }));
  const changed = await t
    .http()
    .put(`/api/selling/loads/${made.id}`)
    .send({ ...facts([one, other]), version: 1 })
    .expect(200);
  expect((changed.body as PlannedLoadView).heads.map((h) => h.checks.map((c) => c.code))).toEqual([['reserved'], []]);
});

it('is changed and given up on the version that was read, and planned once when it is sent twice', async () => {
  const one = await lamb('26-0031');
  const id = uuid();
  const send = () =>
    t
      .http()
      .post('/api/selling/loads')
      .send({ id, ...facts([one]) });
  await send().expect(201);
  await send().expect(201);
  expect(await loads()).toHaveLength(1);
  await t
    .http()
    .put(`/api/selling/loads/${id}`)
    .send({ ...facts([]), version: 2 })
    .expect(409);
  await t.http().delete(`/api/selling/loads/${id}?version=2`).expect(409);
  await t.http().delete(`/api/selling/loads/${id}?version=1`).expect(204);
  expect(await loads()).toEqual([]);
});
