import { MikroORM } from '@mikro-orm/libsql';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { readConfig } from '../config';
import { migratorOf } from '../database/migratorOf';
import { closeBook, openBook } from '../database/openBook';
import { ormOptions } from '../database/ormConfig';
import { BookService } from './book.service';
import { BookFileService } from '../exchange/bookFile.service';
import { failNextCommit, readFile, type FaultAt } from '../tests/faults';
import {
  aGroup,
  aJob,
  aProduct,
  aRollingPlan,
  arrival,
  aTemplate,
  note,
  testApp,
  TODAY,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const NOW = '2026-11-23T08:00:00.000Z';
const send = (method: 'post' | 'put' | 'patch' | 'delete', path: string, body?: object) => {
  const request = t.http()[method](`/api/${path}`);
  return body ? request.send(body) : request;
};

/** Every way something is written: what stands before it, and the request itself. */
const WRITES: Record<string, () => Promise<() => PromiseLike<{ status: number }>>> = {
  'a batch of entries': async () => () => send('post', 'entries', { entries: [arrival(uuid())] }),
  'a strike': async () => {
    const ewe = uuid();
    const w = weight(ewe, '2026-06-01', 20);
    await t.post(arrival(ewe), w);
    return () =>
      send('post', 'entries', {
        entries: [
          { id: uuid(), type: 'strike', on: TODAY, writtenAt: NOW, writtenBy: 'A', source: 'hand', entryId: w.id },
        ],
      });
  },
  'a new group': async () => () => send('post', 'groups', { id: uuid(), name: 'New' }),
  'a change of a group': async () => {
    const id = await aGroup(t, 'Ewes');
    return () => send('patch', `groups/${id}`, { version: 1, name: 'Old ewes' });
  },
  'the end of a group': async () => {
    const id = await aGroup(t, 'Ewes');
    return () => send('delete', `groups/${id}`);
  },
  'a new job': async () => () => send('post', 'jobs', aJob()),
  'the end of a job': async () => {
    const started = aJob();
    await send('post', 'jobs', started);
    return () => send('post', `jobs/${started.id}/finish`, { finishedAt: NOW });
  },
  'a template': async () => () => send('post', 'templates', aTemplate('Mine')),
  'a product': async () => () =>
    send('post', 'remedies/products', {
      id: uuid(),
      name: 'Drench',
      kind: 'remedy',
      doseUnit: 'ml',
      doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }],
      step: 0.5,
      rounding: 'up',
      routes: ['mouth'],
      withdrawals: [],
      batches: [],
    }),
  'the end of a product': async () => {
    const id = await aProduct(t);
    return () => send('delete', `remedies/products/${id}`);
  },
  'a plan': async () => () => send('post', 'season/plans', aRollingPlan()),
  'a change of a plan': async () => {
    const { id, ...facts } = aRollingPlan();
    await send('post', 'season/plans', { id, ...facts });
    return () => send('put', `season/plans/${id}`, { ...facts, version: 1, name: 'Other' });
  },
  'the end of a plan': async () => {
    const made = aRollingPlan();
    await send('post', 'season/plans', made);
    return () => send('delete', `season/plans/${made.id}`);
  },
  'a drill': async () => () =>
    send('post', 'condition/drills', { id: uuid(), on: TODAY, by: 'A', answers: [{ caseId: 'ewe-1', score: 3 }] }),
  settings: async () => () => send('patch', 'holding', { version: 1, name: 'Upper farm' }),
  'the address of the calendar': async () => () => t.http().get('/api/season'),
  'a change of an animal': async () => {
    const ewe = uuid();
    await t.post(arrival(ewe));
    return () => send('patch', `animals/${ewe}`, { version: 1, birthType: 2 });
  },
  'a whole book': async () => {
    const other = await testApp();
    await other.post(arrival(uuid()), arrival(uuid()));
    const book = JSON.parse(await bookOf(other)) as object;
    await other.close();
    return () => send('post', 'book', book);
  },
};
const FAULTS: readonly FaultAt[] = ['before', 'in', 'after'];

const bookOf = async ({ app }: TestApp): Promise<string> => JSON.stringify(await app.get(BookFileService).export());

