import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CopiesView, LockedView, Problem, TodayView } from '@yaylak/contract';
import Database from 'libsql';
import { v7 } from 'uuid';
import { Clock } from '../common/clock';
import { brokenIn } from '../database/bookFolder';
import { arrival, note, testApp, weight, type TestApp } from '../tests/testApp';
import { CopiesService } from './copies.service';
import { lockedFolder, unlock } from './unlock';

let t: TestApp;
let now: Date;
let stick: string;
beforeEach(async () => {
  // Of its own: what is copied stays in its folder.
  t = await testApp(mkdtempSync(join(tmpdir(), 'yaylak-copies-')));
  now = new Date('2026-11-23T09:00:00');
  t.app.get(Clock).now = () => now;
  stick = join(t.config.dataDir, '..', `stick-${v7()}`);
  mkdirSync(stick);
});
afterEach(async () => {
  rmSync(stick, { recursive: true, force: true });
  await t.end();
});

const copies = async (): Promise<CopiesView> => (await t.http().get('/api/copies').expect(200)).body as CopiesView;
const make = async (id = v7()): Promise<CopiesView> =>
  (await t.http().post('/api/copies').send({ id }).expect(200)).body as CopiesView;
const name = (path: string) => t.http().put('/api/copies/second').send({ path });
const daily = (): Promise<void> => t.app.get(CopiesService).daily();
const troubleOnToday = async () => ((await t.http().get('/api/today').expect(200)).body as TodayView).copies;
/** Where in the second place the book's own copies lie. */
const onStick = (...names: string[]): string =>
  join(stick, readdirSync(stick).find((n) => n.startsWith('yaylak-')) ?? '', ...names);
const later = (days: number): void => void now.setDate(now.getDate() + days);
const newestOf = ({ copies: [newest], folder }: CopiesView): string => join(folder, newest?.name ?? '');

/** All rows of all tables. */
function rowsOf(file: string): Record<string, unknown> {
  const db = new Database(file);
  const tables = db.prepare("select name from sqlite_master where type = 'table' order by name").all() as {
    name: string;
  }[];
  const rows = Object.fromEntries(
    tables.map(({ name: n }) => [n, db.prepare(`select * from "${n}" order by 1`).all()]),
  );
  db.close();
  return rows;
}

describe('a copy', () => {
  it('holds what the book holds, row for row, and says how much that is', async () => {
    const ewe = v7();
    await t.post(arrival(ewe), weight(ewe, '2026-11-20', 61.5), note(ewe, 'lame'));
    const made = await make();
    expect(made.copies).toMatchObject([{ reason: 'asked', animals: 1, entries: 3, at: '2026-11-23T09:00' }]);
    expect(made.failed).toBeNull();
    expect(rowsOf(newestOf(made))).toEqual(rowsOf(t.config.dataFile));
    expect(brokenIn(newestOf(made), 'integrity_check')).toBeUndefined();
  });

  it('asked for twice by one id is one', async () => {
    const id = v7();
    await make(id);
    now.setMinutes(1);
    expect((await make(id)).copies).toHaveLength(1);
    expect((await make()).copies).toHaveLength(2);
  });

  it('is whole, made while others write', async () => {
    const ewe = v7();
    await t.post(arrival(ewe));
    const writing = Array.from({ length: 30 }, (_, i) => t.post(note(ewe, `note ${i}`)));
    const made = await make();
    await Promise.all(writing);
    expect(brokenIn(newestOf(made), 'integrity_check')).toBeUndefined();
    expect(made.copies[0]?.entries).toBe((rowsOf(newestOf(made)).entry as unknown[]).length);
  });

  it('opens as the book it was made of', async () => {
    const ewe = v7();
    await t.post(arrival(ewe), weight(ewe, '2026-11-20', 61.5));
    const made = newestOf(await make());
    await t.post(weight(ewe, '2026-11-21', 70));
    const other = mkdtempSync(join(tmpdir(), 'yaylak-put-back-'));
    cpSync(made, join(other, 'yaylak.sqlite'));
    const again = await testApp(other);
    const { body } = await again.http().get('/api/roster').expect(200);
    expect(body).toMatchObject({ animals: [{ weights: [[expect.any(String), 61.5, 'scale']] }] });
    await again.end();
  });

  it('of an earlier version is counted; a file that is not a book is not counted, and is left alone', async () => {
    await make();
    const [{ name: first } = { name: '' }] = (await copies()).copies;
    rmSync(join(t.config.backupDir, first.replace('.sqlite', '.json')));
    writeFileSync(join(t.config.backupDir, 'yaylak-20251120-060000-000.sqlite'), 'a hole in the disk');
    later(1);
    await daily();
    expect((await copies()).copies.map((c) => [c.at.slice(0, 10), c.reason])).toEqual([
      ['2026-11-24', 'daily'],
      ['2026-11-23', 'migration'],
    ]);
    expect(readdirSync(t.config.backupDir)).toContain('yaylak-20251120-060000-000.sqlite');
  });

  it('that cannot be made leaves nothing behind, and is told here and on Today with what the machine said', async () => {
    const stamp = now.toISOString().replace(/[-:]/g, '').replace('T', '-').replace('.', '-').slice(0, 19);
    const inTheWay = join(t.config.backupDir, `yaylak-${stamp}.sqlite.part`);
    mkdirSync(inTheWay, { recursive: true });
    await daily();
    expect(await troubleOnToday()).toMatchObject({ failed: expect.stringMatching(/EISDIR|directory/) as string });
    expect((await copies()).copies).toEqual([]);
    rmSync(inTheWay, { recursive: true });
    expect((await make()).failed).toBeNull();
    expect(await troubleOnToday()).toBeNull();
  });
});

