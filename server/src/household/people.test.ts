import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import {
  MAY,
  ROLES,
  type AnimalView,
  type EntriesAnswered,
  type HoldingView,
  type JobEntries,
  type KeyMade,
  type PeopleView,
  type Problem,
  type Role,
} from '@yaylak/contract';
import request from 'supertest';
import { v7 } from 'uuid';
import { Clock } from '../common/clock';
import { readConfig, type ServerConfig } from '../config';
import { run } from '../run';
import type { ApiDocument } from '../tests/fuzzer';
import { ANYBODY, DEED_OF } from './deeds';
import { resetPassword } from './resetPassword';

let app: NestExpressApplication;
let config: ServerConfig;
const open = (of: ServerConfig): Promise<NestExpressApplication> =>
  new Promise((opened, ended) => void run(of, { opened, ended }).catch(ended));
beforeEach(async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-people-'));
  config = {
    ...readConfig({ DATA_DIR: dataDir, AT_HOME: '1', HOUSE_HOST: '127.0.0.1', HOUSE_PORT: '0' }),
    port: 0,
    logLevel: 'silent',
    requestsPerTenSeconds: 100_000,
  };
  app = await open(config);
});
afterEach(async () => {
  await app.close();
  rmSync(config.dataDir, { recursive: true, force: true });
});

/** Of one browser on the computer: it keeps what it is given. */
const browser = (of = app) =>
  request.agent(`http://127.0.0.1:${((of.getHttpServer() as Server).address() as AddressInfo).port}`);
type Browser = ReturnType<typeof browser>;
const PASSWORD = 'brown ewes';
const asked = ({ body }: { readonly body: unknown }): PeopleView => body as PeopleView;
const add = (by: Browser, name: string, role: Role, id = v7()) =>
  by.post('/api/household/people').send({ id, name, role, password: PASSWORD });
async function loggedIn(name: string): Promise<Browser> {
  const one = browser();
  await one.post('/api/household/log-in').send({ name, password: PASSWORD }).expect(200);
  return one;
}
/** One of each role, each with a browser. */
async function household(): Promise<Readonly<Record<Role, Browser>>> {
  const owner = browser();
  await add(owner, 'Aylin', 'owner').expect(200);
  await add(owner, 'Kerem', 'keeper').expect(200);
  await add(owner, 'Hatice', 'helper').expect(200);
  await add(owner, 'Vedat', 'viewer').expect(200);
  return {
    owner,
    keeper: await loggedIn('Kerem'),
    helper: await loggedIn('Hatice'),
    viewer: await loggedIn('Vedat'),
  };
}
const stamp = (writtenBy: string) => ({
  id: v7(),
  on: '2026-11-20',
  writtenAt: '2026-11-20T10:00:00.000Z',
  writtenBy,
  source: 'hand',
});
const arrival = (animalId: string, writtenBy: string) => ({
  ...stamp(writtenBy),
  type: 'arrival',
  animalId,
  how: 'born',
  bornOn: '2026-11-20',
  species: 'sheep',
  sex: 'female',
});
const note = (animalId: string, writtenBy: string) => ({ ...stamp(writtenBy), type: 'note', animalId, text: 'lame' });
const answersOf = async (by: Browser, ...entries: object[]): Promise<EntriesAnswered['answers']> =>
  ((await by.post('/api/entries').send({ entries }).expect(200)).body as EntriesAnswered).answers;

it('asks nobody to log in until the first person is added, who is an owner and logged in at once', async () => {
  const first = browser();
  expect(asked(await first.get('/api/household/people').expect(200))).toEqual({ isAsked: false, me: null, people: [] });
  await first.get('/api/roster').expect(200);
  expect(asked(await add(first, 'Aylin', 'viewer').expect(200)).me).toMatchObject({ name: 'Aylin', role: 'owner' });
  await first.get('/api/roster').expect(200);
  const { body } = await browser().get('/api/roster').expect(401);
  expect(body as Problem).toMatchObject({ type: '/problems/not-logged-in' });
  // Whoever is not logged in adds nobody.
  await add(browser(), 'Mallory', 'owner').expect(401);
});

it('keeps people apart from the book, readable by its owner only, and no password at all', async () => {
  const owner = browser();
  await add(owner, 'Aylin', 'owner').expect(200);
  const file = join(config.dataDir, 'household', 'people.json');
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(readFileSync(file, 'utf8')).toMatch(/\$argon2id\$/);
  expect(readFileSync(file, 'utf8')).not.toContain(PASSWORD);
  expect(JSON.stringify((await owner.get('/api/book')).body)).not.toContain('argon2');
});

