import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { MikroORM } from '@mikro-orm/libsql';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { Entry, EntryAnswer } from '@yaylak/contract';
import { dayOf, momentOf } from '@yaylak/core';
import { makeDemoBook } from '@yaylak/demo';
import request from 'supertest';
import { v7 } from 'uuid';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { readConfig, type ServerConfig } from '../config';
import { createApp } from '../createApp';
import { openBook } from '../database/openBook';
import { pool } from './pool';

export const TODAY = '2026-11-23';

export interface TestApp {
  readonly app: NestExpressApplication;
  readonly orm: MikroORM;
  readonly config: ServerConfig;
  /** Where it listens. */
  readonly url: string;
  readonly http: () => ReturnType<typeof request>;
  readonly post: (...entries: object[]) => Promise<EntryAnswer[]>;
  /** Stops the server and starts it again on the same book. */
  readonly again: () => Promise<TestApp>;
  /** The test is done with it. */
  readonly close: () => Promise<void>;
  /** Stops it and removes its book. */
  readonly end: () => Promise<void>;
}

/**
 * A server on a fresh book of its own, on which it is always 23 November 2026. Asked for nothing in particular it is one
 * that an earlier test of the file is done with, its book emptied: starting one takes half a second.
 */
export async function testApp(
  dataDir?: string,
  change: Partial<ServerConfig> = {},
  /** The day it always is; none leaves the clock alone. */
  today: string | null = TODAY,
): Promise<TestApp> {
  const isUsual = dataDir === undefined && today === TODAY && Object.keys(change).length === 0;
  const idle = isUsual ? pool.pop() : undefined;
  if (idle) return afresh(idle);
  const started = await start(dataDir ?? mkdtempSync(join(tmpdir(), 'yaylak-test-')), change, today);
  return isUsual ? pooled(started) : started;
}

/** Goes back into the pool when a test is done with it; one that was closed does not. */
function pooled(one: TestApp): TestApp {
  const { app, orm } = one;
  const own: TestApp = {
    ...one,
    again: async () => {
      await app.close();
      return pooled(await start(one.config.dataDir, {}, TODAY));
    },
    close: async () => {
      if (!(await orm.isConnected())) await one.end();
      else pool.push(own);
    },
  };
  return own;
}

/** The server on a book as it is when it is new: nothing in it but its form. */
async function afresh(one: TestApp): Promise<TestApp> {
  const { app, orm } = one;
  const connection = orm.em.getConnection();
  const tables = await connection.execute<{ name: string }[]>(
    "select name from sqlite_master where type = 'table' and name not in ('migration', 'sqlite_sequence')",
  );
  // In one transaction: between two statements the pool may renew its connection, and what was set on it would be gone.
  await connection.transactional(async (all) => {
    await connection.execute('pragma defer_foreign_keys = on', [], 'run', all);
    for (const { name } of tables) await connection.execute(`delete from "${name}"`, [], 'run', all);
  });
  const clock = app.get(Clock);
  for (const own of Object.keys(clock)) Reflect.deleteProperty(clock, own);
  Object.assign(clock, { daysAhead: 0, ...lateOn(TODAY) });
  await app.get(BookService).load();
  return one;
}

/** An hour before midnight: nothing that a test writes of the day is still to come, whenever it runs. */
const lateOn = (today: string): Pick<Clock, 'today' | 'moment'> => ({
  today: () => dayOf(today),
  moment: () => momentOf(`${today}T23:00`),
});

async function start(dataDir: string, change: Partial<ServerConfig>, today: string | null): Promise<TestApp> {
  const config = {
    ...readConfig({ DATA_DIR: dataDir, LOG_LEVEL: 'silent', WEB_DIR: join(dataDir, 'no-web') }),
    // Many tests ask one server: how often is too often is tested where it is set.
    requestsPerTenSeconds: 1_000_000,
    ...change,
  };
  const orm = await openBook(config);
  const app = await createApp(config, orm);
  if (today !== null) Object.assign(app.get(Clock), lateOn(today));
  // Once and for all: asked one that does not listen, supertest has it listen for every single request.
  await app.listen(0, '127.0.0.1');
  const server = app.getHttpServer() as Server;
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const http = () => request(url);
  const end = async (): Promise<void> => {
    await app.close();
    rmSync(dataDir, { recursive: true, force: true });
  };
  return {
    app,
    orm,
    config,
    url,
    http,
    post: async (...entries) => {
      const answer = await http().post('/api/entries').send({ entries }).expect(200);
      return (answer.body as { answers: EntryAnswer[] }).answers;
    },
    again: async () => {
      await app.close();
      return testApp(dataDir);
    },
    close: end,
    end,
  };
}

const stamp = () => ({ id: v7(), writtenAt: '2026-11-23T08:00:00.000Z', writtenBy: 'Aylin', source: 'hand' });

/** A book of some years of the demo in a server that has nothing yet. */
export async function demoInto(t: TestApp, years: number): Promise<void> {
  await t
    .http()
    .post('/api/book')
    .send(makeDemoBook(dayOf(TODAY), { years }))
    .expect(200);
}

/** An animal's arrival in one line. */
export const arrival = (animalId: string, change: object = {}): Entry =>
  ({
    ...stamp(),
    type: 'arrival',
    animalId,
    on: '2026-04-01',
    how: 'born',
    species: 'sheep',
    sex: 'female',
    bornOn: '2026-04-01',
    ...change,
  }) as Entry;
