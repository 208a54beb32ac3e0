import type { RosterView } from '@yaylak/contract';
import { arrival, departure, get, tag, testApp, uuid, weight, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const roster = async () => (await get<RosterView>(t, '/api/roster')).animals;

it('carries to the device who is here, by every number they ever wore', async () => {
  const [ewe, sold] = [uuid(), uuid()];
  await t.post(
    arrival(ewe),
    arrival(sold),
    tag(ewe, '26-0001'),
    tag(ewe, '26-0002', 'blue'),
    departure(sold, '2026-06-01'),
  );
  expect(await roster()).toMatchObject([{ tag: { animalId: ewe }, identifiers: ['26-0001', '26-0002'], dam: null }]);
});

it('carries the first weight and the last six, so that a gain can be worked out without the server', async () => {
  const ewe = uuid();
  const days = [
    '2026-04-01',
    '2026-04-11',
    '2026-05-01',
    '2026-06-01',
    '2026-07-01',
    '2026-08-01',
    '2026-09-01',
    '2026-10-01',
  ];
  await t.post(arrival(ewe), ...days.map((on, i) => weight(ewe, on, 4 + i)));
  const [animal] = await roster();
  expect(animal?.weights.map(([on]) => on)).toEqual(['2026-04-01', ...days.slice(2)]);
});

it('a job that is not there says so', async () => {
  await t
    .http()
    .get(`/api/jobs/${uuid()}`)
    .expect(404, /no such job/);
  await t.http().post(`/api/jobs/${uuid()}/finish`).send({ finishedAt: '2026-11-23T08:00:00.000Z' }).expect(404);
});
