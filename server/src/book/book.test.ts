import { driverOf } from '../tests/faults';
import {
  arrival,
  fact,
  identifierEnd,
  move,
  note,
  strike,
  tag,
  testApp,
  TODAY,
  treatment,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';
import { BookService } from './book.service';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const statuses = (answers: readonly { status: string }[]): string[] => answers.map((a) => a.status);

it('keeps the good entries of a batch and says why of each refused one', async () => {
  const ewe = uuid();
  const answers = await t.post(
    arrival(ewe),
    weight(ewe, '2026-06-01', 0),
    weight(ewe, '2026-06-01', 20),
    weight(ewe, '2027-01-01', 20),
    { type: 'poem' },
    { ...weight(ewe, '2025-02-29', 4) },
    { ...weight(ewe, '2026-06-02', 21), colour: 'x' },
  );
  expect(statuses(answers)).toEqual(['kept', 'refused', 'kept', 'refused', 'refused', 'refused', 'refused']);
  expect(answers[1]).toMatchObject({
    message: 'A weight of 0\u00a0kg is not possible. Enter the scale reading.',
    refusal: { field: 'kg' },
  });
  expect(answers[5]).toMatchObject({
    message: 'Day: “2025-02-29” is not a real date. Write it as 2026-03-31.',
  });
  const { body } = await t.http().get(`/api/animals/${ewe}`).expect(200);
  expect(body.curve.readings).toHaveLength(1);
});

it('keeps an entry sent twice once, in one batch and over two', async () => {
  const ewe = uuid();
  const [a, w] = [arrival(ewe), weight(ewe, '2026-06-01', 20)];
  expect(statuses(await t.post(a, w, w))).toEqual(['kept', 'kept', 'already-kept']);
  expect(statuses(await t.post(a, w))).toEqual(['already-kept', 'already-kept']);
  t = await t.again();
  expect(statuses(await t.post(w))).toEqual(['already-kept']);
  expect((await t.http().get('/api/book')).body.entries).toHaveLength(2);
});

it('strikes an entry out, keeps it greyed, and refuses to strike it twice', async () => {
  const ewe = uuid();
  const w = weight(ewe, '2026-06-01', 20);
  await t.post(arrival(ewe), w);
  expect(statuses(await t.post(strike(w.id), strike(w.id)))).toEqual(['kept', 'refused']);
  t = await t.again();
  const { body } = await t.http().get(`/api/animals/${ewe}`);
  expect(body.curve.readings).toEqual([]);
  expect(body.timeline.find((i: { entry: { id: string } }) => i.entry.id === w.id).struck).toMatchObject({
    by: 'Aylin',
  });
});

it('does not strike out an animal that still has entries or young', async () => {
  const [ewe, lamb] = [uuid(), uuid()];
  const [a, b, g] = [
    arrival(ewe, { bornOn: '2024-04-01', on: '2024-04-01' }),
    arrival(lamb, { damId: ewe }),
    tag(ewe, '24-0001'),
  ];
  await t.post(a, b, g);
  expect((await t.post(strike(a.id)))[0]).toMatchObject({ message: expect.stringContaining('still has 1 entry') });
  expect(statuses(await t.post(strike(g.id), strike(a.id)))).toEqual(['kept', 'refused']);
  expect(statuses(await t.post(strike(b.id), strike(a.id)))).toEqual(['kept', 'kept']);
  expect((await t.http().get('/api/animals')).body.total).toBe(0);
});

describe('a batch that is wanted whole', () => {
  const whole = async (...entries: object[]) =>
    (await t.http().post('/api/entries?mode=whole').send({ entries }).expect(200)).body.answers as { status: string }[];

  it('is kept as one when every entry is good', async () => {
    const ewe = uuid();
    expect(statuses(await whole(arrival(ewe), tag(ewe, '26-0001')))).toEqual(['kept', 'kept']);
  });

  it('leaves the good ones out when one is refused, and the same batch mended goes in', async () => {
    const ewe = uuid();
    const [a, g, w] = [arrival(ewe), tag(ewe, '26-0001'), weight(ewe, '2026-06-01', 9999)];
    expect(statuses(await whole(a, g, w))).toEqual(['left-out', 'left-out', 'refused']);
    expect((await t.http().get('/api/animals')).body.total).toBe(0);
    expect(statuses(await whole(a, g, { ...w, kg: 20 }))).toEqual(['kept', 'kept', 'kept']);
  });

  it('does not know another way of keeping', async () => {
    await t
      .http()
      .post('/api/entries?mode=half')
      .send({ entries: [arrival(uuid())] })
      .expect(400, /Mode: “[a-z]+” is none of these/);
  });
});

it('says of an entry sent again that it was struck out, and does not bring it back', async () => {
  const ewe = uuid();
  const w = weight(ewe, '2026-06-01', 20);
  await t.post(arrival(ewe), w, strike(w.id));
  expect((await t.post(w))[0]).toEqual({ id: w.id, status: 'already-kept', isStruck: true });
  expect((await t.http().get(`/api/animals/${ewe}`)).body.curve.readings).toEqual([]);
});

it('takes an animal in again after its arrival was struck out, with the new facts', async () => {
  const ewe = uuid();
  const first = arrival(ewe, { bornOn: '2026-04-01' });
  await t.post(first, strike(first.id));
  expect(statuses(await t.post(arrival(ewe, { sex: 'male', bornOn: '2026-03-30' })))).toEqual(['kept']);
  t = await t.again();
  expect((await t.http().get(`/api/animals/${ewe}`)).body.row).toMatchObject({ sex: 'male', bornOn: '2026-03-30' });
});

it('lets a check say what would happen and writes nothing', async () => {
  const ewe = uuid();
  const { body } = await t
    .http()
    .post('/api/entries?mode=check')
    .send({ entries: [arrival(ewe), weight(ewe, '2026-06-01', 9999)] })
    .expect(200);
  expect(statuses(body.answers)).toEqual(['kept', 'refused']);
  expect((await t.http().get('/api/animals')).body.total).toBe(0);
});

it('marks a doubtful reading and keeps it', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), tag(ewe, '26-0001'), weight(ewe, '2026-11-01', 27.2));
  expect((await t.post(weight(ewe, '2026-11-08', 72.2)))[0]).toMatchObject({
    status: 'kept',
    doubt: { kind: 'jump', days: 7 },
  });
  expect((await t.http().get('/api/today')).body.lookAt).toMatchObject([{ kind: 'doubtful-weight', kg: 72.2 }]);
});

