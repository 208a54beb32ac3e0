import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { Agent, get, type Server } from 'node:http';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { CopiesView, CopyLossView, EntryAnswer, Problem, RosterView } from '@yaylak/contract';
import Database from 'libsql';
import request from 'supertest';
import { v7 } from 'uuid';
import { readConfig, type ServerConfig } from './config';
import { incomingFile } from './database/bookFolder';
import { run } from './run';
import { arrival, note } from './tests/testApp';

let app: NestExpressApplication;
let config: ServerConfig;
/** Each time it is opened. */
let opened: number;
let whenOpened: (() => void) | undefined;
beforeEach(async () => {
  opened = 0;
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-run-'));
  config = { ...readConfig({ DATA_DIR: dataDir }), port: 0, logLevel: 'silent' };
  await run(config, {
    opened(now) {
      app = now;
      opened++;
      whenOpened?.();
    },
    ended(error) {
      throw error;
    },
  });
});
afterEach(async () => {
  await app.close();
  rmSync(config.dataDir, { recursive: true, force: true });
});

const http = () => request(`http://127.0.0.1:${((app.getHttpServer() as Server).address() as AddressInfo).port}`);
const post = async (...entries: object[]): Promise<EntryAnswer[]> =>
  ((await http().post('/api/entries').send({ entries }).expect(200)).body as { answers: EntryAnswer[] }).answers;
const copies = async (): Promise<CopiesView> => (await http().get('/api/copies').expect(200)).body as CopiesView;
/** @returns its name */
const copied = async (): Promise<string> => {
  const { body } = await http().post('/api/copies').send({ id: v7() }).expect(200);
  return (body as CopiesView).copies[0]?.name ?? '';
};
const loss = async (name: string): Promise<CopyLossView> =>
  (await http().get(`/api/copies/${name}/loss`).expect(200)).body as CopyLossView;
const ask = (name: string, id = v7()) => http().post(`/api/copies/${name}/put-back`).send({ id });
/** Has a copy put back, and waits until the book is open again. */
async function putBack(name: string, id = v7()): Promise<CopiesView> {
  const again = new Promise<void>((resolve) => (whenOpened = resolve));
  await ask(name, id).expect(202);
  await again;
  return copies();
}
const notesOf = (file: string): string[] => {
  const db = new Database(file);
  const rows = db.prepare('select text from note_entry order by text').all() as { text: string }[];
  db.close();
  return rows.map((r) => r.text);
};
const spoil = (name: string, sql: string): void => {
  const db = new Database(join(config.backupDir, name));
  db.exec(sql);
  db.close();
};

