import { once } from 'node:events';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';

/*
 * A book as it is after a lifetime: started, asked and written to, in a process of its own so that its memory is its
 * own. Prints one row of figures as JSON.
 */
const animals = Number(process.argv[2]);
const root = join(import.meta.dirname, '..');
const require = createRequire(join(root, 'server/dist/index.js'));
require('reflect-metadata');
const { readConfig, openBook, createApp, BookService } = require(join(root, 'server/dist/index.js'));
const { Clock } = require(join(root, 'server/dist/common/clock.js'));
const { closeBook } = require(join(root, 'server/dist/database/openBook.js'));
const { ENTRY_TABLES } = require(join(root, 'server/dist/book/entryTables.js'));
const core = require(join(root, 'core/dist/index.js'));
const { v7 } = require('uuid');
const TODAY = core.dayOf('2026-11-23');
const YEARS = 19;
/** Each list is asked so often, and the middle told: other work on the machine makes one of them slow. */
const TIMES = 5;

/** Numbers that look random and are the same in each run. */
let state = 1;
const random = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
const below = (n) => Math.floor(random() * n);

/** The entries of a herd over the years: mated, scanned, lambed, weighed, treated, sold, the best ewe lambs kept. */
function* lifetime() {
  const herd = {
    sheep: { share: 0.6, season: '10-20' },
    goat: { share: 0.2, season: '10-01' },
    cattle: { share: 0.1, season: '06-15' },
    rabbit: { share: 0.1, season: '03-01' },
  };
  const perYear = (1.17 * animals) / YEARS;
  let count = 0;
  const stamp = { writtenAt: '2026-01-01T08:00:00.000Z', writtenBy: 'Bench', source: 'import' };
  const entry = (type, animalId, on, own) => ({ id: v7(), type, animalId, on: core.isoOf(on), ...stamp, ...own });
  const females = { sheep: [], goat: [], cattle: [], rabbit: [] };
  const males = { sheep: [], goat: [], cattle: [], rabbit: [] };
  const groups = ['hill', 'yard', 'river'];
  function* born(species, sex, on, damId, sireId, kgs) {
    const id = v7();
    count++;
    yield entry('arrival', id, on, {
      how: 'born',
      species,
      sex,
      bornOn: core.isoOf(on),
      damId,
      sireId,
      birthType: 1 + below(2),
    });
    yield entry('identifier', id, on, {
      kind: 'visual',
      text: `${core.isoOf(on).slice(2, 4)}-${String(count).padStart(6, '0')}`,
      colour: 'green',
    });
    yield entry('identifier', id, on, { kind: 'electronic', text: `792${String(count).padStart(12, '0')}` });
    yield entry('move', id, on, { groupId: groups[below(3)] });
    for (const [days, kg] of kgs)
      if (on + days <= TODAY)
        yield entry('weight', id, on + days, {
          kg: kg * (0.9 + random() / 5),
          method: random() < 0.05 ? 'tape' : 'scale',
        });
    if (on + 100 <= TODAY) yield entry('weaning', id, on + 100, { isDone: true });
    for (const days of [30, 80, 120])
      if (on + days <= TODAY)
        yield entry('treatment', id, on + days, {
          productId: '0191d5a0-0000-7000-8000-0000000000aa',
          amount: 4,
          unit: 'ml',
          route: 'mouth',
          meatDays: 14,
          isOffLabel: false,
        });
    return id;
  }
  const KGS_GROWN = { sheep: 60, goat: 50, cattle: 480, rabbit: 4 };
  const KGS = {
    sheep: [
      [0, 4],
      [40, 14],
      [90, 27],
      [150, 36],
    ],
    goat: [
      [0, 3],
      [40, 10],
      [90, 19],
      [150, 26],
    ],
    cattle: [
      [0, 35],
      [90, 110],
      [205, 210],
    ],
    rabbit: [
      [21, 0.3],
      [42, 1],
      [70, 2],
    ],
  };
  for (let y = 0; y < YEARS && count < animals; y++)
    for (const [species, { share, season }] of Object.entries(herd)) {
      const start = core.dayOf(`${2007 + y}-${season}`);
      if (y === 0) {
        for (let i = 0; i < (perYear * share) / 1.8; i++)
          females[species].push({
            id: yield* born(species, 'female', start - 700 - below(900), undefined, undefined, []),
            bornOn: start - 900,
          });
        for (let i = 0; i < 4; i++)
          males[species].push(yield* born(species, 'male', start - 900, undefined, undefined, []));
      }
      const target = (perYear * share) / 1.8;
      const kept = [];
      const gestation = { sheep: 147, goat: 150, cattle: 283, rabbit: 31 }[species];
      for (const dam of females[species]) {
        if (count >= animals) break;
        const served = start + below(30);
        if (served > TODAY) continue;
        const sire = males[species][below(males[species].length)];
        yield entry('score', dam.id, start - 40, { score: 2 + below(5) / 2, scoredBy: 'Bench' });
        yield entry('look', dam.id, start - 40, { grades: { mouth: 'pass', feet: 'pass' } });
        yield entry('weight', dam.id, start - 40, {
          kg: KGS_GROWN[species] * (0.9 + random() / 5),
          method: 'scale',
        });
        yield entry('service', dam.id, served, { way: 'hand', maleIds: [sire] });
        if (served + 50 <= TODAY && species !== 'rabbit')
          yield entry('pregnancy-test', dam.id, served + 50, { way: 'scan', result: 'carrying', young: 2 });
        const on = served + gestation + below(5) - 2;
        if (on > TODAY) continue;
        const alive = 1 + below(2);
        yield entry('birth', dam.id, on, { alive, dead: 0, deadYoung: [], ease: 'alone' });
        for (let k = 0; k < alive && count < animals; k++) {
          const sex = below(2) === 0 ? 'female' : 'male';
          const id = yield* born(species, sex, on, dam.id, sire, KGS[species]);
          const isKept = sex === 'female' && kept.length < target / 5;
          const sold = 150 + below(350);
          if (isKept) kept.push({ id, bornOn: on });
          else if (on + sold <= TODAY) yield entry('departure', id, on + sold, { how: 'sold' });
        }
        for (const days of [5, 120])
          if (on + days <= TODAY)
            yield entry('treatment', dam.id, on + days, {
              productId: '0191d5a0-0000-7000-8000-0000000000aa',
              amount: 9,
              unit: 'ml',
              route: 'mouth',
              meatDays: 14,
              isOffLabel: false,
            });
        if (on + 30 <= TODAY) yield entry('score', dam.id, on + 30, { score: 2 + below(4) / 2, scoredBy: 'Bench' });
        for (const days of [30, 100])
          if (on + days <= TODAY)
            yield entry('weight', dam.id, on + days, {
              kg: KGS_GROWN[species] * (0.85 + random() / 5),
              method: 'scale',
            });
        if (on + 100 <= TODAY) yield entry('score', dam.id, on + 100, { score: 2 + below(4) / 2, scoredBy: 'Bench' });
      }
      females[species].push(...kept);
      while (females[species].length > target) {
        const gone = females[species].shift();
        if (start + 300 <= TODAY) yield entry('departure', gone.id, start + 300, { how: 'sold' });
      }
    }
}