it('refuses a number that another wears in that colour, also inside one batch', async () => {
  const [a, b] = [uuid(), uuid()];
  const answers = await t.post(arrival(a), arrival(b), tag(a, '26-0001'), tag(b, '26 0001'), tag(b, '26-0001', 'blue'));
  expect(statuses(answers)).toEqual(['kept', 'kept', 'kept', 'refused', 'kept']);
  expect(answers[3]).toMatchObject({
    message: 'Yellow 26 0001 is already on yellow 26-0001, which is here. Choose another number or colour.',
  });
});

it('refuses an electronic number that another wears, whatever colour it is said to have', async () => {
  const [a, b] = [uuid(), uuid()];
  const electronic = { kind: 'electronic', text: '792000000126031' };
  const answers = await t.post(
    arrival(a),
    arrival(b),
    fact('identifier', a, { on: TODAY, ...electronic }),
    fact('identifier', b, { on: TODAY, ...electronic, text: '792 000 000 126 031', colour: 'yellow' }),
  );
  expect(statuses(answers)).toEqual(['kept', 'kept', 'kept', 'refused']);
});

it('judges a batch as the book will be, entry after entry', async () => {
  const [dam, lamb] = [uuid(), uuid()];
  const answers = await t.post(
    arrival(lamb, { damId: dam }),
    arrival(dam, { bornOn: '2024-03-01', on: '2024-03-01' }),
    arrival(lamb, { damId: dam }),
  );
  expect(statuses(answers)).toEqual(['refused', 'kept', 'kept']);
});