/** What a running server has in memory, in an order of its own. */
const heldBy = ({ app }: TestApp): string => {
  const { animals, groups, products, plans, jobs } = app.get(BookService).state;
  const told = [animals, groups, products, plans, jobs].flatMap((m) => [...m].map((one) => JSON.stringify(one)));
  return told.sort().join('\n');
};

it.each(Object.entries(WRITES))(
  'loses nothing acknowledged when %s fails before, in or after its commit',
  async (_, prepare) => {
    const kept: string[] = [];
    // What fails after its commit is there, and may not be asked for once more: it comes last.
    const attempt = await prepare();
    for (const at of FAULTS) {
      const fault = failNextCommit(t.orm, at);
      const { status } = await attempt();
      expect(fault.off()).toBe(true);
      expect(status).toBeGreaterThanOrEqual(500);
      const next = aTemplate(`Kept after ${at}`);
      await send('post', 'templates', next).expect(200);
      kept.push(next.id);
    }
    const [group, ram] = [await aGroup(t, 'After the faults'), arrival(uuid(), { sex: 'male' })];
    expect((await t.post(ram)).map((a) => a.status)).toEqual(['kept']);
    const file = readFile(t.orm, t.config.dataFile);
    expect(file.check).toBe('ok');
    for (const id of [...kept, group, ram.id]) expect(file.ids).toContain(id);

    // What the running server holds is what is read in the file anew.
    const held = heldBy(t);
    await t.app.get(BookService).load();
    expect(heldBy(t)).toBe(held);
  },
);

it.each(FAULTS)('tells the same started anew after a batch that failed %s its commit', async (at) => {
  const fault = failNextCommit(t.orm, at);
  await send('post', 'entries', { entries: [arrival(uuid())] });
  fault.off();
  await t.post(arrival(uuid()));
  const [held, told] = [heldBy(t), await bookOf(t)];
  t = await t.again();
  expect([heldBy(t), await bookOf(t)]).toEqual([held, told]);
});

it.each(['before', 'in', 'after'] as const)(
  'keeps an entry once when it is sent again after failing %s',
  async (at) => {
    const ewe = uuid();
    const first = arrival(ewe);
    const fault = failNextCommit(t.orm, at);
    await send('post', 'entries', { entries: [first] });
    fault.off();
    const [again] = await t.post(first);
    expect(again?.status).toBe(at === 'after' ? 'already-kept' : 'kept');
    expect((await t.post(note(ewe, 'calm')))[0]?.status).toBe('kept');
  },
);

it('reads the book anew before the next write when it could not right after a failed commit', async () => {
  const ewe = uuid();
  const first = arrival(ewe);
  const fault = failNextCommit(t.orm, 'after');
  // The disk answers nothing more until somebody has seen to it.
  const load = jest.spyOn(t.app.get(BookService), 'load').mockRejectedValueOnce(new Error('disk I/O error'));
  await send('post', 'entries', { entries: [first] }).expect(503);
  fault.off();
  expect((await t.post(first))[0]?.status).toBe('already-kept');
  expect((await t.http().get('/api/animals')).body.total).toBe(1);
  expect(load).toHaveBeenCalledTimes(2);
});

it.each(['before', 'in', 'after'] as const)(
  'opens a book whose migration failed %s its commit, whole before it or whole after',
  async (at) => {
    const dataDir = join(t.config.dataDir, `older-${at}`);
    const config = readConfig({ DATA_DIR: dataDir });
    mkdirSync(dataDir);
    const older = await MikroORM.init(ormOptions(config.dataFile));
    await (await migratorOf(older)).up({ to: '20261126000000_carrying' });
    await older.close();
    const fault = failNextCommit(t.orm, at);
    await expect(openBook(config)).rejects.toThrow('could not be opened');
    expect(fault.off()).toBe(true);
    const orm = await openBook(config);
    expect(await (await migratorOf(orm)).getPendingMigrations()).toEqual([]);
    expect((await orm.schema.getUpdateSchemaSQL()).trim()).toBe('');
    await closeBook(orm);
  },
);