export const weight = (animalId: string, on: string, kg: number): Entry =>
  ({ ...stamp(), type: 'weight', animalId, on, kg, method: 'scale' }) as Entry;
export const tag = (animalId: string, text: string, colour = 'yellow'): Entry =>
  ({ ...stamp(), type: 'identifier', animalId, on: '2026-04-02', kind: 'visual', text, colour }) as Entry;
export const strike = (entryId: string): Entry => ({ ...stamp(), type: 'strike', on: TODAY, entryId }) as Entry;
export const move = (animalId: string, groupId: string, on = '2026-04-02'): Entry =>
  ({ ...stamp(), type: 'move', animalId, on, groupId }) as Entry;
export const mark = (animalId: string, change: object = {}): Entry =>
  ({
    ...stamp(),
    type: 'mark',
    animalId,
    on: TODAY,
    colour: 'blue',
    place: 'rump',
    purpose: 'second string',
    ...change,
  }) as Entry;
export const departure = (animalId: string, on: string, how = 'sold'): Entry =>
  ({ ...stamp(), type: 'departure', animalId, on, how }) as Entry;
export const identifierEnd = (animalId: string, identifierId: string, on = TODAY): Entry =>
  ({ ...stamp(), type: 'identifier-end', animalId, on, identifierId, how: 'lost', reason: 'torn out' }) as Entry;
export const note = (animalId: string, text: string): Entry =>
  ({ ...stamp(), type: 'note', animalId, on: TODAY, text }) as Entry;
export const treatment = (animalId: string, productId: string, change: object = {}): Entry =>
  ({
    ...stamp(),
    type: 'treatment',
    animalId,
    productId,
    on: TODAY,
    amount: 8.5,
    unit: 'ml',
    route: 'mouth',
    batch: 'K1',
    doseKg: 41,
    doseMethod: 'scale',
    meatDays: 0,
    ...change,
  }) as Entry;
export const sample = (animalId: string, tube: string, on = TODAY): Entry =>
  ({ ...stamp(), type: 'sample', animalId, on, tube, purpose: 'blood' }) as Entry;
/** Any entry of an animal, today. */
export const fact = (type: Entry['type'], animalId: string, fields: object): Entry =>
  ({ ...stamp(), type, animalId, on: TODAY, ...fields }) as Entry;
export const uuid = (): string => v7();

/** Grown does with blue tags G-01, G-02 … in a group, and the bucks Juniper and Alder. */
export const goatHerd = (groupId: string, does: readonly string[], bucks: readonly string[]): Entry[] => [
  ...bucks.map((id) => arrival(id, { species: 'goat', sex: 'male', bornOn: '2022-04-01', on: '2022-04-01' })),
  ...does.map((id) => arrival(id, { species: 'goat', bornOn: '2023-04-01', on: '2023-04-01' })),
  ...does.map((id, i) => tag(id, `G-0${i + 1}`, 'blue')),
  ...bucks.map((id, i) => tag(id, ['Juniper', 'Alder'][i] ?? `B-${i}`)),
  ...does.map((id) => move(id, groupId, '2024-04-01')),
];

/** A group in the book. @returns its id */
export async function aGroup(t: TestApp, name: string): Promise<string> {
  const id = v7();
  await t.http().post('/api/groups').send({ id, name }).expect(201);
  return id;
}

/** A drench for sheep by mouth on the holding's list. @returns its id */
export async function aProduct(t: TestApp, change: object = {}): Promise<string> {
  const id = v7();
  const label = {
    id,
    name: 'White drench',
    kind: 'remedy',
    doseUnit: 'ml',
    doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }],
    step: 0.5,
    rounding: 'up',
    routes: ['mouth'],
    withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14 }],
    batches: [{ batch: 'K1', expiresOn: '2027-05-31', amount: 1000 }],
  };
  await t
    .http()
    .post('/api/remedies/products')
    .send({ ...label, ...change })
    .expect(201);
  return id;
}

/** A job at the race, as it is started. */
export const aJob = (change: object = {}) => ({
  id: v7(),
  name: 'Weighing',
  on: TODAY,
  startedAt: `${TODAY}T08:00:00.000Z`,
  startedBy: 'Aylin',
  stations: ['weigh'],
  gates: [],
  animalIds: [],
  ...change,
});

/** A plan of does that go round all year. */
export const aRollingPlan = (change: object = {}) => ({
  id: v7(),
  kind: 'rolling',
  name: 'Does',
  species: 'rabbit',
  females: 4,
  matingOn: '2026-12-01',
  shifts: {},
  done: {},
  school: 'middle',
  litters: 2,
  ...change,
});

/** A job kept under a name. */
export const aTemplate = (name: string) => ({ id: v7(), name, stations: ['weigh'], settings: {}, gates: [] });

/** Answers of a page, typed by the caller. */
/** An outlet by the kilogram alive, 3.00 from the first of the year. */
export const anOutlet = (change: object = {}) => ({
  name: 'Hill market',
  species: 'sheep',
  payBy: 'live-kg',
  prices: [{ from: '2026-01-01', baseMinor: 300, bands: [] }],
  shrinkShare: 0,
  commissionShare: 0,
  tripMinor: 1500,
  headMinor: 100,
  least: 0,
  weekdays: [6],
  wants: { fromKg: 40 },
  leastChance: 0.7,
  ...change,
});
export const get = async <T>(t: TestApp, path: string, status = 200): Promise<T> =>
  (await t.http().get(path).expect(status)).body as T;
