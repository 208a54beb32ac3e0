// @alone First of all: it adds a kind to the lists the others read.
import '../tests/bellKind';
import type { AnimalView, EntryAnswer } from '@yaylak/contract';
import { emptyFacts } from '@yaylak/core';
import { arrival, fact, strike, testApp, type TestApp } from '../tests/testApp';
import { BookService } from './book.service';

const ANIMAL = '0191d5a0-0000-7000-8000-0000000000aa';
let t: TestApp;

beforeAll(async () => {
  t = await testApp();
  await t.post(arrival(ANIMAL));
});
afterAll(() => t.close());

const bell = (change: object) => fact('bell' as never, ANIMAL, { tone: 440, maker: 'Kerem', ...change });
const bells = (): unknown => (t.app.get(BookService).state.animals.get(ANIMAL) as unknown as { bells: unknown }).bells;
const timeline = async () =>
  ((await t.http().get(`/api/animals/${ANIMAL}`).expect(200)).body as AnimalView).timeline.map(({ entry, struck }) => [
    entry.type,
    struck !== null,
  ]);

it('has a list of its own', () => {
  expect(emptyFacts({ id: 'a' } as never)).toMatchObject({ bells: [] });
});

it('is kept, shown, exported, read from disk, and struck out', async () => {
  const entry = bell({});
  expect(await t.post(entry)).toEqual([{ id: entry.id, status: 'kept' }]);
  expect(bells()).toEqual([{ entryId: entry.id, on: expect.any(Number), tone: 440 }]);
  expect(await timeline()).toContainEqual(['bell', false]);
  const file = (await t.http().get('/api/book').expect(200)).body as { entries: unknown[] };
  expect(file.entries).toContainEqual(
    expect.objectContaining({ id: entry.id, type: 'bell', tone: 440, maker: 'Kerem' }),
  );
  t = await t.again();
  expect(bells()).toEqual([{ entryId: entry.id, on: expect.any(Number), tone: 440 }]);
  await t.post(strike(entry.id));
  expect(bells()).toEqual([]);
  expect(await timeline()).toContainEqual(['bell', true]);
});

it('is refused by its shape, by its rule, and by the rules of every entry', async () => {
  const answers: readonly EntryAnswer[] = await t.post(
    bell({ tone: 'high' }),
    bell({ tone: 0 }),
    bell({ on: '2199-01-01' }),
  );
  expect(answers).toMatchObject([
    { status: 'refused', faults: [{ field: 'tone' }] },
    { status: 'refused', refusal: { code: 'amount-not-positive', field: 'tone' } },
    { status: 'refused', refusal: { code: 'in-future' } },
  ]);
});
