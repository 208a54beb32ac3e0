import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useState } from 'react';
import { holdingQuery } from '../api/queries';
import { aHolding } from '../tests/builders';
import { dayShown, typeDay } from '../tests/dates';
import { Field } from './Field';

function show(type: string, start: string, dateOrder: 'day-month' | 'month-day' | 'year-month' = 'day-month') {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(holdingQuery.queryKey, { ...aHolding({ dateOrder }) } as never);
  const said: string[] = [];
  function Page() {
    const [value, setValue] = useState(start);
    return (
      <form
        onSubmit={(e) => {
          e.preventDefault();
          said.push('sent');
        }}
      >
        <Field
          label="On"
          type={type}
          value={value}
          onChange={(v) => {
            said.push(v);
            setValue(v);
          }}
        />
      </form>
    );
  }
  render(
    <QueryClientProvider client={client}>
      <Page />
    </QueryClientProvider>,
  );
  return { user: userEvent.setup(), said };
}

it.each([
  ['day-month', '23/11/2026'],
  ['month-day', '11/23/2026'],
  ['year-month', '2026/11/23'],
] as const)('writes a day as the holding does: %s', (order, shown) => {
  show('date', '2026-11-23', order);
  expect(dayShown('On')).toBe(shown);
});

it('is typed part by part, and says nothing of a year half typed', async () => {
  const { user, said } = show('date', '');
  await typeDay(user, 'On', '2026-02-28');
  expect(said.at(-1)).toBe('2026-02-28');
  expect(said.filter((v) => v !== '' && !v.startsWith('2026'))).toEqual([]);
});

it('takes the day and hour where hours count', async () => {
  const { user, said } = show('datetime-local', '2026-11-23T07:30');
  expect(dayShown('On')).toBe('23/11/2026/07/30');
  await typeDay(user, 'On', '2026-11-24T19:05');
  expect(said.at(-1)).toBe('2026-11-24T19:05');
});

it('takes an hour alone', async () => {
  const { user, said } = show('time', '07:30');
  await user.click(screen.getAllByRole('spinbutton')[0] as HTMLElement);
  await user.keyboard('2115');
  expect(said.at(-1)).toBe('21:15');
});

it('has a calendar', async () => {
  const { user, said } = show('date', '2026-11-23');
  await user.click(screen.getByRole('button', { name: /Calendar for On/ }));
  await user.click(await screen.findByRole('button', { name: /28 November 2026/ }));
  expect(said).toEqual(['2026-11-28']);
});

it('sends the form by Enter, as any field does', async () => {
  const { user, said } = show('date', '2026-11-23');
  await user.click(screen.getAllByRole('spinbutton')[0] as HTMLElement);
  await user.keyboard('{Enter}');
  expect(said).toEqual(['sent']);
});

it('a value that is no day is none', () => {
  show('date', '2026-02-30');
  expect(dayShown('On')).toBe('dd/mm/yyyy');
});