it('gives a cookie that no script reads and no other site sends, and another at each log-in', async () => {
  await add(browser(), 'Aylin', 'owner').expect(200);
  const seen = await Promise.all(
    [0, 1].map(() => browser().post('/api/household/log-in').send({ name: ' aylin', password: PASSWORD }).expect(200)),
  );
  const [one, other] = seen.map((s) => s.headers['set-cookie']?.[0] ?? '');
  expect(one).toMatch(/^yaylak-hand-0=.+; Max-Age=\d+; Path=\/; Expires=.+; HttpOnly; SameSite=Strict$/);
  expect(one?.split(';')[0]).not.toBe(other?.split(';')[0]);
});

it('slows down who guesses a password, whoever it is for, and tells nothing of who there is', async () => {
  await add(browser(), 'Aylin', 'owner').expect(200);
  for (const name of ['Aylin', 'Nobody']) {
    const one = browser();
    const wrong = () => one.post('/api/household/log-in').send({ name, password: 'black ewes' });
    const said = [];
    for (let i = 0; i < 4; i++) said.push((await wrong()).body as Problem);
    expect(said.map((p) => p.status)).toEqual([409, 409, 409, 429]);
    expect(said[0]?.title).toBe('That is not the name and the password of anybody here.');
    // The right one has to wait as well.
    await one.post('/api/household/log-in').send({ name, password: PASSWORD }).expect(429);
  }
});

it('says nothing of a password that is too short but how long it is to be', async () => {
  const { body } = await browser()
    .post('/api/household/people')
    .send({ id: v7(), name: 'Aylin', role: 'owner', password: 'secret!' })
    .expect(400);
  expect(JSON.stringify(body)).not.toContain('secret!');
  const { body: ofPin } = await browser().post('/api/household/switch').send({ id: v7(), pin: '12a4' }).expect(400);
  expect((ofPin as Problem).detail).toBe('Pin: this is no PIN. Give four to eight digits.');
});

describe('each role', () => {
  it('may ask what the table says, route by route; no route is left out', async () => {
    const by = await household();
    const document = (await by.owner.get('/api/docs-json').expect(200)).body as ApiDocument;
    const routes = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((m) => `${m.toUpperCase()} ${path.replaceAll(/\{(\w+)\}/g, ':$1')}`),
    );
    expect(Object.keys(DEED_OF).toSorted()).toEqual(routes.toSorted());
    const wrong: string[] = [];
    for (const route of routes) {
      // It would end what the others go by.
      if (route === 'DELETE /api/household/log-in') continue;
      const [method = '', path = ''] = route.split(' ');
      const address = path.replaceAll(/:\w+/g, v7());
      const ask = async (one: Browser): Promise<number> => {
        const sent = one[method.toLowerCase() as 'get'](address);
        // A field nobody knows: what is let through is refused for that, and changes nothing.
        return (await (method === 'GET' || method === 'DELETE' ? sent : sent.send({ nothing: true }))).status;
      };
      const deed = DEED_OF[route];
      for (const role of ROLES) {
        const isLetIn = (await ask(by[role])) !== 403;
        if (isLetIn !== (deed === ANYBODY || (MAY[deed as keyof typeof MAY] as readonly Role[]).includes(role)))
          wrong.push(`${role} ${route}`);
      }
      const isFree = (await ask(browser())) !== 401;
      if (isFree !== (deed === ANYBODY)) wrong.push(`nobody ${route}`);
    }
    expect(wrong).toEqual([]);
  });

  it('writes what it may: a helper neither sells, decides nor strikes out what others wrote, a viewer nothing', async () => {
    const by = await household();
    const ewe = v7();
    const [ownNote, theirNote] = [note(ewe, 'Hatice'), note(ewe, 'Aylin')];
    expect(await answersOf(by.owner, arrival(ewe, 'Aylin'), theirNote)).toMatchObject([
      { status: 'kept' },
      { status: 'kept' },
    ]);
    const sold = { ...stamp('Hatice'), type: 'departure', animalId: ewe, how: 'sold', buyer: 'Hill market' };
    const choice = { ...stamp('Hatice'), type: 'choice', animalId: ewe, decision: 'cull', among: 'ewes' };
    const strike = (entryId: string) => ({ ...stamp('Hatice'), type: 'strike', entryId, reason: 'misread' });
    const answers = await answersOf(by.helper, ownNote, sold, choice, strike(theirNote.id), strike(ownNote.id));
    expect(answers.map((a) => a.status)).toEqual(['kept', 'refused', 'refused', 'refused', 'kept']);
    expect(answers[1]).toMatchObject({
      message: expect.stringMatching(/^Selling is for owners and keepers/) as string,
    });
    expect(answers[3]).toMatchObject({ message: expect.stringMatching(/^Aylin wrote this/) as string });
    await by.viewer
      .post('/api/entries')
      .send({ entries: [note(ewe, 'Vedat')] })
      .expect(403);
    expect(await answersOf(by.keeper, strike(theirNote.id))).toMatchObject([{ status: 'kept' }]);
    expect(await answersOf(by.keeper, sold)).toMatchObject([{ status: 'kept' }]);
  });

  it('cannot put a job away in which others wrote', async () => {
    const by = await household();
    const [ewe, jobId] = [v7(), v7()];
    await answersOf(by.owner, arrival(ewe, 'Aylin'));
    const job = {
      id: jobId,
      name: 'Weighing',
      on: '2026-11-20',
      startedAt: '2026-11-20T10:00:00.000Z',
      startedBy: 'Somebody',
      stations: ['weigh'],
      gates: [],
      animalIds: [ewe],
    };
    await by.helper.post('/api/jobs').send(job).expect(200);
    await answersOf(by.owner, { ...note(ewe, 'Aylin'), jobId });
    const discard = { discardedAt: '2026-11-20T11:00:00.000Z', discardedBy: 'Aylin' };
    await by.helper.post(`/api/jobs/${jobId}/discard`).send(discard).expect(409);
    const { body } = await by.helper.get(`/api/jobs/${jobId}`).expect(200);
    expect((body as JobEntries).job).toMatchObject({ startedBy: 'Hatice' });
    expect((body as JobEntries).entries).toHaveLength(1);
  });
});

