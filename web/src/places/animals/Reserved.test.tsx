import { screen, within } from '@testing-library/react';
import type { Entry } from '@yaylak/contract';
import { aHolding, aTag, aView } from '../../tests/builders';
import { typeDay } from '../../tests/dates';
import { renderPage } from '../../tests/renderPage';
import { tagLabel } from '../../parts/Tag';
import { reservationWords } from '../../words/reserved';
import { Reserved } from './Reserved';
import { ReserveSheet } from './ReserveSheet';
import { WriteDown } from './WriteDown';
import { choose } from '../../tests/choose';

const RESERVED = { entryId: 'r1', buyer: 'Demir', until: '2026-12-12', priceMinor: 24_000, depositMinor: 5_000 };
const keepsAll = ({ body }: { body: { entries: Entry[] } }) => ({
  answers: body.entries.map(({ id }) => ({ id, status: 'kept' })),
});
const written = (asked: readonly { readonly method: string; readonly path: string; readonly body: unknown }[]) =>
  asked.flatMap((a) => (a.path.startsWith('/api/entries') ? (a.body as { entries: Entry[] }).entries : []));

it('is told in words, with what is paid', () => {
  expect(reservationWords(RESERVED, 'EUR').replaceAll('\u00a0', ' ')).toBe(
    'Reserved for Demir to the end of 12 Dec 2026, for 240.00 EUR, 50.00 EUR of it paid.',
  );
  const bare = { ...RESERVED, until: null, priceMinor: null, depositMinor: null };
  expect(reservationWords(bare, 'EUR')).toBe('Reserved for Demir.');
  expect(tagLabel(aTag('26-0001', { reserved: { buyer: 'Demir', until: '2026-12-12' } }))).toBe(
    'yellow tag 26-0001, reserved for Demir to 12 Dec',
  );
});

it('keeps several animals for a buyer, with price, deposit and the spray that shows it', async () => {
  const tags = [aTag('26-0001'), aTag('26-0002')];
  const { user, asked } = renderPage(<ReserveSheet tags={tags} today="2026-11-23" onClose={() => undefined} />, {
    answers: { 'POST /api/entries': keepsAll },
  });
  const sheet = within(await screen.findByRole('dialog', { name: 'Reserve 2 animals' }));
  const send = () => user.click(sheet.getByRole('button', { name: 'Reserve' }));
  await send();
  expect(await sheet.findByText('Say for whom.')).toBeVisible();
  await user.type(sheet.getByLabelText('For whom'), 'Demir');
  await typeDay(user, 'Kept to the end of', '2026-11-01');
  await user.type(sheet.getByLabelText(/^Price a head/), 'much');
  await send();
  expect(await sheet.findByText('That day is over. Enter today or a later day.')).toBeVisible();
  expect(sheet.getByText('“much” is not an amount. Type it as 240 or 240.50, or leave it empty.')).toBeVisible();
  await typeDay(user, 'Kept to the end of', '2026-12-12');
  await user.clear(sheet.getByLabelText(/^Price a head/));
  await user.type(sheet.getByLabelText(/^Price a head/), '240,50');
  await choose(user, sheet.getByLabelText('Spray'), 'red');
  await send();
  await screen.findByText('Reserved 2 animals for Demir');
  expect(written(asked)).toMatchObject(
    tags.flatMap(({ animalId }) => [
      { type: 'reservation', animalId, on: '2026-11-23', buyer: 'Demir', until: '2026-12-12', priceMinor: 24_050 },
      { type: 'mark', animalId, colour: 'red', place: 'back', purpose: 'reserved for Demir', until: '2026-12-12' },
    ]),
  );
});

it('is let go from the animal’s page, and only one that is free can be reserved', async () => {
  const view = aView('26-0001', { reservation: RESERVED });
  const { user, asked } = renderPage(
    <>
      <WriteDown view={view} today="2026-11-23" />
      <Reserved view={view} holding={aHolding()} />
    </>,
    { answers: { 'POST /api/entries': keepsAll } },
  );
  expect(screen.queryByRole('button', { name: 'Reserve' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Let it go' }));
  await screen.findByText('26-0001 is free again');
  expect(written(asked)).toMatchObject([{ type: 'release', reservationId: 'r1', on: '2026-11-23' }]);
});
