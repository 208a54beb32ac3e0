import type { BirthsView, CarryingView, MatingView } from '@yaylak/contract';
import { aGroup, fact, get, goatHerd, testApp, uuid, type TestApp } from '../tests/testApp';

/** What every page says of one doe, as her year goes on; today is 23 November 2026. */
let t: TestApp;
let herd: string;
const [buck, other, doe] = [uuid(), uuid(), uuid()];
beforeEach(async () => {
  t = await testApp();
  herd = await aGroup(t, 'Does');
  await t.post(...goatHerd(herd, [doe], [buck, other]));
});
afterEach(() => t.close());

const serve = (on: string, maleId = buck) => fact('service', doe, { on, way: 'hand', maleIds: [maleId] });
const scan = (on: string, more: object = {}) =>
  fact('pregnancy-test', doe, { on, way: 'scan', result: 'carrying', ...more });
const carrying = async () =>
  (await get<CarryingView>(t, '/api/carrying?species=goat')).females.find((f) => f.tag.animalId === doe);

it('served again after a loss she is on the way from the new service, everywhere', async () => {
  const answers = await t.post(
    serve('2026-08-10'),
    scan('2026-10-05', { young: 2, ageDays: 56 }),
    fact('loss', doe, { on: '2026-11-18', how: 'slipped' }),
    serve('2026-11-20', other),
  );
  expect(answers.map((a) => a.status)).not.toContain('refused');
  expect(await carrying()).toMatchObject({
    state: 'too-soon',
    conceivedOn: '2026-11-20',
    young: null,
    tests: [],
    whatNow: null,
    chance: { servedOn: '2026-11-20', males: [{ animalId: other }] },
  });
  const mating = await get<MatingView>(t, '/api/mating?species=goat');
  const onMating = mating.females.find((f) => f.tag.animalId === doe);
  expect(onMating?.chance?.servedOn).toBe('2026-11-20');
  const births = await get<BirthsView>(t, '/api/births?species=goat');
  expect(births.expected.map((e) => e.tag.animalId)).toContain(doe);
});
