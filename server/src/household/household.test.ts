import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import type { Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { CopiesView, HouseholdView, Problem } from '@yaylak/contract';
import request from 'supertest';
import { v7 } from 'uuid';
import { readConfig, type ServerConfig } from '../config';
import { run } from '../run';
import type { ApiDocument } from '../tests/fuzzer';
import { overTls, type Answered, type Asked } from '../tests/overTls';

let app: NestExpressApplication;
let config: ServerConfig;
let whenOpened: (() => void) | undefined;
beforeAll(async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-house-'));
  config = {
    ...readConfig({ DATA_DIR: dataDir, AT_HOME: '1', HOUSE_HOST: '127.0.0.1', HOUSE_PORT: '0' }),
    port: 0,
    logLevel: 'silent',
  };
  await run(config, {
    opened(now) {
      app = now;
      whenOpened?.();
    },
    ended(error) {
      throw error;
    },
  });
});
afterAll(async () => {
  await app.close();
  rmSync(config.dataDir, { recursive: true, force: true });
});

/** Over the line without encryption, which no other computer reaches. */
const at = (one: NestExpressApplication) =>
  request(`http://127.0.0.1:${((one.getHttpServer() as Server).address() as AddressInfo).port}`);
/** The computer itself. */
const here = () => at(app);
const household = async (): Promise<HouseholdView> =>
  (await here().get('/api/household').expect(200)).body as HouseholdView;
const authority = (): string => readFileSync(join(config.dataDir, 'household', 'authority.pem'), 'utf8');
/** A tablet in the barn. */
async function there(path: string, asked?: Asked): Promise<Answered> {
  const { door } = await household();
  return overTls(door?.openAt[0] ?? '', authority())(path, asked);
}
const newCode = async (): Promise<string> => {
  const { body } = await here().post('/api/household/code').send({ id: v7() }).expect(200);
  return (body as HouseholdView).code?.code ?? '';
};
const joinWith = (code: string, id = v7(), name = 'Barn tablet'): Promise<Answered> =>
  there('/api/household/join', { method: 'POST', body: { id, code, name } });
const shownBy = ({ headers }: Answered): string => headers['set-cookie']?.[0]?.split(';')[0] ?? '';
/** Lets a tablet in. @returns what it shows at the door */
async function letIn(id = v7()): Promise<string> {
  const joined = await joinWith(await newCode(), id);
  expect(joined.status).toBe(200);
  return shownBy(joined);
}
const roster = (cookie: string): Promise<Answered> => there('/api/roster', { headers: { cookie } });
const problemOf = ({ text }: Answered): Problem => JSON.parse(text) as Problem;

it('lets nobody of the house at anything of the book who was not let in', async () => {
  const document = (await here().get('/api/docs-json').expect(200)).body as ApiDocument;
  const free = ['get /api/household', 'post /api/household/join'];
  const open: string[] = [];
  for (const [path, methods] of Object.entries(document.paths))
    for (const method of Object.keys(methods)) {
      const way = `${method} ${path}`;
      const one = path.replaceAll(/\{\w+\}/g, v7());
      for (const as of [one, one.replace('/api', '/API'), one.replace('/api', '/api/')]) {
        const { status } = await there(as, { method: method.toUpperCase(), ...(method === 'get' ? {} : { body: {} }) });
        if (status !== 401) open.push(`${way} as ${as}: ${status}`);
      }
    }
  const besides = open.filter((way) => !free.some((one) => way.startsWith(`${one} as`)));
  expect(besides).toEqual([]);
  // The page of the API tells how the book is made.
  for (const path of ['/api/docs', '/api/docs-json', '/api/docs-yaml']) expect((await there(path)).status).toBe(401);
  expect(problemOf(await roster('')).title).toBe('This device is not let in.');
});

it('lets a device in by the code from the computer’s screen, once, and knows it from then on', async () => {
  const code = await newCode();
  expect((await household()).code).toMatchObject({ code });
  const id = v7();
  const joined = await joinWith(`${code.slice(0, 4)} ${code.slice(4).toLowerCase()}`, id);
  expect(joined.status).toBe(200);
  expect(joined.headers['set-cookie']?.[0]).toMatch(
    /^__Host-yaylak-0=.+; Path=\/;.*HttpOnly; Secure; SameSite=Strict$/,
  );
  const cookie = shownBy(joined);
  expect((await roster(cookie)).status).toBe(200);
  expect((await joinWith(code)).status).toBe(409);
  expect((await household()).devices).toMatchObject([{ id, name: 'Barn tablet' }]);
  expect((await household()).code).toBeNull();
  const kept = join(config.dataDir, 'household', 'devices.json');
  expect(statSync(kept).mode & 0o777).toBe(0o600);
  expect(readFileSync(kept, 'utf8')).not.toContain(cookie.split('.')[1]);
});

it('does not let in who guesses', async () => {
  const code = await newCode();
  for (let i = 0; i < 5; i++) expect((await joinWith('AAAAAAAA')).status).toBe(409);
  const tried = await joinWith(code);
  expect(tried.status).toBe(409);
  expect(problemOf(tried).title).toBe('That code does not work.');
  const [known] = (await household()).devices;
  const posing = await there('/api/household', {
    headers: { cookie: `__Host-yaylak-0=${known?.id}.${'a'.repeat(43)}` },
  });
  expect(JSON.parse(posing.text)).toMatchObject({ isHere: false, devices: [] });
  for (const cookie of ['__Host-yaylak-0=', '__Host-yaylak-0=.', `__Host-yaylak-0=${v7()}.${'a'.repeat(43)}`])
    expect((await roster(cookie)).status).toBe(401);
});