it('puts the name of who is logged in under what is written, or of who wrote it on the same device before', async () => {
  const by = await household();
  const ewe = v7();
  await answersOf(by.owner, arrival(ewe, 'Somebody else'));
  const names = async () =>
    ((await by.owner.get(`/api/animals/${ewe}`)).body as AnimalView).timeline.map((i) => i.entry.writtenBy);
  expect(await names()).toEqual(['Aylin']);
  expect(((await by.helper.get('/api/holding')).body as HoldingView).writer).toEqual({
    name: 'Hatice',
    role: 'helper',
  });
  // All of them have logged in on this computer.
  await answersOf(by.keeper, note(ewe, 'Hatice'));
  expect((await names()).toSorted()).toEqual(['Aylin', 'Hatice']);
  const [ofOwner] = await answersOf(by.helper, note(ewe, 'Aylin'));
  expect(ofOwner).toMatchObject({
    status: 'refused',
    message: 'Aylin wrote this on this device. It goes to the book when Aylin logs in here and sends it again.',
  });
});

it('changes hands by a PIN where both have logged in, and asks for the password after five wrong ones', async () => {
  const by = await household();
  const own = (body: object) => by.helper.put('/api/household/own').send(body);
  await own({ password: 'wrong one!', pin: '2468' }).expect(409);
  const { me } = asked(await own({ password: PASSWORD, pin: '2468' }).expect(200));
  expect(me).toMatchObject({ name: 'Hatice', hasPin: true, isByPin: true });
  const change = (pin: string) => by.owner.post('/api/household/switch').send({ id: me?.id, pin });
  expect(asked(await change('2468').expect(200)).me?.name).toBe('Hatice');
  const now = jest.spyOn(Date, 'now');
  const start = Date.now();
  for (let i = 0; i < 5; i++) {
    now.mockReturnValue(start + i * 3_600_000);
    await change('1111').expect(409);
  }
  now.mockReturnValue(start + 24 * 3_600_000);
  const { body } = await change('2468').expect(409);
  expect((body as Problem).title).toBe('The PIN is not taken here.');
  now.mockRestore();
});

