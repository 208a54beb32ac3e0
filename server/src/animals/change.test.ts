import { arrival, fact, aGroup, move, testApp, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
const [ewe, lamb, ram, dog] = [uuid(), uuid(), uuid(), uuid()];

beforeAll(async () => {
  t = await testApp();
  const flock = await aGroup(t, 'Flock');
  const answers = await t.post(
    arrival(ewe, { bornOn: '2022-04-01', on: '2022-04-01' }),
    arrival(ram, { sex: 'male', bornOn: '2022-04-01', on: '2022-04-01' }),
    arrival(dog, { sex: 'male', bornOn: '2022-04-01', on: '2022-04-01' }),
    arrival(lamb, { bornOn: '2026-04-01', on: '2026-04-01', damId: ewe, sireId: ram }),
    move(lamb, flock, '2026-05-01'),
    fact('score', ewe, { on: '2024-10-01', score: 3, scoredBy: 'Aylin' }),
    fact('service', ewe, { on: '2025-11-14', way: 'hand', maleIds: [ram] }),
    fact('stay', ram, { on: '2025-11-01', groupId: flock }),
  );
  expect(answers.filter((a) => a.status !== 'kept')).toEqual([]);
});
afterAll(() => t.close());

const change = async (id: string, to: object) =>
  (
    (
      await t
        .http()
        .patch(`/api/animals/${id}`)
        .send({ version: 1, ...to })
        .expect(400)
    ).body as { detail: string }
  ).detail;

it.each([
  ['after a move', () => change(lamb, { bornOn: '2026-05-02' }), 'after its first entry on 1 May 2026'],
  ['after a score', () => change(ewe, { bornOn: '2024-10-02' }), 'after its first entry on 1 Oct 2024'],
])('a birth date is not set %s', async (_, asked, words) => expect(await asked()).toContain(words));

it('a birth date is not set to that of a young, or after it', async () => {
  const dam = uuid();
  await t.post(arrival(dam, { bornOn: '2020-04-01', on: '2025-01-01' }));
  const young = uuid();
  await t.post(arrival(young, { bornOn: '2023-04-01', on: '2025-01-01', damId: dam }));
  expect(await change(dam, { bornOn: '2023-04-01' })).toContain(
    'would not be before an animal without a number, its young',
  );
});

it.each([
  ['a ewe that lambed is no ram', () => change(ewe, { sex: 'male' }), '1 service, 1 young'],
  ['a ram that sired is no ewe', () => change(ram, { sex: 'female' }), '1 young, 1 use or check as a male'],
])('%s, and it is said why', async (_, asked, words) => expect(await asked()).toContain(words));

it('one nothing was written of may be either, and a ram a wether', async () => {
  await t.http().patch(`/api/animals/${dog}`).send({ version: 1, sex: 'female' }).expect(200);
  await t.http().patch(`/api/animals/${ram}`).send({ version: 1, sex: 'castrate' }).expect(200);
});