describe('when the file cannot be written', () => {
  const trouble: [string, (t: TestApp) => Promise<unknown>, (t: TestApp) => Promise<unknown>, string][] = [
    [
      'full',
      // An earlier test's book was in the same file: what it left free would be room enough.
      (x) => sql(x, 'vacuum').then(() => sql(x, 'pragma max_page_count = 1')),
      (x) => sql(x, 'pragma max_page_count = 1000000'),
      'The disk is full.',
    ],
    [
      'read-only',
      (x) => sql(x, 'pragma query_only = on'),
      (x) => sql(x, 'pragma query_only = off'),
      'The book file may only be read.',
    ],
  ];
  const sql = (x: TestApp, text: string) => x.orm.em.getConnection().execute(text);
  it.each(trouble)(
    '(%s) says so, half-writes nothing, and takes the same batch later',
    async (_, spoil, mend, title) => {
      const ewes = Array.from({ length: 300 }, () => arrival(uuid()));
      await spoil(t);
      const { body } = await t
        .http()
        .post('/api/entries')
        .send({ entries: ewes })
        .expect(503)
        .expect('content-type', /problem\+json/);
      expect(body).toMatchObject({ title, detail: expect.stringContaining('Nothing was half-written') });
      expect((await t.http().get('/api/animals')).body.total).toBe(0);
      await mend(t);
      expect(new Set(statuses(await t.post(...ewes)))).toEqual(new Set(['kept']));
    },
  );

  it('(locked) waits a little, then says who holds it', async () => {
    const other = new (driverOf(t.orm))(t.config.dataFile);
    other.exec('begin immediate');
    await t
      .http()
      .post('/api/entries')
      .send({ entries: [arrival(uuid())] })
      .expect(503, /held by another program/);
    other.exec('rollback');
    other.close();
    expect(statuses(await t.post(arrival(uuid())))).toEqual(['kept']);
  }, 20_000);
});

describe('what speaks of something that is not there', () => {
  const cases: [string, (ewe: string) => object][] = [
    ['a job', (ewe) => ({ ...weight(ewe, TODAY, 40), jobId: uuid() })],
    ['a group', (ewe) => move(ewe, uuid())],
    ['a product', (ewe) => treatment(ewe, uuid())],
    ['a tube', (ewe) => fact('gene-test', ewe, { gene: 'wry jaw', result: 'free', sampleId: uuid() })],
    ['a foster dam', (ewe) => fact('fostering', ewe, { damId: uuid() })],
    ['an identifier', (ewe) => identifierEnd(ewe, uuid())],
    ['a stay', (ewe) => fact('stay-end', ewe, { stayId: uuid() })],
    ['a strike of no entry', () => strike(uuid())],
    ['a strike in no job', () => ({ ...strike(uuid()), jobId: uuid() })],
  ];
  it.each(cases)('%s is refused in words, and the rest of the batch kept', async (_, lost) => {
    const ewe = uuid();
    const answers = await t.post(arrival(ewe), lost(ewe), note(ewe, 'calm'));
    expect(statuses(answers)).toEqual(['kept', 'refused', 'kept']);
    expect(answers[1]).toMatchObject({ message: expect.stringMatching(/\.$/) });
  });

  it('and what no rule asks is refused by the schema, one entry and not its batch', async () => {
    const ewe = uuid();
    jest.spyOn(t.app.get(BookService).state.jobs, 'has').mockReturnValue(true);
    const lost = { ...note(ewe, 'in no job'), jobId: uuid() };
    expect(statuses(await t.post(arrival(ewe), lost, note(ewe, 'calm')))).toEqual(['kept', 'refused', 'kept']);
    t = await t.again();
    expect((await t.http().get('/api/book')).body.entries).toHaveLength(2);
  });
});

describe('bodies of the wrong kind', () => {
  it.each([
    ['a list', '[]', 400],
    ['no entries', '{"entries":[]}', 400],
    ['entries that are a word', '{"entries":"all"}', 400],
    ['a field too many', '{"entries":[{}],"more":1}', 400],
    ['no JSON', '{"entries":[', 400],
  ])('%s', async (_, body, status) => {
    const answer = await t
      .http()
      .post('/api/entries')
      .set('content-type', 'application/json')
      .send(body)
      .expect(status);
    expect(answer.headers['content-type']).toContain('problem+json');
    expect(answer.body.title).toBeTruthy();
  });

  it('100 MB is too much in one piece', async () => {
    // The length alone is enough to refuse it; the body need not be read.
    const answer = await t
      .http()
      .post('/api/entries')
      .set('content-type', 'application/json')
      .send(`{"entries":["${'x'.repeat(8_000_000)}"]}`);
    expect(answer.status).toBe(413);
    expect(answer.body.title).toBe('That is too much in one piece.');
  });

  it('null among the entries is refused by itself', async () => {
    const { body } = await t
      .http()
      .post('/api/entries')
      .send({ entries: [null, arrival(uuid())] })
      .expect(200);
    expect(statuses(body.answers)).toEqual(['refused', 'kept']);
  });
});
