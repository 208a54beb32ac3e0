import {
  closeSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from '../config';
import { driverOf } from '../tests/faults';
import { arrival, note, testApp, uuid, type TestApp } from '../tests/testApp';
import { backupFiles, brokenIn, incomingFile } from './bookFolder';
import { copyBook } from './bookCopy';
import { closeBook, openBook } from './openBook';

let t: TestApp;
beforeEach(async () => {
  // Stopped, copied and spoilt: each test has a folder of its own.
  t = await testApp(mkdtempSync(join(tmpdir(), 'yaylak-test-')));
});
afterEach(() => t.close());

const opened = (dataDir: string) => openBook(readConfig({ DATA_DIR: dataDir }));

it('two servers do not work on one folder: the second says so and leaves the first alone', async () => {
  await expect(opened(t.config.dataDir)).rejects.toThrow(`Another Yaylak is working in ${t.config.dataDir}`);
  const ewe = uuid();
  expect((await t.post(arrival(ewe)))[0]?.status).toBe('kept');
  t = await t.again();
  expect((await t.http().get('/api/animals')).body.total).toBe(1);
});

it('does not begin a new book in a folder that is not there', async () => {
  const dataDir = join(t.config.dataDir, 'mistyped');
  await expect(opened(dataDir)).rejects.toThrow(`There is no folder ${dataDir}. Correct DATA_DIR`);
  expect(existsSync(dataDir)).toBe(false);
});

it.each(['empty', 'not there'])('names the copies there are when the book is %s', async (how) => {
  const dataDir = join(t.config.dataDir, 'other');
  const config = readConfig({ DATA_DIR: dataDir });
  mkdirSync(config.backupDir, { recursive: true });
  const copy = copyBook(t.config.dataFile, config.backupDir, { reason: 'asked' }, new Date('2026-11-20T06:00:00Z'));
  if (how === 'empty') writeFileSync(config.dataFile, '');
  await expect(openBook(config)).rejects.toThrow(
    new RegExp(`is ${how}, but there are 1 copies.+yaylak-20261120-060000-000.sqlite.+To put it back`),
  );
  copyFileSync(copy, config.dataFile);
  await closeBook(await openBook(config));
});

it('does not open a book that a newer Yaylak has written', async () => {
  await t.orm.em.getConnection().execute("insert into migration (name) values ('20991231000000_flying')");
  await t.app.close();
  await expect(openBook(t.config)).rejects.toThrow(
    /was written by a newer Yaylak \(step 20991231000000_flying\) and was not opened\. Start that version/,
  );
  expect(backupFiles(t.config.backupDir)).toEqual([]);
});

/** Writes over the middle of a file. */
function damage(file: string): void {
  const handle = openSync(file, 'r+');
  const junk = Buffer.alloc(4096 * 6, 'a hole in the disk ');
  writeSync(handle, junk, 0, junk.length, 4096 * 4);
  closeSync(handle);
}

it('finds a book that is damaged in the middle at the start, and names the newest copy that is whole', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), ...Array.from({ length: 200 }, (_, i) => note(ewe, `a long note ${i} `.repeat(20))));
  const { backupDir, dataFile } = t.config;
  copyBook(dataFile, backupDir, { reason: 'asked' }, new Date('2026-11-20T06:00:00Z'));
  const newest = copyBook(dataFile, backupDir, { reason: 'asked' }, new Date('2026-11-21T06:00:00Z'));
  await t.app.close();
  damage(newest);
  damage(dataFile);
  expect(brokenIn(dataFile)).toBeDefined();
  await expect(openBook(t.config)).rejects.toThrow(
    /is damaged and was not opened.+The newest good copy is yaylak-20261120-060000-000\.sqlite\. To put it back/,
  );
});

it('a copy has its name only when it is whole: half of one is cleared away at the next start', async () => {
  const half = join(t.config.backupDir, 'yaylak-20261120-060000-000.sqlite.part');
  writeFileSync(half, 'half');
  const prototype = driverOf(t.orm).prototype;
  const prepare = prototype.prepare;
  prototype.prepare = function (this: typeof prototype, sql: string) {
    if (!sql.startsWith('vacuum into')) return prepare.call(this, sql);
    throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
  };
  expect(() => copyBook(t.config.dataFile, t.config.backupDir, { reason: 'asked' })).toThrow('disk is full');
  prototype.prepare = prepare;
  expect(backupFiles(t.config.backupDir)).toEqual([]);
  t = await t.again();
  expect(readdirSync(t.config.backupDir)).toEqual([]);
});

it('clears away at the next start a copy that was to be put back when the computer stopped, and opens the book', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe));
  await t.app.close();
  copyFileSync(t.config.dataFile, incomingFile(t.config.dataFile));
  t = await t.again();
  expect(existsSync(incomingFile(t.config.dataFile))).toBe(false);
  expect((await t.http().get('/api/animals')).body.total).toBe(1);
});

it('has everything in its one file once it is stopped', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), note(ewe, 'the last word'));
  await t.app.close();
  const config = readConfig({ DATA_DIR: join(t.config.dataDir, 'copied') });
  mkdirSync(config.dataDir);
  copyFileSync(t.config.dataFile, config.dataFile);
  const orm = await openBook(config);
  expect(await orm.em.getConnection().execute('select text from note_entry')).toEqual([{ text: 'the last word' }]);
  await closeBook(orm);
});

it('brings the log into the file in a quiet moment too', async () => {
  const size = (path: string) => statSync(path).size;
  const ewe = uuid();
  await t.post(arrival(ewe));
  expect(size(`${t.config.dataFile}-wal`)).toBeGreaterThan(0);
  // Two seconds of quiet, and as long as a busy machine takes.
  for (let i = 0; i < 60 && size(`${t.config.dataFile}-wal`) > 0; i++)
    await new Promise((resolve) => setTimeout(resolve, 250));
  expect(size(`${t.config.dataFile}-wal`)).toBe(0);
});
