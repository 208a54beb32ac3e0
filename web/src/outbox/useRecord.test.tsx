import { screen } from '@testing-library/react';
import { useState } from 'react';
import { AWAY, no, renderPage } from '../tests/renderPage';
import { aHolding } from '../tests/builders';
import { useRecord, type RecordOutcome } from './useRecord';

function Form() {
  const record = useRecord();
  const [outcome, setOutcome] = useState<RecordOutcome>();
  const draft = { type: 'note', animalId: 'a', on: '2026-11-23', text: 'calm' } as const;
  return (
    <>
      <button type="button" onClick={() => void record([draft]).then(setOutcome)}>
        Save
      </button>
      <output>{outcome?.kind === 'refused' ? outcome.messages.join(' ') : outcome?.kind}</output>
    </>
  );
}

const answers = { 'GET /api/holding': aHolding(), 'POST /api/entries': AWAY };

it('keeps on the device what cannot be sent', async () => {
  const { user } = renderPage(<Form />, { answers });
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText('kept-here')).toBeTruthy();
});

it.each([
  [401, '/problems/not-joined'],
  [401, '/problems/not-logged-in'],
  [401, ''],
  [429, ''],
  [503, ''],
])('keeps what a server that says %s %s has neither taken nor refused', async (status, type) => {
  const { user } = renderPage(<Form />, {
    answers: { ...answers, 'POST /api/entries': no(status, 'Not now.', undefined, type) },
  });
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText('kept-here')).toBeTruthy();
});

it.each([
  [400, ''],
  [403, '/problems/not-yours'],
])('shows a refusal where it was typed: %s %s', async (status, type) => {
  const { user } = renderPage(<Form />, {
    answers: { ...answers, 'POST /api/entries': no(status, 'Not so.', undefined, type) },
  });
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText('Not so.')).toBeTruthy();
});

it('says at once when the device cannot keep it either', async () => {
  const { user, outbox } = renderPage(<Form />, { answers });
  jest.spyOn(outbox, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText(/its storage is full or shut/)).toBeTruthy();
});

it('puts the name of who is logged in under what is written', async () => {
  const { user, entries } = renderPage(<Form />, {
    answers: { 'GET /api/holding': aHolding({ writer: { name: 'Hatice', role: 'helper' } }) },
  });
  await new Promise((resolve) => setTimeout(resolve, 20));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText('kept')).toBeTruthy();
  expect(entries()).toMatchObject([{ writtenBy: 'Hatice' }]);
});
