import { screen, waitFor, within } from '@testing-library/react';
import type { CopiesView, CopyLossView, CopyView, Entry } from '@yaylak/contract';
import { newId } from '../../words/ids';
import { aHolding } from '../../tests/builders';
import { AWAY, no, renderPage, type Answers, type Asked } from '../../tests/renderPage';
import { HoldingPage } from './HoldingPage';

const aCopy = (at: string, change: Partial<CopyView> = {}): CopyView => ({
  name: `yaylak-${at}.sqlite`,
  at,
  reason: 'daily',
  animals: 242,
  entries: 7432,
  bytes: 8_440_000,
  isInSecond: false,
  ...change,
});
const copies = (change: Partial<CopiesView> = {}): CopiesView => ({
  folder: '/home/aylin/yaylak/backups',
  copies: [aCopy('2026-11-23T09:00'), aCopy('2026-11-20T18:30', { reason: 'migration', isInSecond: true })],
  second: null,
  following: null,
  failed: null,
  putBack: null,
  ...change,
});
const show = (view: CopiesView, answers: Answers = {}) =>
  renderPage(<HoldingPage part="copies" />, {
    at: '/holding/copies',
    route: '/holding/copies',
    answers: { 'GET /api/copies': view, 'GET /api/holding': aHolding(), ...answers },
  });
const row = async (made: string): Promise<HTMLElement> => (await screen.findByText(made)).closest('tr') as HTMLElement;

it('lists the copies with what is in them, and says what is in the second place too', async () => {
  show(
    copies({
      second: {
        path: '/media/stick',
        state: 'there',
        lastAt: '2026-11-20T18:30',
        said: null,
        isLocked: false,
        isUnderWay: false,
      },
    }),
  );
  expect(await row('23 Nov 2026, 09:00')).toHaveTextContent(/of the day2427,432.?8\.4\sMBPut back$/);
  expect(await row('20 Nov 2026, 18:30')).toHaveTextContent(/before a new version.*there tooPut back$/);
  expect(screen.getByText('There, with the copy of 20 Nov 2026, 18:30.')).toBeVisible();
});

