import { makeDemoBook } from '@yaylak/demo';
import { dayOf } from '@yaylak/core';
import { arrival, strike, testApp, TODAY, uuid, weight, type TestApp } from '../tests/testApp';

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