describe('a copy that is put back', () => {
  it('is the book, and the book as it was is the newest copy: put back in its turn nothing is lost', async () => {
    const ewe = v7();
    await post(arrival(ewe), note(ewe, 'before'));
    const first = await copied();
    const lamb = v7();
    const late = note(ewe, 'after');
    await post(arrival(lamb), late, note(lamb, 'small'));
    expect(await loss(first)).toMatchObject({
      gone: { entries: 3, animals: 1 },
      back: { entries: 0, animals: 0 },
      newest: [{ text: 'small' }, { text: 'after' }, { type: 'arrival' }],
    });

    const id = v7();
    const view = await putBack(first, id);
    expect(view.putBack).toEqual({ id, failed: null });
    expect(view.copies.map((c) => [c.reason, c.entries])).toEqual([
      ['put-back', 5],
      ['asked', 2],
    ]);
    expect(notesOf(config.dataFile)).toEqual(['before']);
    expect(((await http().get('/api/roster').expect(200)).body as RosterView).animals).toHaveLength(1);
    // A book like any other: what is written goes on in it.
    expect((await post(note(ewe, 'afterwards')))[0]?.status).toBe('kept');

    const newest = view.copies[0]?.name ?? '';
    expect(await loss(newest)).toMatchObject({ gone: { entries: 1, animals: 0 }, back: { entries: 3, animals: 1 } });
    await putBack(newest);
    expect(notesOf(config.dataFile)).toEqual(['after', 'before', 'small']);
    expect(existsSync(incomingFile(config.dataFile))).toBe(false);
  });

  it('is the book though somebody asks again and again over a connection that stays open', async () => {
    await post(arrival(v7()));
    const name = await copied();
    const { port } = (app.getHttpServer() as Server).address() as AddressInfo;
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    let isAsking = true;
    const askOn = (): void => {
      if (isAsking)
        get({ agent, port, path: '/api/roster' }, (r) => r.resume().once('end', askOn)).on('error', () => undefined);
    };
    askOn();
    try {
      expect((await putBack(name)).putBack?.failed).toBeNull();
    } finally {
      isAsking = false;
      agent.destroy();
    }
  });

  it('asked for twice by one id is put back once', async () => {
    await post(arrival(v7()));
    const name = await copied();
    const id = v7();
    await putBack(name, id);
    const ewe = v7();
    await post(arrival(ewe), note(ewe, 'since'));
    await ask(name, id).expect(202);
    await new Promise((resolve) => setImmediate(resolve));
    expect(opened).toBe(2);
    expect(notesOf(config.dataFile)).toEqual(['since']);
  });

  it('loses nothing that was written while it was asked for: it stands in the book or in the newest copy', async () => {
    const ewe = v7();
    await post(arrival(ewe));
    const name = await copied();
    const texts = Array.from({ length: 40 }, (_, i) => `note ${i}`);
    const answers = Promise.all(texts.map((text) => post(note(ewe, text)).catch(() => [])));
    const view = await putBack(name);
    const written = await answers;
    const kept = texts.filter((_, i) => (written[i] ?? []).some((a) => a.status === 'kept'));
    const there = [config.dataFile, join(config.backupDir, view.copies[0]?.name ?? '')].flatMap(notesOf);
    expect(kept.filter((text) => !there.includes(text))).toEqual([]);
    expect(kept.length).toBeGreaterThan(0);
  });
});

describe('is left as it was', () => {
  it.each([
    [
      'is damaged',
      (name: string) => writeFileSync(join(config.backupDir, name), 'a hole in the disk'),
      /not a database/,
    ],
    [
      'was written by a newer Yaylak',
      (name: string) => spoil(name, "insert into migration (name) values ('20991231000000_flying')"),
      /newer Yaylak \(step 20991231000000_flying\)/,
    ],
  ])('where the copy %s', async (_, change, says) => {
    await post(arrival(v7()));
    const name = await copied();
    change(name);
    const { body } = await ask(name).expect(409);
    expect((body as Problem).title).toBe('This copy cannot be put back. The book is as it was.');
    expect((body as Problem).detail).toMatch(says);
    expect([opened, existsSync(incomingFile(config.dataFile))]).toEqual([1, false]);
  });

  it('where there is no such copy', async () => {
    await ask('yaylak-20200101-000000-000.sqlite').expect(404);
    await ask('..%2Fyaylak.sqlite').expect(404);
    await http().get('/api/copies/yaylak-20200101-000000-000.sqlite/loss').expect(404);
  });

  it('where the book as it is cannot be copied first, and is served again', async () => {
    const ewe = v7();
    await post(arrival(ewe));
    const name = await copied();
    await post(note(ewe, 'since'));
    const prepare = Database.prototype.prepare;
    Database.prototype.prepare = function (this: Database.Database, sql: string) {
      if (sql.startsWith('vacuum into')) throw new Error('database or disk is full');
      return prepare.call(this, sql) as never;
    };
    const { putBack: how, copies: all } = await putBack(name);
    Database.prototype.prepare = prepare;
    expect(how?.failed).toBe('database or disk is full');
    expect(all).toHaveLength(1);
    expect(notesOf(config.dataFile)).toEqual(['since']);
    expect((await post(note(ewe, 'and on')))[0]?.status).toBe('kept');
  });

  it('where the copy does not open in its place, and is served again with all that was in it', async () => {
    const ewe = v7();
    await post(arrival(ewe));
    const name = await copied();
    await post(note(ewe, 'since'));
    // Brought on from a form it does not have.
    spoil(name, 'delete from migration where id > 3');
    const { putBack: how } = await putBack(name);
    expect(how?.failed).toMatch(/could not be opened/);
    expect(notesOf(config.dataFile)).toEqual(['since']);
    expect((await post(note(ewe, 'and on')))[0]?.status).toBe('kept');
  });
});
