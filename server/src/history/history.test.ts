import type { BookFile, ChangedThing, HistoryView } from '@yaylak/contract';
import { workAs } from '../common/hand';
import {
  aGroup,
  anOutlet,
  aProduct,
  aRollingPlan,
  arrival,
  aTemplate,
  get,
  tag,
  testApp,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => (t = await testApp()));
afterEach(() => t.close());

const history = (what: ChangedThing, more = ''): Promise<HistoryView> => get(t, `/api/history?what=${what}${more}`);
/** What stands in the history of a kind, the newest first, a line each. */
const lines = async (what: ChangedThing): Promise<string[]> =>
  (await history(what)).changes.map(({ kind, name, fields }) =>
    [kind, name, ...fields.map((f) => `${f.field}: ${f.before} > ${f.after}`)].filter((w) => w !== null).join(', '),
  );
const put = (path: string, body: object) => t.http().put(path).send(body).expect(200);

it('keeps what a setting was, by whom it was changed and when', async () => {
  const { version } = await get<{ version: number }>(t, '/api/holding');
  await t.http().patch('/api/holding').send({ version, name: 'Yamaç', unit: 'lb' }).expect(200);
  expect((await history('holding')).changes).toMatchObject([
    { by: 'Keeper', at: expect.stringMatching(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/) as string, kind: 'changed' },
  ]);
  expect(await lines('holding')).toEqual(['changed, Yamaç, Name: My holding > Yamaç, Unit: kg > lb']);
});

it('keeps what a label said, with each figure by its name, and that it was made and removed', async () => {
  const id = await aProduct(t);
  const { products } = await get<{ products: { facts: { withdrawals: object[] }; version: number }[] }>(
    t,
    '/api/remedies',
  );
  const { facts, version } = products[0] ?? { facts: { withdrawals: [] }, version: 0 };
  const withdrawals = [{ ...facts.withdrawals[0], meatDays: 21 }];
  await put(`/api/remedies/products/${id}`, { ...facts, withdrawals, version });
  await t.http().delete(`/api/remedies/products/${id}`).expect(204);
  const [removed, changed, made] = await lines('product');
  expect(changed).toBe('changed, Meat (days) of number 1: 14 > 21');
  expect(made).toMatch(/^made, White drench, .*Meat \(days\) of number 1: null > 14/);
  expect(removed).toMatch(/^removed, White drench, .*Meat \(days\) of number 1: 21 > null/);
});

it('keeps what an animal’s record said, with animals by their numbers', async () => {
  const [ewe, lamb] = [uuid(), uuid()];
  await t.post(arrival(ewe, { bornOn: '2022-04-01', on: '2022-04-01' }), tag(ewe, '22-0001'), arrival(lamb));
  await t.http().patch(`/api/animals/${lamb}`).send({ version: 1, damId: ewe, birthType: 2 }).expect(200);
  const [line] = await lines('animal');
  expect(line).toContain('Dam: null > yellow 22-0001');
  expect(line).toContain('Birth type: null > 2');
  expect((await history('animal', `&thingId=${lamb}`)).changes).toHaveLength(1);
  expect((await history('animal', `&thingId=${ewe}`)).changes).toHaveLength(0);
});

it('keeps what groups, templates, plans, outlets and loads said', async () => {
  const group = await aGroup(t, 'Hill');
  await t.http().patch(`/api/groups/${group}`).send({ version: 1, name: 'Hilltop' }).expect(200);
  expect(await lines('group')).toEqual([
    'changed, Hilltop, Name: Hill > Hilltop',
    expect.stringMatching(/^made, Hill,/),
  ]);

  const template = aTemplate('Mine');
  for (const name of ['Mine', 'Ours'])
    await t
      .http()
      .post('/api/templates')
      .send({ ...template, name })
      .expect(200);
  await t.http().delete(`/api/templates/${template.id}`).expect(204);
  expect((await lines('template')).map((l) => l.split(',')[0])).toEqual(['removed', 'changed', 'made']);

  const { id: planId, ...plan } = aRollingPlan();
  await t
    .http()
    .post('/api/season/plans')
    .send({ id: planId, ...plan })
    .expect(201);
  await put(`/api/season/plans/${planId}`, { ...plan, females: 6, version: 1 });
  expect((await lines('plan'))[0]).toBe('changed, Females: 4 > 6');

  const outletId = uuid();
  await t
    .http()
    .post('/api/selling/outlets')
    .send({ id: outletId, ...anOutlet() })
    .expect(201);
  await put(`/api/selling/outlets/${outletId}`, { ...anOutlet({ tripMinor: 1800 }), version: 1 });
  expect((await lines('outlet'))[0]).toBe('changed, Trip: 15.00 > 18.00');

  const load = uuid();
  const facts = { outletId, on: '2026-12-05', animalIds: [] };
  await t
    .http()
    .post('/api/selling/loads')
    .send({ id: load, ...facts })
    .expect(201);
  await put(`/api/selling/loads/${load}`, { ...facts, on: '2026-12-12', version: 1 });
  await t.http().delete(`/api/selling/loads/${load}?version=2`).expect(204);
  expect((await lines('load'))[1]).toBe('changed, Day: 5 Dec 2026 > 12 Dec 2026');
});

it('keeps how a choice was changed, animal by animal', async () => {
  const lamb = uuid();
  await t.post(arrival(lamb), tag(lamb, '26-0001'), weight(lamb, '2026-06-30', 30));
  const draft = (version: number, change: object) =>
    t
      .http()
      .post('/api/choosing/draft')
      .send({ species: 'sheep', sex: 'female', from: '2026-04-01', version, by: 'Ayla', ...change })
      .expect(201);
  await draft(0, { keep: 3 });
  await draft(1, { decide: [{ animalId: lamb, decision: 'keep', reason: 'bred well' }] });
  await draft(2, { decide: [{ animalId: lamb, decision: 'sell' }] });
  const [sold, kept] = await lines('choice');
  expect(kept).toContain('yellow 26-0001: Decision: null > keep');
  expect(sold).toContain('yellow 26-0001: Decision: keep > sell');
  expect(sold).not.toContain('Keep: 3');
});

it('keeps nothing of a change that changes nothing, or of one that is refused', async () => {
  const group = await aGroup(t, 'Hill');
  await t.http().patch(`/api/groups/${group}`).send({ version: 1, name: 'Hill' }).expect(200);
  await t.http().patch(`/api/groups/${group}`).send({ version: 1, name: 'Hilltop' }).expect(409);
  expect(await lines('group')).toHaveLength(1);
});

it('names who is logged in', async () => {
  const { GroupsService } = await import('../groups/groups.service');
  await workAs({ name: 'Kerem', role: 'keeper', alsoHere: new Map() }, () =>
    t.app.get(GroupsService).create({ id: uuid(), name: 'Hill' }),
  );
  expect((await history('group')).changes[0]?.by).toBe('Kerem');
});

it('is read page by page, and goes along in the file of the whole book', async () => {
  const group = await aGroup(t, 'Group 0');
  for (let i = 1; i < 60; i++)
    await t
      .http()
      .patch(`/api/groups/${group}`)
      .send({ version: i, name: `Group ${i}` })
      .expect(200);
  const first = await history('group');
  expect(first.changes).toHaveLength(50);
  const rest = await history('group', `&after=${first.next}`);
  expect(rest).toMatchObject({ next: null });
  expect(new Set([...first.changes, ...rest.changes].map((c) => c.id)).size).toBe(60);
  const book = await get<BookFile>(t, '/api/book');
  expect(book.changes).toHaveLength(60);
});
