import { request } from 'node:http';
import { makeDemoBook } from '@yaylak/demo';
import type { BookFile, Problem, ReadingBook } from '@yaylak/contract';
import { breathe } from '../common/breathe';
import type { ProblemException } from '../common/problems';
import { BookFileService } from './bookFile.service';
import { dayOf } from '@yaylak/core';
import {
  aGroup,
  aJob,
  aProduct,
  arrival,
  fact,
  move,
  note,
  strike,
  testApp,
  TODAY,
  treatment,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';
import { refusalOf } from '../tests/bookRefusal';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

it('reads the demo into an empty holding and writes the identical book again', async () => {
  await t
    .http()
    .post('/api/book')
    .send(makeDemoBook(dayOf(TODAY), { years: 1 }))
    .expect(200);
  const first = await t.http().get('/api/book').expect(200);
  const other = await testApp();
  await other
    .http()
    .post('/api/book')
    .send(first.body as object)
    .expect(200);
  const second = await other.http().get('/api/book');
  await other.close();
  expect(second.text).toBe(first.text);
}, 60_000);

it('keeps struck entries and later versions over the way out and in', async () => {
  const ewe = uuid();
  const w = weight(ewe, '2026-06-01', 20);
  await t.post(arrival(ewe), w, strike(w.id));
  await t.http().patch(`/api/animals/${ewe}`).send({ version: 1, birthType: 2 }).expect(200);
  const first = await t.http().get('/api/book');
  const other = await testApp();
  await other
    .http()
    .post('/api/book')
    .send(first.body as object)
    .expect(200);
  expect((await other.http().get('/api/book')).text).toBe(first.text);
  expect((await other.http().get(`/api/animals/${ewe}`)).body.row).toMatchObject({
    version: 2,
    birthType: 2,
    lastKg: null,
  });
  await other.close();
});

it('goes only into an empty holding, whole or not at all', async () => {
  const book = makeDemoBook(dayOf(TODAY), { years: 1 });
  const broken = {
    ...book,
    entries: [...book.entries.slice(0, 50), { ...book.entries[50], kg: 'heavy', type: 'weight' }],
  };
  const { body } = await t.http().post('/api/book').send(broken).expect(400);
  expect(body.fields[0].field).toBe('entries.50');
  expect((await t.http().get('/api/animals?presence=all')).body.total).toBe(0);
  const orphaned = { ...book, entries: book.entries.filter((e) => e.type !== 'arrival') };
  await t
    .http()
    .post('/api/book')
    .send(orphaned)
    .expect(400, /does not hang together/);
  await t
    .http()
    .post('/api/book')
    .send({ format: 'other' })
    .expect(400, /not a book written by Yaylak/);
  await t.post(arrival(uuid()));
  await t
    .http()
    .post('/api/book')
    .send(book)
    .expect(409, /has a book already/);
});

describe('a spoilt book', () => {
  const [ewe, ram, lamb, group, job] = [uuid(), uuid(), uuid(), uuid(), uuid()];
  const good = async (): Promise<BookFile> => {
    const product = await aProduct(t);
    await t.http().post('/api/groups').send({ id: group, name: 'Ewes' });
    await t
      .http()
      .post('/api/jobs')
      .send(aJob({ id: job, animalIds: [ewe] }));
    const old = { bornOn: '2023-04-01', on: '2023-04-01' };
    const w = weight(ewe, '2026-06-01', 60);
    const answers = await t.post(
      arrival(ewe, old),
      arrival(ram, { ...old, sex: 'male' }),
      arrival(lamb, { damId: ewe, sireId: ram }),
      move(ewe, group),
      { ...weight(ewe, TODAY, 61), jobId: job },
      treatment(ewe, product),
      w,
      strike(w.id),
      fact('service', ewe, { way: 'hand', maleIds: [ram] }),
    );
    expect(answers.filter((a) => a.status !== 'kept')).toEqual([]);
    return (await t.http().get('/api/book')).body as BookFile;
  };
  type Spoil = (book: BookFile) => unknown;
  const entry =
    (type: string, change: object): Spoil =>
    (book) => ({
      ...book,
      entries: book.entries.map((e) => (e.type === type ? { ...e, ...change } : e)),
    });
  const part =
    (name: keyof BookFile, value: unknown): Spoil =>
    (book) => ({ ...book, [name]: value });
  const first =
    (name: 'animals' | 'groups' | 'jobs' | 'products', change: object): Spoil =>
    (book) => ({
      ...book,
      [name]: (book[name] as object[]).map((r, i) => (i === 0 ? { ...r, ...change } : r)),
    });
  const animal =
    (id: string, change: object): Spoil =>
    (book) => ({
      ...book,
      animals: book.animals.map((a) => (a.id === id ? { ...a, ...change } : a)),
    });
  const SPOILT: [string, string, Spoil][] = [
    ['null', 'format', () => null],
    ['a list', 'format', () => []],
    ['no settings', 'holding.', part('holding', null)],
    ['settings that are a list', 'holding.', part('holding', [])],
    ['settings of a wrong kind', 'holding.unit', (b) => ({ ...b, holding: { ...b.holding, unit: 'stone' } })],
    [
      'figures of no species',
      'holding.species.dragon',
      (b) => ({ ...b, holding: { ...b.holding, species: { dragon: {} } } }),
    ],
    ['null among the groups', 'groups.0', part('groups', [null])],
    ['null among the animals', 'animals.0', part('animals', [null])],
    ['null among the entries', 'entries.0', part('entries', [null])],
    ['entries that are an object', 'entries', part('entries', {})],
    ['a group without a name', 'groups.0.name', first('groups', { name: '' })],
    ['a group twice', 'groups.1.id', (b) => ({ ...b, groups: [...b.groups, ...b.groups] })],
    ['a job of no station', 'jobs.0.stations', first('jobs', { stations: ['fly'] })],
    ['a product that is a list', 'products.0.facts', first('products', { facts: [] })],
    ['plans that are a word', 'plans', part('plans', 'none')],
    [
      'a plan that lacks what it needs',
      'plans.0',
      part('plans', [
        {
          id: uuid(),
          version: 1,
          facts: { kind: 'season', name: 'x', species: 'sheep', females: 2, matingOn: TODAY, shifts: {}, done: {} },
        },
      ]),
    ],
    ['an animal of no species', 'animals.0.species', first('animals', { species: 'dragon' })],
    ['an unknown dam', 'animals.', animal(lamb, { damId: uuid() })],
    ['its own dam', 'animals.', animal(lamb, { sex: 'female', damId: lamb })],
    ['a ram for a dam', 'animals.', animal(lamb, { damId: ram })],
    [
      'an animal that never came',
      'animals.',
      (b) => ({ ...b, animals: [...b.animals, { ...b.animals[0], id: uuid() }] }),
    ],
    ['an unknown group', 'entries.3.groupId', entry('move', { groupId: uuid() })],
    ['an unknown job', 'entries.4.jobId', (b) => ({ ...b, jobs: [] })],
    ['an unknown product', 'entries.5.productId', entry('treatment', { productId: uuid() })],
    ['an unknown male', 'entries.8.maleIds', entry('service', { maleIds: [uuid()] })],
    ['a strike of nothing', 'entries.7.entryId', entry('strike', { entryId: uuid() })],
    ['an entry twice', 'entries.9.id', (b) => ({ ...b, entries: [...b.entries, b.entries[0]] })],
    ['an entry of no kind', 'entries.0', entry('arrival', { type: 'poem' })],
    ['a NUL in a text', 'entries.5', entry('treatment', { batch: 'K\u0000' })],
    ['a form to come', 'formatVersion', part('formatVersion', 99)],
    ['no form', 'formatVersion', part('formatVersion', '1')],
  ];

  it('of every kind is refused by the place in the file, in words, and leaves nothing', async () => {
    const book = await good();
    const other = await testApp(undefined, { requestsPerTenSeconds: 10_000 });
    for (const [kind, field, spoil] of SPOILT) {
      const fault = await refusalOf(other, JSON.stringify(spoil(book)));
      expect([kind, fault?.fields?.[0]?.field]).toEqual([
        kind,
        expect.stringMatching(new RegExp(`^${field.replaceAll('.', '\\.')}`)),
      ]);
      expect(fault?.detail).toMatch(/[.]$/);
    }
    expect((await other.http().get('/api/book')).body).toMatchObject({ groups: [], animals: [], entries: [] });
    await other.http().post('/api/book').send(book).expect(200);
    expect((await other.http().get('/api/book')).body).toEqual(book);
    await other.close();
  });
});

it('keeps the order of the groups and the address of the calendar', async () => {
  const season = async (app: TestApp) =>
    ((await app.http().get('/api/season')).body as { calendarKey: string }).calendarKey;
  for (const name of ['Wethers', 'Ewes', 'Old ewes']) await aGroup(t, name);
  const ewe = uuid();
  await t.post(arrival(ewe), note(ewe, 'calm'));
  const key = await season(t);
  const first = await t.http().get('/api/book');
  const other = await testApp();
  await other
    .http()
    .post('/api/book')
    .send(first.body as object)
    .expect(200);
  expect((first.body as BookFile).groups.map((g) => g.name)).toEqual(['Wethers', 'Ewes', 'Old ewes']);
  expect((await other.http().get('/api/book')).text).toBe(first.text);
  expect(await season(other)).toBe(key);
  await other.close();
});

describe('a file that is no book', () => {
  const head = '{"format":"yaylak-book","formatVersion":1,\n';
  const endless = (piece: string): string => piece.repeat(1_000_000);
  it.each([
    ['is cut off', `${head}"groups":[\n{"id":"a`, /breaks off on line 3/],
    ['ends between two records', `${head}"groups":[\n`, /breaks off on line 3/],
    ['lacks a list', `${head}"holding":{"name":"x"`, /breaks off on line 2/],
    ['is text', 'Dear all', /breaks off on line 1/],
    ['has more behind it', `${head.replace(/,\n$/, '')}}{}`, /breaks off/],
    ['is empty', '', /breaks off/],
    ['has a part nobody knows', `${head}"poems":[`, /a part “poems” that no book has/],
    ['is another program’s', '{"poems":[', /not a book written by Yaylak/],
    ['has a part twice', `${head}"groups":[],"groups":[]`, /“groups” twice/],
    ['is a million lists deep', `${head}"groups":[${endless('[')}`, /line 2\) is nested deeper than 32/],
    ['is a million nothings', `${head}"entries":[${endless('{},')}`, /Entry 1 \(line 2\)/],
    ['has a record without end', `${head}"groups":[{"name":[${endless('{},')}`, /line 2\) is longer than any record/],
    ['has settings without end', `${head}"holding":{"species":[${endless('{},')}`, /longer than any record/],
    ['sets what it is not', `${head}"groups":[{"__proto__":{"id":"a"}}]`, /Number 1 of the groups \(line 2\)/],
  ])('%s', async (_, text, words) => {
    expect((await refusalOf(t, text))?.detail).toMatch(words);
    expect((await t.http().get('/api/book/reading')).body).toEqual({ reading: null });
  });

  it('or is packed or too large is refused before it is read', async () => {
    const packed = await t.http().post('/api/book').set('content-encoding', 'gzip').send({ format: 'yaylak-book' });
    expect(packed.body).toMatchObject({ status: 400, type: '/problems/not-json' });
    const large = t.http().post('/api/book').set('content-type', 'application/json');
    const { status, body } = await large.set('content-length', '5000000000').send('{');
    expect([status, (body as Problem).detail]).toEqual([413, expect.stringContaining('up to 1000 MB')]);
    const inTurkish = t.http().post('/api/book').set('content-type', 'application/json').set('accept-language', 'tr');
    const answer = await inTurkish.set('content-length', '5000000000').send('{');
    expect((answer.body as Problem).detail).toMatch(/^Bir defter en çok 1000 MB olur/);
  });
});

