import type { DueWork, TodayView } from '@yaylak/contract';
import { aGroup, arrival, fact, move, strike, tag, testApp, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
const [ram, ewe, second, stay] = [uuid(), uuid(), uuid(), uuid()] as [string, string, string, string];
let flock: string;

beforeEach(async () => {
  t = await testApp();
  flock = await aGroup(t, 'Flock');
  await t.post(
    arrival(ram, { sex: 'male', bornOn: '2023-04-01', on: '2023-04-01' }),
    ...[ewe, second].flatMap((id) => [
      arrival(id, { sex: 'female', bornOn: '2022-04-01', on: '2022-04-01' }),
      move(id, flock),
    ]),
    tag(ram, 'Bora'),
  );
});
afterEach(() => t.close());

/** What is due of marks, by what is done. */
const marks = async (): Promise<Record<string, DueWork>> => {
  const { due } = (await t.http().get('/api/today').expect(200)).body as TodayView;
  return Object.fromEntries(due.flatMap((w) => w.does.flatMap((d) => (/marks|raddle/.test(d) ? [[d, w]] : []))));
};
const putIn = async (on: string, change: object) => {
  const [answer] = await t.post(fact('stay', ram, { id: stay, groupId: flock, on, reason: 'a test', ...change }));
  expect(answer).toMatchObject({ status: 'kept' });
};
const readAt = async (on: string): Promise<void> => {
  const jobId = uuid();
  const stamp = { startedAt: `${on}T08:00:00.000Z`, startedBy: 'Aylin', on };
  const job = { id: jobId, name: 'Marks', stations: ['raddle'], gates: [], animalIds: [ewe, second], ...stamp };
  await t.http().post('/api/jobs').send(job).expect(200);
  await t.post(fact('passage', ewe, { on, jobId }));
};

it('asks to read a teaser’s marks every day, and no more once they were read', async () => {
  await putIn('2026-11-20', { isTeaser: true });
  expect((await marks())['Read the marks of']).toMatchObject({
    isOpen: true,
    animalIds: [ewe, second],
    why: ['Bora, a teaser, runs with them'],
    window: { opens: '2026-11-21' },
    job: { stations: ['raddle'] },
  });
  await readAt('2026-11-23');
  expect(await marks()).toEqual({});
});

it('asks for the marks of a ram with a raddle each week, and for another colour by the end of a cycle', async () => {
  await putIn('2026-11-08', { colour: 'blue' }); // 15 days ago
  expect(Object.keys(await marks())).toEqual(['Read the marks of', 'Change the raddle of']);
  expect((await marks())['Change the raddle of']).toMatchObject({
    window: { opens: '2026-11-22', bestTo: '2026-11-25', closes: '2026-11-27' },
    why: ['blue for 15 days: who comes back shows both colours'],
    at: { path: '/mating/males?species=sheep' },
  });
  await t.post(fact('harness', ram, { stayId: stay, colour: 'red' }));
  await t.post(fact('service', ewe, { on: '2026-11-20', way: 'raddle', maleIds: [ram], colour: 'blue' }));
  expect(await marks()).toEqual({});
});

it('asks nothing of a ram without a raddle, nor of one that was taken out', async () => {
  await putIn('2026-11-01', {});
  expect(await marks()).toEqual({});
  await t.post(strike(stay));
  const again = uuid();
  await t.post(fact('stay', ram, { id: again, groupId: flock, on: '2026-10-01', colour: 'red', reason: 'a test' }));
  expect(Object.keys(await marks())).toHaveLength(2);
  await t.post(fact('stay-end', ram, { stayId: again }));
  expect(await marks()).toEqual({});
});
