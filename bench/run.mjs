import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { breedingRows } from './breeding.mjs';
import { choosingRows } from './choosing.mjs';
import { sellingRows } from './selling.mjs';
import { matingRows } from './mating.mjs';
import { raceRows } from './race.mjs';

/** Each figure beside a floor measured in the same run; a ratio says more than a time on somebody's machine. */
const root = join(import.meta.dirname, '..');
const require = createRequire(join(root, 'server/dist/index.js'));
require('reflect-metadata');
const { readConfig, openBook, createApp, BookService } = require(join(root, 'server/dist/index.js'));
const { AnimalsService } = require(join(root, 'server/dist/animals/animals.service.js'));
const { ChoosingService } = require(join(root, 'server/dist/choosing/choosing.service.js'));
const { Clock } = require(join(root, 'server/dist/common/clock.js'));
const core = require(join(root, 'core/dist/index.js'));
const { v7 } = require('uuid');

const rows = [];
const report = (name, figure, floor, ratio) => rows.push({ name, figure, floor, ratio });
async function seconds(work, times = 3) {
  let best = Infinity;
  for (let i = 0; i < times; i++) {
    const from = process.hrtime.bigint();
    await work(i);
    best = Math.min(best, Number(process.hrtime.bigint() - from) / 1e9);
  }
  return best;
}

async function withApp(work, withInterface = false) {
  const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-bench-'));
  const orm = await openBook(readConfig({ DATA_DIR: dataDir, LOG_LEVEL: 'silent' }));
  const app = await createApp(
    readConfig({
      DATA_DIR: dataDir,
      LOG_LEVEL: 'silent',
      WEB_DIR: withInterface ? join(root, 'web/dist') : join(dataDir, 'none'),
    }),
    orm,
  );
  // The device at the race goes by its own clock: there the book's day is the real one.
  if (!withInterface) app.get(Clock).today = () => core.dayOf('2026-11-23');
  await app.init();
  try {
    await work({ app, orm, book: app.get(BookService) });
  } finally {
    await app.close();
    rmSync(dataDir, { recursive: true, force: true });
  }
}

const stamp = { writtenAt: '2026-11-23T08:00:00.000Z', writtenBy: 'Bench', source: 'import' };
const arrival = (animalId, bornOn, damId) => ({
  id: v7(),
  type: 'arrival',
  animalId,
  on: bornOn,
  how: 'born',
  species: 'sheep',
  sex: 'female',
  bornOn,
  birthType: 1 + (bornOn.charCodeAt(9) % 3),
  rearingType: 1 + (bornOn.charCodeAt(9) % 2),
  ...(damId ? { damId } : {}),
  ...stamp,
});
const weight = (animalId, on, kg) => ({ id: v7(), type: 'weight', animalId, on, kg, method: 'scale', ...stamp });
async function postAll(book, entries, size = 1000) {
  for (let i = 0; i < entries.length; i += size) {
    const answers = await book.post(entries.slice(i, i + size));
    const bad = answers.find((a) => a.status === 'refused');
    if (bad) throw new Error(bad.message);
  }
}
/**
 * Tables of the same form, with their keys and indexes, and how rows are put into them a thousand a transaction: what the
 * file itself takes.
 */
async function floorTables(orm) {
  const c = orm.em.getConnection();
  const forms = await c.execute(
    "select type, sql from sqlite_master where tbl_name in ('entry', 'weight_entry') and sql is not null order by type desc",
  );
  const own = (text) =>
    text.replace(
      /\b(entry|weight_entry)(_[a-z_]+_index|_[a-z_]+_unique)?\b(?! text| *null)/g,
      (name) => `floor_${name}`,
    );
  for (const { sql } of forms) await c.execute(own(sql));
  const cells = (n, from = 0) =>
    Array.from({ length: n }, (_, i) => `json_extract(value, '$[${i + from}]')`).join(', ');
  let seq = 0;
  return {
    insert: async (weights) => {
      for (let i = 0; i < weights.length; i += 1000) {
        const rows = weights
          .slice(i, i + 1000)
          .map((w) => [w.id, seq++, w.type, w.animalId, w.on, w.writtenAt, w.writtenBy, w.source, w.kg, w.method]);
        await orm.em.fork().transactional(async (em) => {
          const run = (sql) =>
            em.getConnection().execute(sql, [JSON.stringify(rows)], 'run', em.getTransactionContext());
          await run(`insert into floor_entry (id, seq, type, animal_id, happened_on, written_at, written_by, source)
            select ${cells(8)} from json_each(?)`);
          await run(`insert into floor_weight_entry (entry_id, kg, method)
            select ${cells(1)}, ${cells(2, 8)} from json_each(?)`);
        });
      }
    },
    drop: async () => {
      await c.execute('drop table floor_weight_entry');
      await c.execute('drop table floor_entry');
    },
  };
}
const YOUNG = 10_000;
const bornOn = (i) => core.isoOf(core.addDays(core.dayOf('2026-04-01'), i % 30));