it('says how far a book has come, lets others be answered meanwhile, and stops without a trace', async () => {
  const text = JSON.stringify(makeDemoBook(dayOf(TODAY), { years: 1 }));
  const service = t.app.get(BookFileService);
  const stop = new AbortController();
  const seen = new Set<string>();
  const run = service.import({ chunks: [Buffer.from(text)], bytes: text.length }, stop.signal);
  const outcome = run.catch((e: ProblemException) => e.problem.title);
  const other = service.import({ chunks: [] });
  await expect(other).rejects.toMatchObject({ problem: { title: 'A book is being read in already.' } });
  for (;;) {
    const { reading } = (await t.http().get('/api/book/reading').expect(200)).body as { reading: ReadingBook | null };
    if (!reading) break;
    seen.add(reading.phase);
    expect(reading.done).toBeLessThanOrEqual(reading.of);
    if (reading.phase === 'writing') stop.abort();
  }
  expect(await outcome).toBe('The reading was stopped.');
  expect([...seen]).toEqual(['reading', 'writing']);
  expect((await t.http().get('/api/book')).body).toMatchObject({ groups: [], animals: [], entries: [] });
  expect(await refusalOf(t, text)).toBeUndefined();
});

it('answers a file it refuses at once, and takes the rest of it off the line', async () => {
  const answer = await fetch(`${t.url}/api/book`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: `{"format":"other"${' '.repeat(20_000_000)}}`,
  });
  expect(((await answer.json()) as Problem).detail).toMatch(/not a book written by Yaylak/);
  // Closing waits for what is still on its way.
  await t.app.close();
  t = await testApp();
});

it('stops when whoever sends it hangs up', async () => {
  const gone = request(`${t.url}/api/book`, { method: 'POST' });
  gone.setHeader('content-type', 'application/json').on('error', () => undefined);
  gone.write('{"format":"yaylak-book","formatVersion":1,\n"groups":[');
  const readings = async () =>
    ((await t.http().get('/api/book/reading')).body as { reading: ReadingBook | null }).reading;
  while ((await readings()) === null) await breathe();
  gone.destroy();
  while ((await readings()) !== null) await breathe();
  expect((await t.http().get('/api/animals?presence=all')).body.total).toBe(0);
});

it('gives up a book whose rest does not come', async () => {
  const slow = await testApp(undefined, { bodyMs: 100 });
  const status = await new Promise<number | undefined>((resolve) => {
    const sent = request(`${slow.url}/api/book`, { method: 'POST' }, (r) => resolve(r.statusCode));
    sent.setHeader('content-type', 'application/json').on('error', () => undefined);
    sent.write('{"format":"yaylak-book",');
  });
  expect(status).toBe(408);
  await slow.close();
});
