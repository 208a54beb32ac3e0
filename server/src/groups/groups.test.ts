import type { GroupView } from '@yaylak/contract';
import {
  aGroup,
  aJob,
  aRollingPlan,
  arrival,
  aTemplate,
  departure,
  fact,
  get,
  move,
  strike,
  testApp,
  uuid,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const groups = (): Promise<GroupView[]> => get(t, '/api/groups');

it('counts who stands in it today: moved out, sold and struck out ones do not', async () => {
  const [top, low] = [await aGroup(t, 'Top paddock'), await aGroup(t, 'Low paddock')];
  const [a, b, c, d] = [uuid(), uuid(), uuid(), uuid()];
  const wrong = move(d, top);
  await t.post(...[a, b, c, d].map((id) => arrival(id)), move(a, top), move(b, top), move(c, top), wrong);
  await t.post(move(b, low, '2026-06-01'), departure(c, '2026-07-01'), strike(wrong.id));
  expect((await groups()).map((g) => [g.name, g.present])).toEqual([
    ['Low paddock', 1],
    ['Top paddock', 1],
  ]);
});

it('is renamed and closed on the version it is seen in', async () => {
  const id = await aGroup(t, 'Top paddock');
  const patch = (body: object, status: number) => t.http().patch(`/api/groups/${id}`).send(body).expect(status);
  await patch({ version: 1, name: 'Upper paddock' }, 200);
  const { body } = await patch({ version: 1, isClosed: true }, 409);
  expect(body.current).toMatchObject({ name: 'Upper paddock', version: 2, isClosed: false });
  await patch({ version: 2, isClosed: true }, 200);
  t = await t.again();
  expect(await groups()).toMatchObject([{ name: 'Upper paddock', isClosed: true, version: 3 }]);
});

it.each<[string, (id: string) => PromiseLike<{ status: number }>]>([
  [
    'a gate of a job',
    (groupId) =>
      t
        .http()
        .post('/api/jobs')
        .send(aJob({ stations: ['sort'], gates: [{ key: 'right', name: 'Sell', groupId }] })),
  ],
  [
    'a job that moves there',
    (groupId) =>
      t
        .http()
        .post('/api/jobs')
        .send(aJob({ stations: ['move'], settings: { move: { groupId } } })),
  ],
  [
    'a job kept under a name',
    (groupId) =>
      t
        .http()
        .post('/api/templates')
        .send({ ...aTemplate('Sorting'), settings: { move: { groupId } } }),
  ],
  ['a plan', (groupId) => t.http().post('/api/season/plans').send(aRollingPlan({ groupId }))],
  [
    'a male put in and struck out again',
    async (groupId) => {
      const buck = uuid();
      const put = fact('stay', buck, { groupId });
      await t.post(arrival(buck, { sex: 'male' }), put, strike(put.id));
      return { status: 200 };
    },
  ],
])('stays while %s speaks of it', async (_, write) => {
  const id = await aGroup(t, 'Sale pen');
  expect((await write(id)).status).toBeLessThan(300);
  await t
    .http()
    .delete(`/api/groups/${id}`)
    .expect(409, /Close it instead/);
});

it('cannot take the name of another, however it is written', async () => {
  await aGroup(t, 'Top paddock');
  const low = await aGroup(t, 'Low paddock');
  await t
    .http()
    .patch(`/api/groups/${low}`)
    .send({ version: 1, name: ' TOP  paddock ' })
    .expect(400, /a group “Top paddock” already/);
});

it('made by mistake is taken back whole, as long as nobody was ever moved to it', async () => {
  const [used, unused] = [await aGroup(t, 'Used'), await aGroup(t, 'Unused')];
  const ewe = uuid();
  const moved = move(ewe, used);
  await t.post(arrival(ewe), moved, strike(moved.id));
  await t.http().delete(`/api/groups/${unused}`).expect(204);
  await t
    .http()
    .delete(`/api/groups/${used}`)
    .expect(409, /Close it instead/);
  await t.http().delete(`/api/groups/${unused}`).expect(404);
  t = await t.again();
  expect((await groups()).map((g) => g.name)).toEqual(['Used']);
});