/** Writes rows by SQLite's own reading of JSON: the floor of any writing. */
async function fill(orm) {
  const c = orm.em.getConnection();
  for (const id of ['hill', 'yard', 'river'])
    await c
      .execute('insert into herd_group (id, name, species, is_closed, version) values (?, ?, null, 0, 1)', [id, id])
      .catch(() => undefined);
  const facts = {
    name: 'Drench',
    kind: 'remedy',
    doseUnit: 'ml',
    doses: [{ species: 'sheep', by: 'kg', perKg: 0.2 }],
    step: 0.5,
    rounding: 'up',
    routes: ['mouth'],
    withdrawals: [{ species: 'sheep', route: 'mouth', meatDays: 14 }],
    batches: [],
  };
  await c.execute(
    "insert into product (id, facts, is_closed, version) values ('0191d5a0-0000-7000-8000-0000000000aa', ?, 0, 1)",
    [JSON.stringify(facts)],
  );
  let seq = 0;
  let rows = [];
  const flush = async () => {
    const insert = (table, columns, list) =>
      c.execute(
        `insert into ${table} (${columns.map(([, column]) => `"${column}"`).join(', ')}) select ${columns.map((_, i) => `json_extract(value, '$[${i}]')`).join(', ')} from json_each(?)`,
        [JSON.stringify(list.map((e) => columns.map(([name]) => e[name] ?? null)))],
        'run',
      );
    const cell = (v) => (typeof v === 'boolean' ? Number(v) : Array.isArray(v) ? JSON.stringify(v) : v);
    const plain = rows.map((e) => Object.fromEntries(Object.entries(e).map(([k, v]) => [k, cell(v)])));
    const arrivals = plain.filter((e) => e.type === 'arrival').map((e) => ({ ...e, version: 1 }));
    await insert(
      'animal',
      Object.entries({
        animalId: 'id',
        species: 'species',
        sex: 'sex',
        bornOn: 'born_on',
        damId: 'dam_id',
        sireId: 'sire_id',
        birthType: 'birth_type',
        version: 'version',
      }),
      arrivals,
    );
    await insert(
      'entry',
      Object.entries({
        id: 'id',
        seq: 'seq',
        type: 'type',
        animalId: 'animal_id',
        on: 'happened_on',
        writtenAt: 'written_at',
        writtenBy: 'written_by',
        source: 'source',
      }),
      plain,
    );
    for (const type of new Set(rows.map((e) => e.type))) {
      const { name, columns } = ENTRY_TABLES[type];
      const own = plain.filter((e) => e.type === type);
      const used = Object.entries(columns).filter(([name]) =>
        own.some((e) => e[name] !== undefined && e[name] !== null),
      );
      await insert(name, [['id', 'entry_id'], ...used], own);
    }
    rows = [];
  };
  await c.execute('pragma foreign_keys = off');
  for (const entry of lifetime()) {
    rows.push({ ...entry, seq: ++seq });
    if (rows.length === 5000) await flush();
  }
  await flush();
  return seq;
}