it('ends a log-in that was not used for long, and one whose person is gone or has a new password', async () => {
  const by = await household();
  const people = asked(await by.owner.get('/api/household/people')).people;
  const idOf = (name: string) => people.find((p) => p.name === name)?.id ?? '';
  await by.owner.delete(`/api/household/people/${idOf('Vedat')}`).expect(200);
  await by.viewer.get('/api/roster').expect(401);
  await by.owner
    .put(`/api/household/people/${idOf('Hatice')}`)
    .send({ password: 'white rabbits' })
    .expect(200);
  await by.helper.get('/api/roster').expect(401);
  app.get(Clock).daysAhead = 31;
  await by.keeper.get('/api/roster').expect(401);
  app.get(Clock).daysAhead = 0;
  await by.keeper.delete('/api/household/log-in').expect(200);
  await by.keeper.get('/api/roster').expect(401);
});

it('keeps an owner, whatever is asked, and one of a name', async () => {
  const by = await household();
  const { me } = asked(await by.owner.get('/api/household/people'));
  await by.owner.delete(`/api/household/people/${me?.id}`).expect(409);
  await by.owner.put(`/api/household/people/${me?.id}`).send({ role: 'viewer' }).expect(409);
  await add(by.owner, 'AYLIN', 'keeper').expect(409);
  const id = v7();
  await add(by.owner, 'Ayse', 'keeper', id).expect(200);
  expect(asked(await add(by.owner, 'Ayse', 'keeper', id).expect(200)).people).toHaveLength(5);
});

it('lets a script in by a key, as who made it, but to nothing of people and keys', async () => {
  const by = await household();
  const made = (await by.helper.post('/api/household/keys').send({ id: v7(), name: 'scales' }).expect(200))
    .body as KeyMade;
  const [key] = made.people.me?.keys ?? [];
  const script = (method: 'get' | 'post' | 'put', path: string) =>
    browser()[method](path).set('authorization', `Bearer ${made.key}`);
  const ewe = v7();
  const { body } = await script('post', '/api/entries')
    .send({ entries: [arrival(ewe, 'Aylin')] })
    .expect(200);
  expect((body as EntriesAnswered).answers).toMatchObject([{ status: 'kept' }]);
  const { body: page } = await script('get', `/api/animals/${ewe}`).expect(200);
  expect(page).toMatchObject({ timeline: [{ entry: { writtenBy: 'Hatice' } }] });
  await script('put', '/api/household/own').send({ password: PASSWORD, pin: '1234' }).expect(403);
  await script('post', '/api/household/keys').send({ id: v7(), name: 'more' }).expect(403);
  await by.helper.delete(`/api/household/keys/${key?.id}`).expect(200);
  await script('get', '/api/roster').expect(401);
});

it('sets a password anew on the computer, which ends the log-ins and the PIN, while Yaylak runs', async () => {
  const by = await household();
  const folder = join(config.dataDir, 'household');
  await expect(resetPassword(folder, 'Nobody')).rejects.toThrow(
    'There is nobody called “Nobody”. Name one of: Aylin, Kerem, Hatice, Vedat',
  );
  const { name, password } = await resetPassword(folder, 'aylin');
  expect(name).toBe('Aylin');
  expect(password).toMatch(/^[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}$/);
  await by.owner.get('/api/roster').expect(401);
  await by.keeper.get('/api/roster').expect(200);
  const again = await browser().post('/api/household/log-in').send({ name, password }).expect(200);
  expect(asked(again).me).toMatchObject({ name: 'Aylin', role: 'owner' });
});

it('goes by the file when another program on the computer wrote it', async () => {
  const by = await household();
  const file = join(config.dataDir, 'household', 'people.json');
  const people = JSON.parse(readFileSync(file, 'utf8')) as { name: string; sessions: unknown[] }[];
  writeFileSync(file, JSON.stringify(people.map((p) => (p.name === 'Kerem' ? { ...p, sessions: [] } : p))));
  await by.keeper.get('/api/roster').expect(401);
  await by.owner.get('/api/roster').expect(200);
});

it('asks nobody where Yaylak is not started for the house, and remembers people until it is again', async () => {
  await household();
  await app.close();
  const { house: _house, ...alone } = config;
  app = await open(alone);
  expect(asked(await browser().get('/api/household/people').expect(200)).isAsked).toBe(false);
  await browser().get('/api/roster').expect(200);
  await add(browser(), 'Mallory', 'owner').expect(409);
  await app.close();
  app = await open(config);
  await browser().get('/api/roster').expect(401);
});