it('asked for twice by one id a code is one code', async () => {
  const ask = async (id: string): Promise<HouseholdView> =>
    (await here().post('/api/household/code').send({ id }).expect(200)).body as HouseholdView;
  const id = v7();
  const { code } = await ask(id);
  expect((await ask(id)).code?.code).toBe(code?.code);
  expect((await ask(v7())).code?.code).not.toBe(code?.code);
});

it('leaves it to the computer with the book who is let in, and shows a device itself only', async () => {
  const id = v7();
  const cookie = await letIn(id);
  await letIn();
  for (const path of ['/api/household/code', '/api/household/turn-away'])
    expect((await there(path, { method: 'POST', body: { id }, headers: { cookie } })).status).toBe(403);
  await newCode();
  const seen = JSON.parse((await there('/api/household', { headers: { cookie } })).text) as HouseholdView;
  expect(seen).toMatchObject({ isHere: false, code: null, devices: [{ id }] });
});

it('keeps a device out that is turned away, whatever it shows', async () => {
  const [id, other] = [v7(), v7()];
  const [lost, stays] = [await letIn(id), await letIn(other)];
  await here().post('/api/household/turn-away').send({ id }).expect(200);
  expect((await roster(lost)).status).toBe(401);
  expect((await roster(stays)).status).toBe(200);
  await here().post('/api/household/turn-away').send({ id }).expect(404);
});

it('answers to its names in the house and to no page from elsewhere', async () => {
  const cookie = await letIn();
  const { door } = await household();
  const own = new URL(door?.openAt[0] ?? '');
  expect((await there('/api/roster', { headers: { cookie, host: 'evil.example' } })).status).toBe(421);
  expect((await there('/api/roster', { headers: { cookie, origin: 'https://evil.example' } })).status).toBe(403);
  expect((await there('/api/roster', { headers: { cookie, origin: own.origin } })).status).toBe(200);
  // The name of the house is none of the line without encryption.
  await here().get('/api/roster').set('host', own.host).expect(421);
});

it('knows its devices when a copy was put back, and opens its doors again', async () => {
  const cookie = await letIn();
  const { body } = await here().post('/api/copies').send({ id: v7() }).expect(200);
  const lateId = v7();
  const late = await letIn(lateId);
  await here().post('/api/household/turn-away').send({ id: lateId }).expect(200);
  const again = new Promise<void>((resolve) => (whenOpened = resolve));
  await here()
    .post(`/api/copies/${(body as CopiesView).copies[0]?.name}/put-back`)
    .send({ id: v7() })
    .expect(202);
  await again;
  expect((await roster(cookie)).status).toBe(200);
  expect((await roster(late)).status).toBe(401);
});

describe('the desk where a device joins', () => {
  const desk = async (path: string, headers: Record<string, string> = {}) => {
    const { door } = await household();
    const { port } = new URL(door?.joinAt[0] ?? '');
    return request(`http://127.0.0.1:${port}`).get(path).set(headers);
  };

  it('hands out the certificate, says what this kind of device does with it, and where the book is', async () => {
    const { door } = await household();
    const page = await desk('/join', { 'user-agent': 'Mozilla/5.0 (iPad; CPU OS 18_0 like Mac OS X)' });
    expect(page.text).toContain('Let the device trust it: iPhone or iPad');
    expect(page.text).toContain(`href="${door?.openAt[0]}/join"`);
    expect(page.headers['content-security-policy']).toContain("default-src 'none'");
    const certificate = await desk('/yaylak-authority.crt');
    expect(certificate.headers['content-type']).toBe('application/x-x509-ca-cert');
    for (const path of ['/join.js', '/join.css']) expect((await desk(path)).status).toBe(200);
    expect((await desk('/join?kind=mac')).text).toContain('Keychain');
  });

  it('says it in the language of who asks', async () => {
    expect((await desk('/', { 'accept-language': 'tr' })).text).toContain('<html lang="tr">');
  });

  it('stays open whatever comes', async () => {
    const { door } = await household();
    const { port } = new URL(door?.joinAt[0] ?? '');
    for (const line of ['GET // HTTP/1.1', 'GET http://[ HTTP/1.1', 'GET /%zz HTTP/1.1', 'nonsense', 'POST / HTTP/1.1'])
      await new Promise<void>((resolve) => {
        const socket = connect(Number(port), '127.0.0.1', () => socket.end(`${line}\r\nhost: x\r\n\r\n`));
        socket.resume().once('close', () => resolve());
      });
    expect((await desk('/join')).status).toBe(200);
    expect((await here().get('/api/health')).status).toBe(200);
  });

  it('knows nothing of the book', async () => {
    for (const path of ['/api/roster', '/api/household', '/..%2fdata', '/index.html'])
      expect((await desk(path)).status).toBe(404);
  });
});

it('is closed where Yaylak is not started for the house', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-house-'));
  const alone = await new Promise<NestExpressApplication>((opened, ended) => {
    run({ ...readConfig({ DATA_DIR: dataDir }), port: 0, logLevel: 'silent' }, { opened, ended }).catch(ended);
  });
  const asked = at(alone);
  const { body } = await asked.get('/api/household').expect(200);
  expect(body).toEqual({ isHere: true, door: null, devices: [], code: null });
  await asked.post('/api/household/code').send({ id: v7() }).expect(409);
  await alone.close();
  rmSync(dataDir, { recursive: true, force: true });
});