await withApp(async ({ app, orm, book }) => {
  const dams = Array.from({ length: 2000 }, () => v7());
  await postAll(
    book,
    dams.map((id, i) => arrival(id, core.isoOf(core.addDays(core.dayOf('2019-04-01'), (i % 5) * 365)))),
  );
  const young = Array.from({ length: YOUNG }, () => v7());
  await postAll(
    book,
    young.map((id, i) => arrival(id, bornOn(i), dams[i % dams.length])),
  );
  await postAll(
    book,
    young.map((id, i) => ({
      id: v7(),
      type: 'identifier',
      animalId: id,
      on: bornOn(i),
      kind: 'visual',
      text: `26-${String(i).padStart(5, '0')}`,
      colour: 'green',
      ...stamp,
    })),
  );

  // Import of 100,000 weights: checked, judged and kept, against raw inserts of the same rows.
  const weights = young.flatMap((id, i) =>
    Array.from({ length: 10 }, (_, k) =>
      weight(id, core.isoOf(core.addDays(core.dayOf(bornOn(i)), 20 * k)), 4 + 3.5 * k + (i % 17) / 10),
    ),
  );
  const importing = await seconds(() => postAll(book, weights), 1);
  const floor = await floorTables(orm);
  const raw = await seconds(() => floor.insert(weights), 1);
  await floor.drop();
  report(
    'import of 100,000 weights',
    `${importing.toFixed(1)} s`,
    `${raw.toFixed(1)} s raw inserts, same tables`,
    importing / raw,
  );
  report(
    'entries a second, batches of 1,000',
    Math.round(weights.length / importing),
    Math.round(weights.length / raw),
    importing / raw,
  );

  const choosing = app.get(ChoosingService);
  const readRows = await seconds(async () => {
    await orm.em
      .getConnection()
      .execute(
        'select e.animal_id, e.happened_on, w.kg, a.* from entry e join weight_entry w on w.entry_id = e.id join animal a on a.id = e.animal_id',
      );
  });
  /** Seconds of something asked after a weight was written, as it is all day. */
  const afterAChange = async (work) => {
    let best = Infinity;
    for (let i = 0; i < 5; i++) {
      await postAll(book, [weight(young[i], '2026-11-20', 40)]);
      best = Math.min(best, await seconds(work, 1));
    }
    return best;
  };
  const [largest] = choosing.list().sort((a, b) => b.count - a.count);
  const rank = () => choosing.rank(choosing.setOf({ ...largest, from: largest.from ?? undefined }));
  await rank();
  const ranking = await afterAChange(rank);
  report(
    `like-for-like ranking of ${largest.count.toLocaleString('en')} young`,
    `${ranking.toFixed(2)} s`,
    `${readRows.toFixed(2)} s reading the rows`,
    ranking / readRows,
  );

  const animals = app.get(AnimalsService);
  const bare = await seconds(() => orm.em.getConnection().execute('select * from animal order by born_on limit 100'));
  const listing = await afterAChange(() => animals.list({ sort: 'age', limit: 100 }));
  const paging = await seconds((i) => animals.list({ sort: 'age', limit: 100, cursor: String(100 * (i + 1)) }));
  const inMs = (s) => `${(s * 1000).toFixed(1)} ms`;
  report('first page of 10,000 animals, sorted', inMs(listing), `${inMs(bare)} bare query`, listing / bare);
  report('next page of them', inMs(paging), `${inMs(bare)} bare query`, paging / bare);
  const one = weight(young[7], '2026-11-21', 41);
  const posting = await seconds(() => postAll(book, [{ ...one, id: v7() }]), 20);
  const floorOne = await floorTables(orm);
  const rawOne = await seconds(() => floorOne.insert([{ ...one, id: v7() }]), 20);
  await floorOne.drop();
  report('one posted weight', inMs(posting), `${inMs(rawOne)} raw, same tables`, posting / rawOne);
  report('memory with 112,000 entries', `${Math.round(process.memoryUsage().rss / 1e6)} MB`, '', NaN);
});

await withApp(async ({ app, book }) => {
  rows.push(...(await raceRows({ app: { http: app, book }, postAll, arrival, weight, newId: v7 })));
}, true);

rows.push(...matingRows(core));
rows.push(...(await breedingRows(core)));
rows.push(...choosingRows(core));
rows.push(...sellingRows(core));

// A book after a lifetime, three sizes: growth is linear where the figures are. Each in a process of its own.
for (const size of [5_000, 20_000, 100_000]) {
  const { stdout } = spawnSync(
    process.execPath,
    ['--expose-gc', join(import.meta.dirname, 'lifetime.mjs'), String(size)],
    {
      encoding: 'utf8',
      maxBuffer: 1e8,
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  const r = JSON.parse(stdout);
  const of = `${r.animals} animals (${r.present} here), ${r.entries} entries`;
  const row = (name, value, unit, limit) =>
    rows.push({
      name: `${name}`,
      figure: `${value.toFixed(unit === 's' ? 1 : 0)} ${unit}`,
      floor: `limit ${limit} ${unit} at 20,000`,
      ratio: value / limit,
    });
  rows.push({ name: of, figure: '', floor: '', ratio: NaN });
  row('  start', r.startS, 's', 6);
  row('  memory', r.memoryMB, 'MB', 500);
  row('  a posted weight, middle', r.postMs, 'ms', 20);
  row('  Today after it', r.todayMs, 'ms', 200);
  row(`  slowest list after it, ${r.list}`, r.listMs, 'ms', 200);
  row(`  longest block of the loop, ${r.blockAt}`, r.blockMs, 'ms', 100);
}

const html = readFileSync(join(root, 'web/dist/index.html'), 'utf8');
const scripts = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]);
const first = scripts.reduce((sum, s) => sum + gzipSync(readFileSync(join(root, 'web/dist', s))).length, 0);
report('scripts of the first page, gzip', `${(first / 1000).toFixed(0)} kB`, 'goal 250 kB', first / 250_000);

for (const r of rows)
  console.log(
    `${r.name.padEnd(44)} ${String(r.figure).padStart(12)}   ${String(r.floor).padStart(34)}   ${Number.isNaN(r.ratio) ? '' : `x ${r.ratio.toFixed(2)}`}`,
  );
