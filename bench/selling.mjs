import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';

const timed = (work) => {
  const from = performance.now();
  const answer = work();
  return { answer, seconds: (performance.now() - from) / 1000 };
};
/** Other work on the machine makes one run slow, never fast. */
const bestOfThree = (seconds) => Math.min(seconds(), seconds(), seconds());
const inSeconds = (s) => `${s.toFixed(2)} s`;

const TODAY = 20_000;
const OUTLETS = 6;

/** Six outlets of all kinds, two of them with a whole grid and bands. */
function outletsOf() {
  const cells = Array.from({ length: 15 }, (_, s) => Array.from({ length: 15 }, (__, f) => 3 * s - 2 * f));
  const grid = { shape: 'thirds', fat: 'thirds', cellsAre: 'adjustment', cells };
  const bands = [
    { fromKg: 0, toKg: 17, minorPerKg: -40 },
    { fromKg: 22, minorPerKg: -20 },
  ];
  return ['grid', 'grid', 'carcass-kg', 'live-kg', 'live-head', 'carcass-head'].map((payBy, i) => ({
    id: `o${i}`,
    species: 'sheep',
    payBy,
    prices: [{ from: TODAY - 100, baseMinor: 500 + 10 * i, grid, bands, paidUpToKg: 24 }],
    shrinkShare: 0.03,
    commissionShare: 0.04,
    tripMinor: 1_000 + 200 * i,
    headMinor: 200,
    least: i,
    most: 60 + 10 * i,
    box: { kg: { from: 17, to: 60 }, fat: { from: 3, to: 9 } },
    leastChance: 0.7,
  }));
}

function headsOf(core, count) {
  const random = core.seededRandom(3);
  return Array.from({ length: count }, () => {
    const kg = random.normal(42, 4);
    return {
      today: TODAY,
      bornOn: TODAY - 220,
      daily: [42, 28, 14, 0].map((ago) => ({ on: TODAY - ago, kg: kg - 0.18 * ago, method: 'scale' })),
      curve: undefined,
      group: { meanKgPerDay: 0.17, variance: 0.001 },
      feedDays: undefined,
      clearIn: 0,
      oldEnoughIn: 0,
      shape: { on: TODAY, step: random.whole(5, 11) },
      felt: [{ on: TODAY, fat: random.whole(4, 8) }],
      fatGroup: 'middle',
      killingOut: 0.46,
      penHeads: count,
    };
  });
}

/** Seconds to read the rows of so many animals, their weights and what was felt, out of a database on disk. */
function readRows(heads) {
  const folder = mkdtempSync(join(tmpdir(), 'yaylak-bench-'));
  const db = new Database(join(folder, 'rows.sqlite'));
  try {
    db.exec('create table animal (id text primary key, species text, sex text, born_on text)');
    for (const kind of ['weight', 'finish'])
      db.exec(`create table ${kind} (id text primary key, animal_id text, day text, a real, b real, written_by text)`);
    db.exec('begin');
    const animal = db.prepare('insert into animal values (?, ?, ?, ?)');
    const weight = db.prepare('insert into weight values (?, ?, ?, ?, ?, ?)');
    const finish = db.prepare('insert into finish values (?, ?, ?, ?, ?, ?)');
    heads.forEach(({ daily, shape, felt }, i) => {
      animal.run(`animal-${i}`, 'sheep', 'male', '2026-04-20');
      daily.forEach((r, n) => weight.run(`weight-${i}-${n}`, `animal-${i}`, '2026-11-20', r.kg, null, 'Aylin'));
      finish.run(`finish-${i}`, `animal-${i}`, '2026-11-20', shape.step, felt[0].fat, 'Aylin');
    });
    db.exec('commit');
    return timed(() => ['animal', 'weight', 'finish'].map((of) => db.prepare(`select * from ${of}`).all().length))
      .seconds;
  } finally {
    db.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A pen at its outlets day by day, beside reading the days alone; the same with its ranges drawn; and the split. */
export function sellingRows(core) {
  const settings = core.SPECIES_TABLE.sheep;
  const outlets = outletsOf();
  const pen = headsOf(core, 60);
  // Days by day, without a class or a band.
  const floor = timed(() => {
    let sum = 0;
    for (const head of pen)
      for (let o = 0; o < OUTLETS; o++)
        for (let n = 0; n <= 120; n++) sum += core.normalShareBelow(head.daily[3].kg + n, 50, 2);
    return sum;
  }).seconds;
  const worth = timed(() => pen.map((head) => core.headAtOutlets(head, outlets, settings)));
  const drawn = timed(() =>
    pen.map((head, i) => {
      const { weight, at } = worth.answer[i];
      return at.map(({ outlet, days }) =>
        days.kind === 'days'
          ? core.marginRange(
              {
                ...head,
                feedDaysLeft: undefined,
                dailyCostMinor: 26,
                survival: 1,
                interestAYear: 0,
                weight,
                classes: {
                  shape: { mean: head.shape.step, sd: 1.8 },
                  fat: { mean: head.felt[0].fat, sd: 2.2 },
                  daysSinceFelt: 0,
                  rate: core.fatRate(head.felt, 'middle'),
                },
              },
              outlet,
              days.bestIn,
              i,
            )
          : undefined,
      );
    }),
  );
  const random = core.seededRandom(11);
  const heads = Array.from({ length: 200 }, (_, i) => ({
    id: `h${i}`,
    values: outlets.map(() => 10_000 + random.normal(0, 600)),
    stays: 10_000 + random.normal(0, 600),
  }));
  const split = timed(() => core.splitPen(heads, outlets));
  const ready = headsOf(core, 5_000);
  const reading = bestOfThree(() => readRows(ready));
  const list = bestOfThree(
    () => timed(() => ready.map((h) => core.headAtOutlets(h, outlets.slice(3, 4), settings))).seconds,
  );
  return [
    {
      name: 'worth of 60 heads, 6 outlets, 120 days (goal 0.3 s)',
      figure: inSeconds(worth.seconds),
      floor: `${inSeconds(floor)} one share of a normal each`,
      ratio: worth.seconds / floor,
    },
    {
      name: 'the same with 2,000 draws (goal 3 s)',
      figure: inSeconds(drawn.seconds),
      floor: '',
      ratio: drawn.seconds / worth.seconds,
    },
    {
      name: 'split of 200 heads over 6 outlets (goal 0.5 s)',
      figure: inSeconds(split.seconds),
      floor: 'goal 0.5 s',
      ratio: split.seconds / 0.5,
    },
    {
      name: 'who is ready of 5,000, one outlet',
      figure: inSeconds(list),
      floor: `${inSeconds(reading)} reading their rows (goal 3 times)`,
      ratio: list / reading,
    },
  ];
}
