import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { Entry, EntryAnswer } from '@yaylak/contract';
import { aHolding, anIdentifier, TODAY } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { FilesPage } from './FilesPage';
import { createImporter } from './importer';
import { choose } from '../../tests/choose';

// @alone The worker's own work, in this thread: a test page has no workers.
jest.mock('./importWorkerClient', () => ({ importWorker: () => mockImporter }));
const mockImporter = createImporter();

/** Keeps weights under 100 kg; what was kept is known the next time, what was struck out is said to be. */
function aBook() {
  const kept = new Map<string, Entry>();
  const struck = new Set<string>();
  const answer = (e: Entry, isKeeping: boolean): EntryAnswer => {
    if (e.type === 'weight' && e.kg > 100)
      return { id: e.id, status: 'refused', message: `${e.kg} kg is too much.`, refusal: { field: 'kg' } as never };
    if (kept.has(e.id))
      return { id: e.id, status: 'already-kept', ...(struck.has(e.id) ? { isStruck: true as const } : {}) };
    if (isKeeping) {
      kept.set(e.id, e);
      if (e.type === 'strike') struck.add(e.entryId);
    }
    return e.type === 'weight' && e.kg === 4.15
      ? { id: e.id, status: 'kept', doubt: { kind: 'same-day', fromKg: 41.2, likelyKg: 41.5 } }
      : { id: e.id, status: 'kept' };
  };
  const answers: Answers = {
    'POST /api/entries': ({ body, query }: { body: { entries: Entry[] }; query: URLSearchParams }) => ({
      answers: body.entries.map((e) => answer(e, query.get('mode') !== 'check')),
    }),
    'GET /api/identifiers': [anIdentifier('26-0001'), anIdentifier('26-0002')],
  };
  return { kept, struck, answers };
}

const aFile = (text: string, name = 'weights.csv'): File => {
  const bytes = new TextEncoder().encode(text);
  return Object.assign(new File([bytes], name, { type: 'text/csv' }), {
    arrayBuffer: () => Promise.resolve(bytes.buffer),
    text: () => Promise.resolve(text),
  });
};
const pick = async (
  user: ReturnType<typeof renderPage>['user'],
  file: File,
  label = 'Choose a spreadsheet or CSV file',
) => {
  const button = screen.getByRole('button', { name: label });
  const input = button.parentElement?.querySelector('input[type=file]') ?? document.querySelector('input[type=file]');
  await user.upload(input as HTMLInputElement, file);
};
const GOOD = 'Ear tag;Date;Weight\n26-0001;1.11.2026;41,5\n26-0002;2.11.2026;39\n';

const show = async (book = aBook()) => {
  const shown = renderPage(<FilesPage />, { answers: book.answers });
  await waitFor(() => expect(shown.asked.map((a) => a.path)).toContain('/api/identifiers'));
  return { ...shown, book };
};
const look = (user: ReturnType<typeof renderPage>['user']) =>
  user.click(screen.getByRole('button', { name: 'Look at what would happen' }));

it('guesses the columns, shows what would happen, and takes the rows in', async () => {
  const { user, book } = await show();
  await pick(user, aFile(GOOD));
  expect(await screen.findByLabelText('weight (needed)')).toHaveTextContent(/^Weight$/);
  await look(user);
  expect(await screen.findByText(/2 new/)).toBeVisible();
  expect(book.kept.size).toBe(0);
  await user.click(screen.getByRole('button', { name: 'Take in 2' }));
  expect(await screen.findByRole('heading', { name: '2 taken in' })).toBeVisible();
  expect([...book.kept.values()]).toMatchObject([
    { type: 'weight', animalId: 'id of 26-0001', on: '2026-11-01', kg: 41.5, source: 'import', writtenBy: 'Aylin' },
    { type: 'weight', animalId: 'id of 26-0002', kg: 39 },
  ]);
});

it('shows each bad row with line, column, value and reason, and takes the rest', async () => {
  const { user, book } = await show();
  await pick(user, aFile(`${GOOD}99-1;3.11.2026;40\n26-0001;31.2.2026;40\n26-0001;4.11.2026;9999\n`));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  const bad = await screen.findByTestId('bad-rows');
  expect(
    within(bad)
      .getAllByRole('row')
      .slice(1)
      .map((r) => r.textContent),
  ).toEqual([
    '4numberno animal is tagged “99-1”; add it first, or correct the number',
    expect.stringContaining('5date“31.2.2026” is not a real date'),
    '6weight9999 kg is too much.',
  ]);
  await user.click(screen.getByRole('button', { name: 'Take in 2' }));
  expect(await screen.findByText(/3 left out/)).toBeVisible();
  expect(book.kept.size).toBe(2);
});