describe('each day', () => {
  it('there is one copy, and not a second of the same day', async () => {
    await daily();
    await daily();
    expect((await copies()).copies).toMatchObject([{ reason: 'daily' }]);
    later(1);
    await daily();
    expect((await copies()).copies.map((c) => c.at)).toEqual(['2026-11-24T09:00', '2026-11-23T09:00']);
  });

  it('older ones go as they thin out to days, weeks and months', async () => {
    for (let day = 0; day < 40; day++) {
      await daily();
      later(1);
    }
    // Fourteen days, the Sundays before them of eight weeks, and the last of November.
    expect((await copies()).copies.map((c) => c.at.slice(5, 10))).toEqual([
      '01-01',
      ...Array.from({ length: 13 }, (_, i) => `12-${31 - i}`),
      '12-13',
      '12-06',
      '11-30',
      '11-29',
    ]);
    expect(readdirSync(t.config.backupDir)).toHaveLength(2 * 18);
  });

  it('Today says when the last good copy is older than a week', async () => {
    await daily();
    later(7);
    expect(await troubleOnToday()).toBeNull();
    later(1);
    expect(await troubleOnToday()).toMatchObject({ oldSince: '2026-11-23T09:00', second: null, failed: null });
  });
});

describe('the second place', () => {
  it.each([
    ['copies', /“copies” is not a whole path/],
    ['/no/such/folder', /There is no folder \/no\/such\/folder\. Make it, or plug in the stick/],
  ])('is refused as %s', async (path, says) => {
    const { body } = await name(path).expect(400);
    expect((body as { detail: string }).detail).toMatch(says);
    expect((await copies()).second).toBeNull();
  });

  it('is refused within the folder of the book', async () => {
    const { body } = await name(t.config.backupDir).expect(400);
    expect((body as { detail: string }).detail).toMatch(/is a folder of the book itself/);
  });

  it('holds the newest copy and the pictures, each checked', async () => {
    mkdirSync(join(t.config.dataDir, 'photos'), { recursive: true });
    writeFileSync(join(t.config.dataDir, 'photos', 'a.jpg'), 'picture');
    await make();
    const { body } = await name(stick).expect(200);
    const view = body as CopiesView;
    expect(view.second).toEqual({
      path: stick,
      state: 'there',
      lastAt: '2026-11-23T09:00',
      said: null,
      isLocked: false,
      isUnderWay: false,
    });
    expect(view.copies).toMatchObject([{ isInSecond: true }]);
    expect(rowsOf(onStick(view.copies[0]?.name ?? ''))).toEqual(rowsOf(t.config.dataFile));
    expect(readdirSync(onStick('photos'))).toEqual(['a.jpg']);
  });

  it('pulled out is said on Today, and has the day’s copy again when it is back', async () => {
    await name(stick).expect(200);
    renameSync(stick, `${stick}-in a pocket`);
    later(1);
    await daily();
    expect(await troubleOnToday()).toMatchObject({
      second: { path: stick, state: 'missing', lastAt: '2026-11-23T09:00' },
    });
    // A folder where the stick was is not the stick: the copies would lie on the disk they are to outlive.
    mkdirSync(stick);
    await daily();
    expect(readdirSync(stick)).toEqual([]);
    rmSync(stick, { recursive: true });
    renameSync(`${stick}-in a pocket`, stick);
    await daily();
    expect(await troubleOnToday()).toBeNull();
    expect((await copies()).second).toMatchObject({ state: 'there', lastAt: '2026-11-24T09:00' });
  });

  it('that cannot be written is told with what the machine said; the book’s own copy is made', async () => {
    await name(stick).expect(200);
    rmSync(onStick('photos'), { recursive: true, force: true });
    writeFileSync(onStick('photos'), 'a file where the folder should be');
    mkdirSync(join(t.config.dataDir, 'photos'), { recursive: true });
    later(1);
    const view = await make();
    expect(view).toMatchObject({ failed: null, second: { state: 'failed' } });
    expect(view.copies).toHaveLength(2);
  });

  it('can be shared by two books: neither takes out what is the other’s', async () => {
    await name(stick).expect(200);
    const other = await testApp(mkdtempSync(join(tmpdir(), 'yaylak-copies-')));
    await other.http().put('/api/copies/second').send({ path: stick }).expect(200);
    expect(readdirSync(stick)).toHaveLength(2);
    await other.end();
    // Named again it is the same folder as before.
    await name('').expect(200);
    await name(stick).expect(200);
    expect(readdirSync(stick)).toHaveLength(2);
  });

  it('has the copies of a book that was copied apart from those of the first', async () => {
    await name(stick).expect(200);
    const other = mkdtempSync(join(tmpdir(), 'yaylak-copied-'));
    cpSync(t.config.dataDir, other, { recursive: true });
    const copied = await testApp(other);
    await copied.app.get(CopiesService).daily();
    expect(readdirSync(stick)).toHaveLength(2);
    expect((await copied.http().get('/api/copies').expect(200)).body).toMatchObject({ second: { state: 'there' } });
    await copied.end();
  });

  it('is left alone by one whose clock goes ahead, which takes out no copy by its date either', async () => {
    await name(stick).expect(200);
    const ahead = mkdtempSync(join(tmpdir(), 'yaylak-ahead-'));
    cpSync(t.config.dataDir, ahead, { recursive: true });
    const before = readdirSync(onStick()).sort();
    const trial = await testApp(ahead, { daysAhead: 3_000 });
    await trial.app.get(CopiesService).daily();
    expect(readdirSync(stick)).toHaveLength(1);
    expect(readdirSync(onStick()).sort()).toEqual(before);
    expect(readdirSync(trial.config.backupDir).filter((n) => n.endsWith('.sqlite'))).toHaveLength(2);
    await trial.end();
  });

  it('is none again by an empty path', async () => {
    await name(stick).expect(200);
    expect(((await name('').expect(200)).body as CopiesView).second).toBeNull();
    expect(existsSync(onStick('yaylak-copies.json'))).toBe(true);
  });
});