const dataDir = mkdtempSync(join(tmpdir(), 'yaylak-bench-'));
const config = readConfig({ DATA_DIR: dataDir, LOG_LEVEL: 'silent', WEB_DIR: join(dataDir, 'none') });
try {
  const first = await openBook(config);
  const entries = await fill(first);
  await closeBook(first);
  const from = performance.now();
  const orm = await openBook(config);
  const app = await createApp({ ...config, requestsPerTenSeconds: 1e9 }, orm);
  app.get(Clock).today = () => TODAY;
  await app.init();
  const startS = (performance.now() - from) / 1000;
  await app.listen(0, '127.0.0.1');
  const url = (await app.getUrl()).replace('[::1]', '127.0.0.1');
  globalThis.gc?.();
  const memory = process.memoryUsage();
  const { state: book } = app.get(BookService);
  const present = book.present(TODAY).filter((f) => f.record.sex === 'female' && f.record.species === 'sheep');
  const asker = new Worker(join(import.meta.dirname, 'asker.mjs'));
  const ask = async (path, body) => {
    asker.postMessage({ url: url + path, body });
    const [answer] = await once(asker, 'message');
    if (answer.error) throw new Error(`${path}: ${answer.error}`);
    return answer;
  };
  const weigh = async () => {
    const entry = {
      id: v7(),
      type: 'weight',
      animalId: present[below(present.length)].record.id,
      on: '2026-11-23',
      kg: 50,
      method: 'scale',
      writtenAt: '2026-11-23T08:00:00.000Z',
      writtenBy: 'Bench',
      source: 'hand',
    };
    const { ms, text } = await ask('/api/entries', JSON.stringify({ entries: [entry] }));
    if (JSON.parse(text).answers?.[0]?.status !== 'kept') throw new Error(text);
    return ms;
  };
  const document = await (await fetch(`${url}/api/docs-json`)).json();
  const paths = Object.entries(document.paths).flatMap(([path, methods]) =>
    !('get' in methods) || path.includes('{') || /book|csv|file/.test(path)
      ? []
      : methods.get.parameters?.some((p) => p.name === 'species')
        ? [`${path}?species=sheep`]
        : [path],
  );
  const rest = () => new Promise((resolve) => setTimeout(resolve, 15));
  for (const path of paths) await ask(path);
  const posts = [];
  for (let i = 0; i < 20; i++) posts.push(await weigh());
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  /** How long a list takes after a weight was written, and how long the loop stood still for it. */
  const afterAWeight = async (path) => {
    posts.push(await weigh());
    await rest();
    delay.reset();
    const { ms, status } = await ask(path);
    await rest();
    return { ms, status, block: delay.max / 1e6 };
  };
  const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
  const warm = [];
  for (const path of paths) {
    const times = [];
    for (let i = 0; i < TIMES; i++) times.push(await afterAWeight(path));
    const middleOf = (name) => middle(times.map((t) => t[name]));
    warm.push({ path, status: times[0].status, ms: middleOf('ms'), block: middleOf('block') });
  }
  const lists = warm.filter((r) => r.path !== '/api/today');
  const worst = lists.reduce((a, b) => (b.ms > a.ms ? b : a));
  const block = warm.reduce((a, b) => (b.block > a.block ? b : a));
  if (process.env.ALL)
    for (const r of [...warm].sort((a, b) => b.ms - a.ms))
      console.error(r.path, Math.round(r.ms), Math.round(r.block), r.status);
  console.log(
    JSON.stringify({
      animals: book.animals.size,
      present: book.present(TODAY).length,
      entries,
      startS,
      memoryMB: (memory.heapUsed + memory.external) / 1e6,
      postMs: middle(posts),
      todayMs: warm.find((r) => r.path === '/api/today').ms,
      list: worst.path,
      listMs: worst.ms,
      blockMs: block.block,
      blockAt: block.path,
    }),
  );
  await asker.terminate();
  await app.close();
} finally {
  rmSync(dataDir, { recursive: true, force: true });
}
