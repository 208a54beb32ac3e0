import type { Entry, EntryAnswer } from '@yaylak/contract';
import { readRows, type RowEntries } from './importEntries';
import { sendRows, takeBackEntries, type RowOutcome } from './sendRows';

/** A book that keeps, knows what it kept, and can be told to refuse or to have struck out. */
function aBook() {
  const kept: string[] = [];
  const struck = new Set<string>();
  const refused = new Map<string, string>();
  const batches: { mode: string; size: number }[] = [];
  const asked: Entry[][] = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    const { entries } = JSON.parse(init.body as string) as { entries: Entry[] };
    const mode = path.split('mode=')[1] ?? '';
    batches.push({ mode, size: entries.length });
    asked.push(entries);
    const answers = entries.map((e): EntryAnswer => {
      const why = refused.get('animalId' in e ? e.animalId : '');
      if (why !== undefined) return { id: e.id, status: 'refused', message: why };
      if (kept.includes(e.id))
        return { id: e.id, status: 'already-kept', ...(struck.has(e.id) ? { isStruck: true as const } : {}) };
      if (mode === 'keep') {
        kept.push(e.id);
        if (e.type === 'strike') struck.add(e.entryId);
      }
      return { id: e.id, status: 'kept' };
    });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ answers }) });
  }) as unknown as typeof fetch;
  return { kept, struck, refused, batches, asked };
}

const rows = (count: number, kg = 10) =>
  readRows(
    Array.from({ length: count }, (_, i) => ['7', `${(i % 28) + 1}.${(i % 9) + 1}.2026`, String(kg + i / 100)]),
    {
      kind: 'weights',
      mapping: { number: 0, on: 1, weight: 2 },
      choices: { unit: 'kg', dateOrder: 'day-month' },
      identifiers: [
        { animalId: 'a', text: '7', isPresent: true, isWorn: true, colour: null, species: 'sheep', sex: 'female' },
      ],
      takesParents: false,
      groups: [],
      today: '2026-11-23',
      writtenBy: 'Aylin',
    },
  ).good;
const options = (change: object = {}) => ({
  mode: 'keep' as const,
  takesAgain: false,
  onProgress: () => undefined,
  isCancelled: () => false,
  ...change,
});
const count = (outcomes: readonly RowOutcome[], status: RowOutcome['status']): number =>
  outcomes.filter((o) => o.status === status).length;

it('sends in batches of at most a thousand entries and tells how far it is', async () => {
  const book = aBook();
  const progress: number[] = [];
  const outcomes = await sendRows(rows(2300), options({ onProgress: (n: number) => progress.push(n) }));
  expect(book.batches.map((b) => b.size)).toEqual([1000, 1000, 300]);
  expect(progress).toEqual([1000, 2000, 2300]);
  expect(count(outcomes, 'kept')).toBe(2300);
});

it('a check writes nothing', async () => {
  const book = aBook();
  expect(count(await sendRows(rows(5), options({ mode: 'check' })), 'kept')).toBe(5);
  expect(book.kept).toEqual([]);
});

it('a check shows parents of an earlier batch again, with their young', async () => {
  const book = aBook();
  const bred = (line: number, animalId: string, more: object = {}): RowEntries => ({
    line,
    entries: Array.from(
      { length: 500 },
      (_, i) => ({ id: `${animalId} ${i}`, type: 'arrival', animalId, ...more }) as Entry,
    ),
  });
  await sendRows(
    [bred(2, 'ewe', { damId: 'old' }), bred(3, 'ram'), bred(4, 'lamb', { damId: 'ewe', sireId: 'ram' })],
    options({ mode: 'check' }),
  );
  expect(book.batches.map((b) => b.size)).toEqual([1000, 502]);
  expect(book.asked.at(-1)?.slice(0, 2)).toEqual([
    { id: 'ewe 499', type: 'arrival', animalId: 'ewe' },
    { id: 'ram 499', type: 'arrival', animalId: 'ram' },
  ]);
});

it('stops after the batch that is on its way', async () => {
  const book = aBook();
  let isCancelled = false;
  const outcomes = await sendRows(
    rows(2300),
    options({ isCancelled: () => isCancelled, onProgress: () => (isCancelled = true) }),
  );
  expect(outcomes).toHaveLength(1000);
  expect(book.kept).toHaveLength(1000);
});

it('the same file again changes nothing', async () => {
  const book = aBook();
  await sendRows(rows(3), options());
  expect(count(await sendRows(rows(3), options()), 'already-kept')).toBe(3);
  expect(book.kept).toHaveLength(3);
});

it('tells rows that were struck out since, and leaves them out', async () => {
  const book = aBook();
  await sendRows(rows(3), options());
  book.struck.add(book.kept[1] ?? '');
  const outcomes = await sendRows(rows(3), options());
  expect(outcomes.map((o) => o.status)).toEqual(['already-kept', 'struck-out', 'already-kept']);
  expect(book.kept).toHaveLength(3);
});

it('takes them in again when asked, under ids of their own, as often as they were struck out', async () => {
  const book = aBook();
  await sendRows(rows(1), options());
  for (let time = 1; time <= 3; time++) {
    book.struck.add(book.kept.at(-1) ?? '');
    const [outcome] = await sendRows(rows(1), options({ takesAgain: true }));
    expect(outcome?.status).toBe('kept');
    expect(new Set(book.kept).size).toBe(time + 1);
  }
  // And sent once more it is known, and no fifth.
  expect((await sendRows(rows(1), options({ takesAgain: true })))[0]?.status).toBe('already-kept');
});

it('names what the book refused', async () => {
  const book = aBook();
  book.refused.set('a', 'It had left by then.');
  expect(await sendRows(rows(1), options())).toMatchObject([{ status: 'refused', message: 'It had left by then.' }]);
});

describe('taking back', () => {
  const back = (ids: readonly string[], change: object = {}) =>
    takeBackEntries(ids, {
      on: '2026-11-23',
      writtenBy: 'Aylin',
      onProgress: () => undefined,
      isCancelled: () => false,
      ...change,
    });
  it('strikes every entry out once, in batches', async () => {
    const book = aBook();
    const ids = Array.from({ length: 1500 }, (_, i) => `e${i}`);
    expect(await back(ids)).toEqual({ done: 1500, struck: 1500, refused: [] });
    expect(book.struck).toEqual(new Set(ids));
    expect(book.batches.map((b) => b.size)).toEqual([1000, 500]);
  });
  it('can be stopped, and says how far it came', async () => {
    aBook();
    let isCancelled = false;
    const ids = Array.from({ length: 1500 }, (_, i) => `e${i}`);
    expect(await back(ids, { isCancelled: () => isCancelled, onProgress: () => (isCancelled = true) })).toMatchObject({
      done: 1000,
      struck: 1000,
    });
  });
});
