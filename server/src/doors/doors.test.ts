import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:net';
import { Logger } from '@nestjs/common';
import { aGroup, arrival, note, testApp, uuid, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeAll(async () => {
  t = await testApp();
});
afterAll(() => t.close());

const group = () => ({ id: uuid(), name: `Group ${uuid()}` });
const groups = async () => (await t.http().get('/api/groups').expect(200)).body as { id: string }[];

it.each([
  'evil.example',
  '169.254.1.1',
  '127.0.0.1.evil.example',
  'localhost.evil.example:4870',
  'evil-localhost',
  '.localhost',
  '0.0.0.0:4870',
])('does not answer to the name %s', async (host) => {
  const { body } = await t.http().get('/api/roster').set('host', host).expect(421);
  expect(body.title).toBe('This server does not answer to that name.');
  await t.http().post('/api/groups').set('host', host).send(group()).expect(421);
});

it.each(['127.0.0.1:4870', 'localhost', 'localhost:5173', 'upper.localhost:8080', '[::1]:4870'])(
  'answers to %s',
  (host) => t.http().get('/api/health').set('host', host).expect(200),
);

it.each(['http://evil.example', 'https://127.0.0.1.evil.example', 'http://127.0.0.1:9999', 'null', 'file://', 'x'])(
  'takes nothing from a page at %s, and tells it nothing',
  async (origin) => {
    const sent = group();
    const host = '127.0.0.1:4870';
    await t.http().post('/api/groups').set({ host, origin }).send(sent).expect(403);
    await t.http().delete(`/api/groups/${sent.id}`).set({ host, origin }).expect(403);
    await t.http().get('/api/roster').set({ host, origin }).expect(403);
    expect((await groups()).map((g) => g.id)).not.toContain(sent.id);
  },
);

it('takes what its own pages send', () =>
  t
    .http()
    .post('/api/groups')
    .set({ host: '127.0.0.1:4870', origin: 'http://127.0.0.1:4870' })
    .send(group())
    .expect(201));

it.each([
  'text/plain;x=json',
  'text/plain',
  'multipart/form-data; boundary=json',
  'application/x-www-form-urlencoded',
  'application/jsonp',
  'application/problem+json',
  'application/json; boundary=x',
])('takes no facts as %s', async (type) => {
  const sent = group();
  await t.http().post('/api/groups').set('content-type', type).send(JSON.stringify(sent)).expect(415);
  await t
    .http()
    .post('/api/entries')
    .set('content-type', type)
    .send(JSON.stringify({ entries: [arrival(uuid())] }))
    .expect(415);
  expect((await groups()).map((g) => g.id)).not.toContain(sent.id);
});

it('lets no other page frame it, and asks the browser for nothing but a serial line', async () => {
  const { headers } = await t.http().get('/api/health');
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['content-security-policy']).toContain("connect-src 'self';");
  expect(headers['x-frame-options']).toBe('DENY');
  expect(headers['permissions-policy']).toMatch(/^serial=\(self\), camera=\(self\)/);
});

const nested = (levels: number): string => `${'['.repeat(levels)}1${']'.repeat(levels)}`;
const JSON_ROUTES = [
  ['post', 'groups'],
  ['post', 'jobs'],
  ['post', 'templates'],
  ['post', 'remedies/products'],
  ['post', 'season/plans'],
  ['post', 'condition/drills'],
  ['post', 'book'],
  ['patch', 'holding'],
  ['patch', `animals/${uuid()}`],
  ['put', `season/plans/${uuid()}`],
  ['put', `remedies/products/${uuid()}`],
  ['post', 'entries'],
] as const;
it.each(JSON_ROUTES)('refuses a value nested without end at %s %s', async (method, path) => {
  for (const body of [`{"name":${nested(7_500)}}`, `{"entries":${nested(7_500)}}`, nested(7_500)]) {
    const answer = await t.http()[method](`/api/${path}`).set('content-type', 'application/json').send(body);
    const refused = (answer.body as { answers?: { status: string }[] }).answers?.map((a) => a.status);
    // A batch answers for each of its entries, and a holding that has a book says so first.
    if (answer.status === 200) expect(refused).toEqual(['refused']);
    else expect([400, 409]).toContain(answer.status);
  }
});

it('refuses one entry that is nested without end, and keeps the others of its batch', async () => {
  const ewe = uuid();
  const deep = `{"id":"${uuid()}","type":"note","text":${nested(100)}}`;
  const body = `{"entries":[${JSON.stringify(arrival(ewe))},${deep},${JSON.stringify(note(ewe, 'calm'))}]}`;
  const { body: answered } = await t
    .http()
    .post('/api/entries')
    .set('content-type', 'application/json')
    .send(body)
    .expect(200);
  expect((answered as { answers: { status: string }[] }).answers.map((a) => a.status)).toEqual([
    'kept',
    'refused',
    'kept',
  ]);
});

