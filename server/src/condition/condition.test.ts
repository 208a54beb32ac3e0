import type { AnimalView, ConditionView, DrillsView, RosterView, ScorersView } from '@yaylak/contract';
import { aGroup, arrival, fact, get, move, strike, tag, testApp, TODAY, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const condition = (query = '') => get<ConditionView>(t, `/api/condition?species=sheep${query}`);
const score = (ewe: string, value: number, on = TODAY, scoredBy = 'Aylin') =>
  fact('score', ewe, { score: value, on, scoredBy });
const mob = (ewe: string, name: string, on = TODAY) => fact('mob', ewe, { mob: name, on });
/** A grown ewe in the book. */
async function anEwe(number: string, ...entries: readonly object[]): Promise<string> {
  const id = uuid();
  await t.post(arrival(id, { on: '2022-04-01', bornOn: '2022-04-01' }), tag(id, number));
  if (entries.length > 0) await t.post(...entries.map((e) => ({ ...e, animalId: id })));
  return id;
}

it('shows a group’s last round against the rounds before, and who is missing', async () => {
  const group = await aGroup(t, 'Upland flock');
  const ewes = [];
  for (const [number, before, now] of [
    ['22-0001', 2, 2.5],
    ['22-0002', 3, 3],
    ['22-0003', 3, 4],
  ] as const)
    ewes.push(await anEwe(number, score('', before, '2026-08-01'), score('', now), mob('', now < 3 ? 'thin' : 'fit')));
  const missed = await anEwe('22-0004', score('', 3, '2026-08-02'));
  for (const ewe of [...ewes, missed]) await t.post(move(ewe, group, '2025-01-01'));
  await anEwe('22-0009', score('', 1));
  await t.post(arrival(uuid()), arrival(uuid(), { sex: 'male' })); // a lamb of this year at 236 days, and a ram lamb

  const view = await condition(`&groupId=${group}&stage=mating&by=2027-01-10`);
  expect(view).toMatchObject({
    group: { name: 'Upland flock' },
    females: 4,
    rounds: [
      { from: TODAY, count: 3, atAim: 2, by: ['Aylin'] },
      { from: '2026-08-01', to: '2026-08-02', count: 4, atAim: 3 },
    ],
    notScored: [{ text: '22-0004' }],
  });
  expect(view.rounds[0]?.mean).toBeCloseTo(9.5 / 3, 12);
  expect(view.animals.map((a) => [a.tag.text, a.last.score, a.mob, a.suggestedMob, a.trend])).toEqual([
    ['22-0001', 2.5, 'thin', 'thin', 'gained'],
    ['22-0002', 3, 'fit', 'fit', 'held'],
    ['22-0003', 4, 'fit', 'fat', 'gained'],
    ['22-0004', 3, null, 'fit', null],
  ]);
  expect((await condition()).females).toBe(5); // the lamb stands aside among all
});

it('says what a thin ewe has to gain by the day, and who cannot', async () => {
  await anEwe('22-0001', score('', 2), fact('weight', '', { kg: 58.5, method: 'scale', on: '2026-11-20' }));
  await anEwe('22-0002', score('', 2));
  const view = await condition('&by=2027-01-30'); // 68 days
  const [weighed, unweighed] = view.animals;
  expect(weighed?.way).toMatchObject({ kind: 'gain', isFeasible: true, reachedOn: '2027-01-04' });
  expect(weighed?.way.kind === 'gain' && weighed.way.kg).toBeCloseTo(8.7414, 4); // as worked by hand in core
  expect(unweighed?.way).toEqual({ kind: 'no-weight', isFeasible: true, reachedOn: '2027-01-04' });
  const [soon] = (await condition('&by=2026-12-20')).animals;
  expect(soon?.way).toMatchObject({ isFeasible: false });
});

it('finds who was fed up without an answer, and follows the checks', async () => {
  const ewe = await anEwe('22-0007', score('', 2, '2026-09-10'), mob('', 'thin', '2026-09-10'), score('', 2));
  expect((await condition()).noResponse).toMatchObject([{ days: 74, suggestion: 'check', made: [] }]);
  const [teeth] = await t.post(fact('check', ewe, { what: 'teeth', isFound: true, words: 'broken' }));
  expect((await condition()).noResponse).toMatchObject([
    { suggestion: 'cull', made: [{ what: 'teeth', isFound: true, on: TODAY }] },
  ]);
  await t.post(strike(teeth?.id ?? ''));
  expect((await condition()).noResponse).toMatchObject([{ suggestion: 'check' }]);
});

it('wants more of a heavy milker from the day it is written down', async () => {
  const ewe = await anEwe('22-0007', score('', 3));
  expect((await condition()).animals).toMatchObject([{ kind: 'first-timer', aim: 3, suggestedMob: 'fit' }]);
  await t.post(fact('check', ewe, { what: 'milk', isFound: true }));
  expect((await condition()).animals).toMatchObject([{ kind: 'heavy-milker', aim: 3.5, suggestedMob: 'thin' }]);
  const roster = await get<RosterView>(t, '/api/roster');
  expect(roster.animals).toMatchObject([{ femaleKind: 'heavy-milker', scores: [[TODAY, 3]], mob: null }]);
});

it.each([0.5, 5.25, 3.1])('refuses a score of %d and says what scores are', async (value) => {
  const ewe = await anEwe('22-0001');
  expect(await t.post(score(ewe, value))).toMatchObject([
    { status: 'refused', message: expect.stringContaining('from 1 to 5 by halves or quarters') },
  ]);
});

it('keeps scores, mobs and checks with who, over a restart', async () => {
  const ewe = await anEwe(
    '22-0001',
    score('', 2.5),
    mob('', 'thin'),
    fact('check', '', { what: 'feet', isFound: false }),
  );
  t = await t.again();
  const types = (await get<AnimalView>(t, `/api/animals/${ewe}`)).timeline.map(({ entry: e }) => e);
  expect(types).toContainEqual(expect.objectContaining({ type: 'score', score: 2.5, scoredBy: 'Aylin' }));
  expect(types).toContainEqual(expect.objectContaining({ type: 'mob', mob: 'thin' }));
  expect(types).toContainEqual(expect.objectContaining({ type: 'check', what: 'feet', isFound: false }));
});

describe('two scorers', () => {
  const scorers = () => get<ScorersView>(t, '/api/condition/scorers');
  beforeEach(async () => {
    for (let i = 0; i < 8; i++)
      await anEwe(`22-000${i}`, score('', 2.5 + (i % 2) / 2), score('', 3 + (i % 2) / 2, TODAY, 'Kerem'));
  });
  it('are held against each other', async () => {
    expect(await scorers()).toMatchObject({
      reference: 'Aylin',
      pairs: [{ first: 'Aylin', second: 'Kerem', bias: -0.5, withinHalf: 1, limits: [-0.5, -0.5] }],
      biases: [{ by: 'Kerem', bias: 0.5, pairs: 8, isUsable: true, isSetRight: false }],
    });
  });
  it('the one who scores high is set right where the holding wants it, and shown so', async () => {
    const [before] = (await condition()).animals;
    expect(before?.last).toMatchObject({ score: 2.75, isCorrected: false });
    const { version } = await get<{ version: number }>(t, '/api/holding');
    await t
      .http()
      .patch('/api/holding')
      .send({ version, scorers: { reference: 'Aylin', setRight: ['Kerem'] } })
      .expect(200);
    const [after] = (await condition()).animals;
    expect(after?.last).toMatchObject({ score: 2.5, isCorrected: true });
    expect((await scorers()).biases).toMatchObject([{ isSetRight: true }]);
    t = await t.again();
    expect((await condition()).animals[0]?.last.score).toBe(2.5);
  });
});

it('keeps a drill once, however often it is sent', async () => {
  const drill = { id: uuid(), on: TODAY, by: 'Selin', answers: [{ caseId: 'sharp', score: 1.5 }] };
  for (let i = 0; i < 2; i++) await t.http().post('/api/condition/drills').send(drill).expect(201);
  expect(await get<DrillsView>(t, '/api/condition/drills')).toEqual({ drills: [drill] });
  await t
    .http()
    .post('/api/condition/drills')
    .send({ ...drill, answers: [{ caseId: 'sharp', score: 7 }] })
    .expect(400);
});
