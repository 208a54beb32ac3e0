import type { HoldingView } from '@yaylak/contract';
import { Clock } from '../common/clock';
import type { ApiDocument } from '../tests/fuzzer';
import { pagesOf } from '../tests/pages';
import {
  aJob,
  aRollingPlan,
  aTemplate,
  aGroup,
  aProduct,
  arrival,
  fact,
  get,
  move,
  note,
  testApp,
  TODAY,
  treatment,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
const ewe = uuid();
beforeEach(async () => {
  t = await testApp();
  const group = await aGroup(t, 'Ewes');
  const product = await aProduct(t);
  const look = fact('look', ewe, { grades: { mouth: 'pass' } });
  const answers = await t.post(
    arrival(ewe, { bornOn: '2023-04-01', on: '2023-04-01' }),
    move(ewe, group, '2024-04-01'),
    weight(ewe, TODAY, 61),
    treatment(ewe, product),
    look,
    note(ewe, 'calm'),
  );
  expect(answers.filter((a) => a.status !== 'kept')).toEqual([]);
  await t.http().post('/api/season/plans').send(aRollingPlan()).expect(201);
  await t.http().post('/api/templates').send(aTemplate('Mine')).expect(200);
  await t
    .http()
    .post('/api/jobs')
    .send(aJob({ settings: {}, animalIds: [ewe] }))
    .expect(200);
  await t.http().patch('/api/holding').send({ version: 1, name: 'Upper farm' }).expect(200);
});
afterEach(() => t.close());

/** What is kept of each kind, spoilt: by what, and as what it is named. Two of a kind stand in two books. */
type Spoilt = readonly [what: string, sql: string, record: string];
const BOOKS: readonly (readonly Spoilt[])[] = [
  [
    ['a plan that lacks its wish', `update season_plan set facts = json_set(facts, '$.kind', 'season')`, 'plan'],
    ['a label without doses', `update product set facts = json_set(facts, '$.doses', json('[[]]'))`, 'product'],
    ['points that are a list', `update holding set points_weights = '[]'`, 'setting'],
    [
      'figures of the species turned',
      `update holding set species = '{"sheep":{"gestationDays":{"mean":"long"}}}'`,
      'setting',
    ],
    ['a template of no station', `update job_template set facts = '{"name":"x"}'`, 'template'],
    ['a job with settings that are a list', `update job set settings = '[[]]'`, 'job'],
    ['grades that are a list', `update look_entry set grades = '[1]'`, 'entry'],
  ],
  [
    ['a plan that is a list', `update season_plan set facts = '[]'`, 'plan'],
    ['standards that are an object', `update holding set standards = '{}'`, 'setting'],
    ['resources that are a list', `update holding set resources = '[[]]'`, 'setting'],
    ['grades that are no JSON', `update look_entry set grades = 'pass'`, 'entry'],
  ],
];

it.each(BOOKS.map((spoilt) => [spoilt.map(([what]) => what).join(', '), spoilt] as const))(
  'shows the rest of every page beside %s, and names each under Holding',
  async (_, spoilt) => {
    for (const [, sql] of spoilt) await t.orm.em.getConnection().execute(sql);
    t = await t.again();
    const { about } = await get<HoldingView>(t, '/api/holding');
    expect(about.findings.map((f) => f.record).toSorted()).toEqual(spoilt.map(([, , record]) => record).toSorted());
    for (const { message } of about.findings) expect(message).toMatch(/\S/);
    const document = await get<ApiDocument>(t, '/api/docs-json');
    const failing: string[] = [];
    for (const path of [
      ...pagesOf(document, ['sheep', 'rabbit']),
      `/api/animals/${ewe}`,
      `/api/rearing/life/${ewe}`,
      `/api/carrying/female/${ewe}`,
      `/api/mating/pedigree/${ewe}`,
    ]) {
      const { status } = await t.http().get(path);
      if (status >= 500) failing.push(`${status} ${path}`);
    }
    expect(failing).toEqual([]);
    expect((await t.post(note(ewe, 'still written')))[0]?.status).toBe('kept');
  },
);

it('says when the clock was set back behind the newest entry', async () => {
  const { config } = t;
  expect((await get<HoldingView>(t, '/api/holding')).about.findings).toEqual([]);
  await t.app.close();
  jest.spyOn(Clock.prototype, 'now').mockReturnValue(new Date('2026-11-02T10:00:00'));
  t = await testApp(config.dataDir, {}, null);
  jest.restoreAllMocks();
  expect((await get<HoldingView>(t, '/api/holding')).about.findings).toMatchObject([{ record: 'clock', id: TODAY }]);
});