it.each([
  ['a NUL', 'Rams\u0000'],
  ['half a pair', 'Rams \ud83d'],
])('refuses %s in a text with a word', async (_, name) => {
  const { body } = await t.http().post('/api/groups').send({ id: uuid(), name }).expect(400);
  expect(body.detail).toBe('name holds a character that cannot be kept. Type it again.');
  const ewe = uuid();
  const [, answer] = await t.post(arrival(ewe), note(ewe, name));
  expect(answer).toMatchObject({ status: 'refused', faults: [{ field: 'text' }] });
});

it('gives every other text back exactly as it came', async () => {
  const ewe = uuid();
  const text = '  Keçi 🐐 e\u0301 \u200f\u2028 "quoted" \\ \n tab\t  ';
  await t.post(arrival(ewe), note(ewe, text));
  const { body } = await t.http().get(`/api/animals/${ewe}`).expect(200);
  expect((body.timeline as { entry: { text?: string } }[]).map((i) => i.entry.text)).toContain(text);
});

it('refuses a body too big for its place', async () => {
  const { body } = await t
    .http()
    .post('/api/groups')
    .send({ id: uuid(), name: 'x'.repeat(300_000) })
    .expect(413);
  expect(body.title).toBe('That is too much in one piece.');
});

it('says so of a cut or too big body where the pages are served as well', async () => {
  const webDir = mkdtempSync(join(tmpdir(), 'yaylak-pages-'));
  writeFileSync(join(webDir, 'index.html'), '<h1>Yaylak</h1>');
  const served = await testApp(undefined, { webDir });
  const post = (body: string) => served.http().post('/api/groups').set('content-type', 'application/json').send(body);
  expect((await post('{"id":').expect(400)).body.type).toBe('/problems/not-json');
  expect((await post(`{"name":"${'x'.repeat(300_000)}"}`).expect(413)).body.type).toBe('/problems/too-large');
  await served.close();
  rmSync(webDir, { recursive: true });
});

it('hangs up on a body that does not come', async () => {
  const slow = await testApp(undefined, { bodyMs: 100 });
  const { port } = new URL(slow.url);
  const answer = await new Promise<string>((resolve, reject) => {
    let text = '';
    const socket = connect(Number(port), '127.0.0.1', () =>
      socket.write(
        'POST /api/groups HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-type: application/json\r\ncontent-length: 500\r\n\r\n{"id"',
      ),
    );
    socket.on('data', (piece) => (text += String(piece)));
    socket.on('close', () => resolve(text));
    socket.on('error', reject);
  });
  expect(answer).toContain('408');
  expect(answer).toContain('The rest of that request did not come.');
  await slow.close();
});

it('asks a device that sends without end to wait', async () => {
  const busy = await testApp(undefined, { requestsPerTenSeconds: 3 });
  for (let i = 0; i < 3; i++) await busy.http().get('/api/health').expect(200);
  const { body, headers } = await busy.http().get('/api/health').expect(429);
  expect(body.title).toBe('Too many requests at once.');
  expect(Number(headers['retry-after'])).toBeGreaterThan(0);
  await busy.close();
});

it('says a failure by a number, and neither logs nor tells what was typed, the statement or a path', async () => {
  const logged: string[] = [];
  const spy = jest.spyOn(Logger.prototype, 'error').mockImplementation((text: string) => void logged.push(text));
  await t.orm.em.getConnection().execute('alter table herd_group rename to herd_group_away');
  const { body, text } = await t.http().post('/api/groups').send({ id: uuid(), name: 'Secret flock' }).expect(500);
  await t.orm.em.getConnection().execute('alter table herd_group_away rename to herd_group');
  spy.mockRestore();
  expect(logged).toHaveLength(1);
  expect(logged[0]).toContain(body.instance);
  expect(logged[0]).toMatch(/ at .*GroupsService|groups\.service/);
  for (const said of [text, logged[0]]) {
    expect(said).not.toContain('Secret flock');
    expect(said).not.toMatch(/insert into/i);
  }
  const stale = await t.http().patch('/api/holding').send({ version: 99, name: 'x' }).expect(409);
  expect(stale.text).not.toContain(t.config.dataDir);
  expect((await t.http().get('/api/holding')).text).not.toContain(t.config.dataDir);
  await aGroup(t, 'After it');
});
