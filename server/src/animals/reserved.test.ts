import type { AnimalPage, AnimalView, RosterView, TodayView } from '@yaylak/contract';
import { arrival, departure, get, tag, testApp, TODAY, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
let ewe: string;
beforeEach(async () => {
  t = await testApp();
  ewe = uuid();
  await t.post(arrival(ewe), tag(ewe, '26-0001'));
});
afterEach(() => t.close());

const stamp = () => ({
  id: uuid(),
  animalId: ewe,
  writtenAt: `${TODAY}T08:00:00.000Z`,
  writtenBy: 'A',
  source: 'hand',
});
const reserve = (more: object = {}) =>
  ({
    ...stamp(),
    type: 'reservation',
    on: TODAY,
    buyer: 'Demir',
    until: '2026-12-12',
    priceMinor: 24_000,
    ...more,
  }) as never;
const page = () => get<AnimalView>(t, `/api/animals/${ewe}`);

it('shows wherever the animal is shown, until it is let go', async () => {
  const [kept] = await t.post(reserve({ depositMinor: 5_000 }));
  expect(kept?.status).toBe('kept');
  const reserved = { buyer: 'Demir', until: '2026-12-12' };
  const { row, reservation } = await page();
  expect(row.tag.reserved).toEqual(reserved);
  expect(reservation).toMatchObject({ ...reserved, priceMinor: 24_000, depositMinor: 5_000 });
  expect((await get<AnimalPage>(t, '/api/animals')).rows[0]?.tag.reserved).toEqual(reserved);
  expect((await get<RosterView>(t, '/api/roster')).animals[0]?.tag.reserved).toEqual(reserved);

  const release = { ...stamp(), type: 'release', on: TODAY, reservationId: reservation?.entryId } as never;
  const [gone, again] = await t.post(release, { ...(release as object), id: uuid() } as never);
  expect(gone?.status).toBe('kept');
  expect(again).toMatchObject({ status: 'refused', message: expect.stringContaining('let go already') as string });
  expect((await page()).reservation).toBeNull();
  expect((await get<RosterView>(t, '/api/roster')).animals[0]?.tag.reserved).toBeUndefined();
});

it('is for one buyer at a time, to a day that is to come, with no deposit over the price', async () => {
  await t.post(reserve());
  const [other] = await t.post(reserve({ buyer: 'Kaya' }));
  expect(other).toMatchObject({
    status: 'refused',
    message: 'It is kept for Demir until 12 Dec 2026. Let that go first.',
  });
  const ram = uuid();
  await t.post(arrival(ram), tag(ram, '26-0002'));
  const answers = await t.post(
    reserve({ animalId: ram, until: '2026-11-01' }),
    reserve({ animalId: ram, depositMinor: 24_001 }),
  );
  expect(answers.map((a) => a.status === 'refused' && a.refusal?.code)).toEqual([
    'ends-before-it-begins',
    'deposit-over-price',
  ]);
});

it('Today says that the day is over and the animal free', async () => {
  await t.post(reserve({ on: '2026-11-10', until: '2026-11-20' }));
  const said = async () => (await get<TodayView>(t, '/api/today')).lookAt.filter((l) => l.kind === 'reservation-over');
  expect(await said()).toMatchObject([{ buyer: 'Demir', until: '2026-11-20', tags: [{ text: '26-0001' }] }]);
  const ram = uuid();
  await t.post(arrival(ram), tag(ram, '26-0002'), reserve({ animalId: ram, on: '2026-11-10', until: '2026-11-20' }));
  expect(await said()).toMatchObject([{ tags: [{ text: '26-0001' }, { text: '26-0002' }] }]);
  await t.post(departure(ewe, TODAY), departure(ram, TODAY));
  expect(await said()).toEqual([]);
});