describe('the second place, encrypted', () => {
  const PASSPHRASE = 'three brown ewes';
  const lock = (passphrase: string) => t.http().put('/api/copies/second/lock').send({ passphrase });
  const seen = async (): Promise<CopiesView> => (await t.http().get('/api/copies')).body as CopiesView;
  /** Has it encrypted, and waits until it is. */
  const locked = async (passphrase = PASSPHRASE): Promise<LockedView> => {
    const { copies, words } = (await lock(passphrase).expect(200)).body as LockedView;
    // Whoever asked has the words before the stick has the copy.
    expect(copies.second).toMatchObject({ isLocked: passphrase !== '', isUnderWay: true });
    let view = await seen();
    while (view.second?.isUnderWay) view = await seen();
    return { copies: view, words };
  };
  /** Everything that lies on the stick. */
  const allOnStick = (): string[] => readdirSync(stick, { recursive: true, encoding: 'utf8' }).sort();
  let to: string;
  beforeEach(async () => {
    mkdirSync(join(t.config.dataDir, 'photos'), { recursive: true });
    writeFileSync(join(t.config.dataDir, 'photos', 'a.jpg'), 'picture');
    const ewe = v7();
    await t.post(arrival(ewe), note(ewe, 'lame on the near fore'));
    await name(stick).expect(200);
    to = join(stick, '..', `again-${v7()}`);
  });
  afterEach(() => rmSync(to, { recursive: true, force: true }));

  it('holds nothing that can be read, and the whole book for who has the passphrase or the words', async () => {
    const { copies: view, words } = await locked();
    expect(view.second).toMatchObject({ state: 'there', isLocked: true, lastAt: '2026-11-23T09:00' });
    expect(view.copies).toMatchObject([{ isInSecond: true }]);
    // What lay there before is gone, now that an encrypted copy is whole.
    expect(allOnStick().filter((n) => /(sqlite|jpg)$/.test(n))).toEqual([]);
    for (const one of allOnStick().filter((n) => /\.\w+$/.test(n)))
      expect(readFileSync(join(stick, one)).includes('near fore')).toBe(false);
    const folder = lockedFolder(stick);
    const newest = view.copies[0]?.name;
    expect(await unlock(folder, to, PASSPHRASE)).toEqual({ copy: newest, pictures: 1 });
    expect(rowsOf(join(to, 'yaylak.sqlite'))).toEqual(rowsOf(t.config.dataFile));
    expect(readFileSync(join(to, 'photos', 'a.jpg'), 'utf8')).toBe('picture');
    rmSync(to, { recursive: true });
    await unlock(folder, to, words.join(' '));
    expect(rowsOf(join(to, 'yaylak.sqlite'))).toEqual(rowsOf(t.config.dataFile));
    // Neither passphrase nor words are kept where the book is.
    for (const one of readdirSync(t.config.dataDir).filter((n) => /json|age/.test(n))) {
      const kept = readFileSync(join(t.config.dataDir, one), 'utf8');
      expect(kept).not.toContain(PASSPHRASE);
      expect(kept).not.toContain(words.slice(0, 3).join(' '));
    }
  });

  it('gets each copy that follows, and thins out like the others', async () => {
    await locked();
    for (let day = 0; day < 20; day++) {
      later(1);
      await daily();
    }
    const there = allOnStick().filter((n) => n.endsWith('.sqlite.age'));
    const here = readdirSync(t.config.backupDir).filter((n) => n.endsWith('.sqlite'));
    expect(there.map((n) => n.split('/').at(-1))).toEqual(here.map((n) => `${n}.age`).sort());
    expect((await unlock(lockedFolder(stick), to, PASSPHRASE)).copy).toBe(here.sort().at(-1));
  });

  it('with a new passphrase leaves nothing the old one opens', async () => {
    await locked();
    const other = 'four white rabbits';
    await locked(other);
    const folder = lockedFolder(stick);
    await expect(unlock(folder, to, PASSPHRASE)).rejects.toThrow(/neither the passphrase/);
    await unlock(folder, to, other);
  });

  it('goes on being encrypted in the next place', async () => {
    await locked();
    const next = `${stick}-next`;
    mkdirSync(next);
    await name(next).expect(200);
    await unlock(lockedFolder(next), to, PASSPHRASE);
    rmSync(next, { recursive: true });
  });

  it('lies there as it is again when it is to', async () => {
    await locked();
    const { copies: view, words } = await locked('');
    expect(words).toEqual([]);
    expect(view.second).toMatchObject({ state: 'there', isLocked: false });
    expect(allOnStick().filter((n) => n.includes('locked-'))).toEqual([]);
    expect(rowsOf(onStick(view.copies[0]?.name ?? ''))).toEqual(rowsOf(t.config.dataFile));
  });

  it('takes out nothing that lay there where it cannot be written', async () => {
    const before = allOnStick();
    renameSync(stick, `${stick}-in a pocket`);
    expect((await locked()).copies.second).toMatchObject({ state: 'missing', isLocked: true });
    renameSync(`${stick}-in a pocket`, stick);
    expect(allOnStick()).toEqual(before);
    await daily();
    expect(allOnStick().filter((n) => n.endsWith('.sqlite'))).toEqual([]);
    await unlock(lockedFolder(stick), to, PASSPHRASE);
  });

  it('wants a passphrase that is not guessed, and a place', async () => {
    const { body } = await lock('ewes').expect(400);
    expect((body as Problem).detail).toMatch(/4 characters long; 12 at least/);
    await name('').expect(200);
    await lock(PASSPHRASE).expect(409);
  });

  it('writes over nothing when it is got back, and says where there is nothing', async () => {
    await locked();
    mkdirSync(to);
    writeFileSync(join(to, 'other'), 'of somebody');
    await expect(unlock(lockedFolder(stick), to, PASSPHRASE)).rejects.toThrow(/something in .+ already/);
    expect(() => lockedFolder(to)).toThrow(/no encrypted copies in/);
    expect(readdirSync(to)).toEqual(['other']);
  });
});
