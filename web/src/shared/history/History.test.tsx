import { screen, within } from '@testing-library/react';
import type { ChangeView, HistoryView } from '@yaylak/contract';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { HistoryButton } from './HistoryButton';

const changed = (change: Partial<ChangeView>): ChangeView => ({
  id: '0',
  at: '2026-11-23T10:05',
  by: 'Kerem',
  kind: 'changed',
  name: null,
  fields: [],
  ...change,
});
const open = async (answer: Answers[string], thingId?: string) => {
  const { user, asked } = renderPage(
    <HistoryButton what="product" {...(thingId === undefined ? {} : { thingId })} name="White drench" />,
    { answers: { 'GET /api/history': answer } },
  );
  await user.click(screen.getByRole('button', { name: 'Changes of White drench' }));
  return { user, asked, sheet: within(await screen.findByRole('dialog')) };
};

it('says who changed what and when, and what it said before', async () => {
  const view: HistoryView = {
    changes: [
      changed({ fields: [{ field: 'Meat (days) of number 1', before: '14', after: '21' }] }),
      changed({ id: '1', by: 'Aylin', kind: 'made', fields: [{ field: 'Name', before: null, after: 'White drench' }] }),
    ],
    next: null,
  };
  const { asked, sheet } = await open(view, 'p');
  expect(await sheet.findByText('Meat (days) of number 1:', { exact: false })).toHaveTextContent(
    'Meat (days) of number 1: 14 21',
  );
  expect(sheet.getByText('by Kerem, 23 Nov 2026, 10:05')).toBeVisible();
  expect(sheet.getByText('Name: White drench')).toBeVisible();
  expect(sheet.queryByRole('button', { name: 'Older changes' })).toBeNull();
  expect(asked.map((a) => a.path)).toContain('/api/history?what=product&thingId=p');
});

it('goes on to older ones, and names each where they are of all', async () => {
  const pages: Record<string, HistoryView> = {
    '': { changes: [changed({ id: 'b', name: 'White drench' })], next: 'b' },
    b: { changes: [changed({ id: 'a', name: 'Pour-on', kind: 'removed' })], next: null },
  };
  const { user, sheet } = await open(({ query }) => pages[query.get('after') ?? '']);
  expect(await sheet.findByText('White drench: changed')).toBeVisible();
  await user.click(sheet.getByRole('button', { name: 'Older changes' }));
  expect(await sheet.findByText('Pour-on: removed')).toBeVisible();
});

it('shows of what was made as a whole the first figures, and all of them when they are asked for', async () => {
  const fields = Array.from({ length: 6 }, (_, i) => ({ field: `Figure ${i}`, before: null, after: String(i) }));
  const { user, sheet } = await open({ changes: [changed({ kind: 'made', fields })], next: null });
  await user.click(await sheet.findByRole('button', { name: 'Show all 6' }));
  expect(sheet.getByText(/^Figure 5/)).toBeVisible();
});

it('says that nothing was changed, and why it cannot be read', async () => {
  const answers: Answers[string][] = [no(507, 'The disk is full.'), { changes: [], next: null }];
  const { user, sheet } = await open(() => answers.shift() as object);
  expect(await sheet.findByText('The disk is full.', { exact: false })).toBeVisible();
  await user.click(sheet.getByRole('button', { name: 'Try again' }));
  expect(await sheet.findByText('Nothing was changed since changes are kept.')).toBeVisible();
});