it('takes the whole file back, and in again only when that is asked', async () => {
  const { user, book } = await show();
  await pick(user, aFile(GOOD));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  await user.click(await screen.findByRole('button', { name: 'Take in 2' }));
  await user.click(await screen.findByRole('button', { name: 'Take the whole file back' }));
  expect(await screen.findByText('Taken back: 2 entries of the file struck out.')).toBeVisible();
  expect(book.struck.size).toBe(2);
  expect([...book.kept.values()].slice(2)).toMatchObject([{ type: 'strike', on: TODAY }, { type: 'strike' }]);

  await look(user);
  expect(await screen.findByText(/0 new/)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Take in 0' })).toBeDisabled();
  await user.click(screen.getByRole('checkbox', { name: /2 rows were taken in before and struck out since/ }));
  await look(user);
  await user.click(await screen.findByRole('button', { name: 'Take in 2' }));
  expect(await screen.findByRole('heading', { name: '2 taken in' })).toBeVisible();
});

it('is taken back after a reload too, by Ctrl+Z, and only once', async () => {
  const first = await show();
  await pick(first.user, aFile(GOOD));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(first.user);
  await first.user.click(await screen.findByRole('button', { name: 'Take in 2' }));
  await screen.findByRole('heading', { name: '2 taken in' });
  cleanup();
  const { user, book } = await show(first.book);
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Taken back: took in 2 rows of “weights.csv”')).toBeVisible();
  expect(book.struck.size).toBe(2);
});

it('leaves out weights that look wrong, unless they are taken as they stand', async () => {
  const { user, book } = await show();
  await pick(user, aFile(`${GOOD}26-0001;3.11.2026;4,15\n26-0002;4.11.2026;4,15\n`));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  const rows = within(await screen.findByTestId('doubtful-rows'))
    .getAllByRole('row')
    .slice(1);
  expect(rows[0]).toHaveTextContent('426-00014.2 kg on 3 Nov41.2 kg on the same day. Did you mean 41.5 kg?');
  expect(screen.getByText(/2 look wrong/)).toBeVisible();
  await user.click(screen.getByRole('checkbox', { name: 'Take line 5 as it stands' }));
  await user.click(screen.getByRole('button', { name: 'Take in 3' }));
  expect(await screen.findByText(/1 left out, 1 of them because the weight looked wrong/)).toBeVisible();
  expect([...book.kept.values()].map((e) => e.type === 'weight' && e.on)).toEqual([
    '2026-11-01',
    '2026-11-02',
    '2026-11-04',
  ]);
});

it('makes the groups that animals stand in, before they go in', async () => {
  const made: unknown[] = [];
  const book = aBook();
  const answers: Answers = {
    ...book.answers,
    'POST /api/groups': ({ body }: { body: unknown }) => {
      made.push(body);
      return body;
    },
  };
  const { user } = await show({ ...book, answers });
  await choose(user, screen.getByLabelText('It holds'), 'animals');
  await pick(user, aFile('number;species;sex;group;dam\n1;sheep;f;Fold;99\n', 'animals.csv'));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  expect(await screen.findByText(/A group is made/)).toHaveTextContent('A group is made: Fold.');
  expect(screen.getByText(/1 dam or sire is neither in the file nor in the book: 99/)).toBeVisible();
  expect(made).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Take in 1' }));
  await screen.findByRole('heading', { name: '1 taken in' });
  expect(made).toMatchObject([{ name: 'Fold', species: 'sheep' }]);
  expect([...book.kept.values()].map((e) => e.type)).toEqual([
    'arrival',
    'identifier',
    'departure',
    'arrival',
    'identifier',
    'move',
  ]);
});

it('wants the columns it needs, and remembers what was chosen for files with the same headings', async () => {
  const { user } = await show();
  const odd = aFile('A;B;C\n26-0001;1.11.2026;41\n');
  await pick(user, odd);
  expect(await screen.findByText(/Say which column is the/)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Look at what would happen' })).toBeDisabled();
  for (const [field, column] of [
    ['number (needed)', 'A'],
    ['date (needed)', 'B'],
    ['weight (needed)', 'C'],
  ] as const)
    await choose(user, screen.getByLabelText(field), column);
  await look(user);
  expect(await screen.findByText(/1 new/)).toBeVisible();
  await pick(user, odd);
  expect(await screen.findByLabelText('weight (needed)')).toHaveTextContent(/^C$/);
});

it('reads pounds when told so, and forgets what was looked at before', async () => {
  const { user, book } = await show();
  await pick(user, aFile(GOOD));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  await screen.findByText(/2 new/);
  await choose(user, screen.getByLabelText('Weights are in'), 'pounds');
  expect(screen.queryByText(/2 new/)).toBeNull();
  await look(user);
  await user.click(await screen.findByRole('button', { name: 'Take in 2' }));
  await screen.findByRole('heading', { name: '2 taken in' });
  // 39 lb x 0.45359237
  expect([...book.kept.values()][1]).toMatchObject({ kg: expect.closeTo(17.6901, 4) as number });
});

it.each([
  ['', 'is empty'],
  ['number;date;weight\n', 'has headings and no rows'],
  ['\u0000\u0001', 'is neither text nor a workbook'],
])('says what is wrong with a file of %j', async (text, words) => {
  const { user } = await show();
  await pick(user, aFile(text, 'odd.csv'));
  expect(await screen.findByRole('alert')).toHaveTextContent(`“odd.csv” ${words}`);
});

it.each([
  ['the numbers of the animals', 'GET /api/identifiers', () => [anIdentifier('26-0001'), anIdentifier('26-0002')]],
  ['the settings', 'GET /api/holding', () => aHolding()],
])('waits for %s before it judges a row', async (_, path, answer) => {
  const book = aBook();
  let come: (answer: unknown) => void = () => undefined;
  const late = new Promise((resolve) => (come = resolve));
  const { user } = renderPage(<FilesPage />, { answers: { ...book.answers, [path]: late } });
  await pick(user, aFile(GOOD));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  expect(screen.queryByTestId('bad-rows')).toBeNull();
  come(answer());
  expect(await screen.findByRole('button', { name: 'Take in 2' })).toBeVisible();
  expect(screen.queryByTestId('bad-rows')).toBeNull();
});

it('says what stays when the server goes away in the middle', async () => {
  const book = aBook();
  const { user } = renderPage(<FilesPage />, {
    answers: { ...book.answers, 'POST /api/entries': no(503, 'The disk is full.', 'Make room.') },
  });
  await pick(user, aFile(GOOD));
  await screen.findByRole('heading', { name: '2. What its columns are' });
  await look(user);
  expect(await screen.findByRole('alert')).toHaveTextContent(
    'The disk is full. Make room. What was taken in before stays',
  );
});

describe('a whole book', () => {
  const pickBook = async (user: ReturnType<typeof renderPage>['user'], text: string) => {
    await pick(user, aFile(text, 'book.json'), 'Choose a book file');
  };
  it('is read in and counted', async () => {
    const { user } = renderPage(<FilesPage />, { answers: { 'POST /api/book': { animals: 3, entries: 40 } } });
    await pickBook(user, '{"entries":[]}');
    expect(await screen.findByText('Read in: 3 animals, 40 entries.')).toBeVisible();
  });
  it('that cannot be says why, by the file’s name', async () => {
    const { user } = renderPage(<FilesPage />, {
      answers: { 'POST /api/book': no(400, 'That is not a whole JSON file.', 'It breaks off on line 3.') },
    });
    await pickBook(user, '{"entries":[');
    expect(
      await screen.findByText('“book.json”: That is not a whole JSON file. It breaks off on line 3.'),
    ).toBeVisible();
  });
  it('shows how far it has come, and is given up by Stop', async () => {
    let isGone = false;
    const { user } = renderPage(<FilesPage />, {
      answers: {
        'POST /api/book': ({ signal }: { signal?: AbortSignal }) =>
          new Promise((_resolve, reject) => {
            signal?.addEventListener('abort', () => {
              isGone = true;
              reject(new DOMException('given up', 'AbortError'));
            });
          }),
        'GET /api/book/reading': () => ({ reading: isGone ? null : { phase: 'writing', done: 500, of: 2000 } }),
        'GET /api/holding': aHolding({ about: { ...aHolding().about, animals: 0 } }),
      },
    });
    await pickBook(user, '{"entries":[]}');
    expect(await screen.findByText('Written 500 of 2000 entries')).toBeVisible();
    expect(screen.getByRole('progressbar')).toHaveAttribute('value', '500');
    await user.click(screen.getByRole('button', { name: 'Stop' }));
    expect(await screen.findByText('Stopped. Nothing of it was read in.')).toBeVisible();
  });
});