it('copies the book now', async () => {
  const { user, asked } = show(copies({ copies: [] }), {
    'POST /api/copies': copies({ copies: [aCopy('2026-11-23T10:00', { reason: 'asked' })] }),
  });
  expect(await screen.findByText('No copy yet')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Copy the book now' }));
  expect(await row('23 Nov 2026, 10:00')).toHaveTextContent('asked for');
  expect(screen.getByText('The book is copied.')).toBeVisible();
  expect(asked.filter((a) => a.method === 'POST')).toHaveLength(1);
});

it('says what the machine said where a copy could not be made, and keeps those there are', async () => {
  const { user } = show(copies(), { 'POST /api/copies': copies({ failed: 'database or disk is full' }) });
  await row('23 Nov 2026, 09:00');
  await user.click(screen.getByRole('button', { name: 'Copy the book now' }));
  expect(await screen.findByRole('alert')).toHaveTextContent(
    'The last copy could not be made: database or disk is full. Make room on the disk',
  );
  expect(screen.queryByText('The book is copied.')).not.toBeInTheDocument();
});

it('says where the book is followed to', async () => {
  show(copies({ following: { to: '/media/disk/following', said: null } }));
  expect(await screen.findByText(/^The book is followed to \/media\/disk\/following/)).toBeVisible();
});

it('says what is wrong when the book is not followed', async () => {
  show(copies({ following: { to: '/media/disk', said: 'no space left on device' } }));
  expect(await screen.findByText(/not followed to \/media\/disk: no space left on device\./)).toBeVisible();
});

describe('putting one back', () => {
  const name = 'yaylak-2026-11-20T18:30.sqlite';
  const note = { id: newId(), type: 'note', animalId: newId(), on: '2026-11-22', text: 'lame', writtenBy: 'Aylin' };
  const loss: CopyLossView = {
    gone: { entries: 31, animals: 1 },
    back: { entries: 0, animals: 0 },
    newest: [{ ...note, writtenAt: '2026-11-22T10:00:00Z', source: 'hand' } as Entry],
  };
  /** The server, which is closed when it is first asked how it went. */
  const putBack = (failed: string | null): Answers => {
    let id = '';
    let looks = 0;
    return {
      [`GET /api/copies/${name}/loss`]: loss,
      [`POST /api/copies/${name}/put-back`]: ({ body }: Asked) => {
        ({ id } = body as { id: string });
        return copies();
      },
      'GET /api/copies': () => {
        if (id === '') return copies();
        if (looks++ === 0) return AWAY;
        return copies({ putBack: { id, failed } });
      },
    };
  };
  const open = async (failed: string | null) => {
    const shown = show(copies(), putBack(failed));
    await shown.user.click(await screen.findByRole('button', { name: 'Put back the copy of 20 Nov 2026, 18:30' }));
    return { ...shown, sheet: within(screen.getByRole('dialog')) };
  };

  it('says what would be lost first, and that the book as it is is copied', async () => {
    const { sheet, asked } = await open(null);
    expect(await sheet.findByText('31 entries were written since and would be lost, with one animal.')).toBeVisible();
    expect(sheet.getByText('lame')).toBeVisible();
    expect(sheet.getByText('and 30 more')).toBeVisible();
    expect(sheet.getByText(/The book as it stands now is copied first/)).toBeVisible();
    expect(asked.filter((a) => a.method === 'POST')).toEqual([]);
  });

  it('waits until the book is open again, and reads everything anew', async () => {
    const { user, sheet } = await open(null);
    await user.click(await sheet.findByRole('button', { name: 'Put it back' }));
    expect(
      await screen.findByText(/^The book is as it was at 20 Nov 2026, 18:30\./, {}, { timeout: 5000 }),
    ).toBeVisible();
    expect(screen.queryByRole('dialog')).not.toBeInTheDocument();
  });

  it('says what went wrong, and that the book is as it was', async () => {
    const { user, sheet } = await open('database or disk is full');
    await user.click(await sheet.findByRole('button', { name: 'Put it back' }));
    expect(await sheet.findByRole('alert', {}, { timeout: 5000 })).toHaveTextContent(
      'The copy could not be put back: database or disk is full. The book is as it was.',
    );
  });
});

describe('the second place', () => {
  it('is named, and what stands against it is said at its field', async () => {
    let isThere = false;
    const { user, asked } = show(copies(), {
      'PUT /api/copies/second': () =>
        isThere
          ? copies({
              second: {
                path: '/media/stick',
                state: 'there',
                lastAt: null,
                said: null,
                isLocked: false,
                isUnderWay: false,
              },
            })
          : no(400, 'Some fields cannot be taken as they are.', 'There is no folder /media/stick.'),
    });
    await user.type(await screen.findByLabelText('Folder'), '/media/stick');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/There is no folder \/media\/stick\./)).toBeVisible();
    isThere = true;
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('There, with no copy on it yet.')).toBeVisible();
    expect(asked.filter((a) => a.method === 'PUT').map((a) => a.body)).toEqual([
      { path: '/media/stick' },
      { path: '/media/stick' },
    ]);
  });

  it.each([
    ['missing', /\/media\/stick is not there\. Plug it in: .* The newest copy on it is of 20 Nov 2026\./],
    ['failed', /\/media\/stick could not be written: disk full\. Make room on it, or name another\./],
  ] as const)('is told of when it is %s', async (state, says) => {
    show(
      copies({
        second: {
          path: '/media/stick',
          state,
          lastAt: '2026-11-20T18:30',
          said: 'disk full',
          isLocked: false,
          isUnderWay: false,
        },
      }),
    );
    expect(await screen.findByText(says)).toHaveAttribute('role', 'status');
  });

  it('is done without', async () => {
    const { user, asked } = show(
      copies({
        second: {
          path: '/media/stick',
          state: 'missing',
          lastAt: null,
          said: null,
          isLocked: false,
          isUnderWay: false,
        },
      }),
      { 'PUT /api/copies/second': copies() },
    );
    await user.click(await screen.findByRole('button', { name: 'Do without' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Do without' })).not.toBeInTheDocument());
    expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({ path: '' });
    expect(screen.getByLabelText('Folder')).toHaveValue('');
  });
});

describe('the second place, encrypted', () => {
  const second = { path: '/media/stick', state: 'there', lastAt: '2026-11-20T18:30', said: null } as const;
  const plain = copies({ second: { ...second, isLocked: false, isUnderWay: false } });
  const locked = copies({ second: { ...second, isLocked: true, isUnderWay: false } });
  const words = Array.from({ length: 24 }, (_, i) => `word${i + 1}`);

  it('asks for a passphrase twice, and leaves only when the words are on paper', async () => {
    const { user, asked } = show(plain, { 'PUT /api/copies/second/lock': { copies: locked, words } });
    await user.click(await screen.findByRole('button', { name: 'Encrypt what goes there' }));
    const sheet = within(screen.getByRole('dialog'));
    await user.type(sheet.getByLabelText('Passphrase'), 'three brown ewes');
    await user.type(sheet.getByLabelText('The same once more'), 'three brown ewe');
    await user.click(sheet.getByRole('button', { name: 'Encrypt' }));
    expect(sheet.getByText(/The two are not the same/)).toBeVisible();
    expect(asked.filter((a) => a.method === 'PUT')).toHaveLength(0);
    await user.type(sheet.getByLabelText('The same once more'), 's');
    await user.click(sheet.getByRole('button', { name: 'Encrypt' }));
    expect(await sheet.findByText('word24')).toBeVisible();
    expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({ passphrase: 'three brown ewes' });
    await user.keyboard('{Escape}');
    expect(sheet.getByRole('alert')).toHaveTextContent('They cannot be shown again.');
    await user.click(sheet.getByLabelText('The words are on paper'));
    await user.click(sheet.getByRole('button', { name: 'Done' }));
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(
      screen.getByText(/^What goes there is encrypted\..+npm run unlock -- \/media\/stick and a new folder/),
    ).toBeVisible();
  });

  it('says while it is written that the stick is to stay in', async () => {
    let looks = 0;
    const busy = copies({ second: { ...second, isLocked: true, isUnderWay: true } });
    show(busy, { 'GET /api/copies': () => (looks++ === 0 ? busy : locked) });
    expect(await screen.findByText(/Leave the stick in until this line is gone/)).toBeVisible();
    await waitFor(() => expect(screen.queryByText(/Leave the stick in/)).not.toBeInTheDocument(), { timeout: 3_000 });
  });

  it('is as it is again when it is to, and says what kept it from that', async () => {
    const { user } = show(locked, { 'PUT /api/copies/second/lock': no(507, 'The disk is full.') });
    await user.click(await screen.findByRole('button', { name: 'Stop encrypting' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The disk is full.');
    expect(screen.getByRole('button', { name: 'New passphrase' })).toBeEnabled();
  });
});
