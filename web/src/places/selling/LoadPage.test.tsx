import type { LoadHeadView, PlannedLoadView } from '@yaylak/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { anIdentifier, anOutlet, aTag } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { LoadPage } from './LoadPage';

const bridge = anOutlet('Stone bridge', { payBy: 'carcass-kg' });
const aHead = (text: string, change: Partial<LoadHeadView> = {}): LoadHeadView => ({
  tag: aTag(text),
  weight: { kg: 44, on: '2026-11-23' },
  checks: [],
  ...change,
});
const first = aHead('26-0031');
const aLoad = (change: Partial<PlannedLoadView> = {}): PlannedLoadView => ({
  id: 'load',
  version: 1,
  facts: { outletId: bridge.id, on: '2026-11-26', animalIds: [first.tag.animalId] },
  heads: [first],
  isGone: false,
  ...change,
});
const held = aHead('26-0032', {
  checks: [{ code: 'meat-withheld', isStop: true, until: '2026-12-04', clearOn: '2026-12-05' }],
});

const show = async (load = aLoad(), answers: Answers = {}) => {
  const shown = renderPage(<LoadPage />, {
    at: '/selling/loads/load',
    route: '/selling/loads/:id',
    answers: {
      'GET /api/selling/loads/load': load,
      'GET /api/selling/loads': [load],
      'GET /api/selling/outlets': [bridge],
      'GET /api/identifiers': ['26-0031', '26-0032', '26-0040'].map((n) => anIdentifier(n)),
      'PUT /api/selling/loads/load': ({ body }: { body: PlannedLoadView['facts'] & { version: number } }) => {
        const { version, ...facts } = body;
        return { ...load, facts, version: version + 1 };
      },
      ...answers,
    },
  });
  await screen.findByRole('heading', { name: 'Load for Stone bridge' });
  const changes = () => shown.asked.filter((a) => a.method === 'PUT').map((a) => a.body as object);
  const take = async (number: string): Promise<void> => {
    await waitFor(() => expect(shown.asked.some((a) => a.path === '/api/identifiers')).toBe(true));
    await user.type(screen.getByLabelText('Number, typed or read'), `${number}{Enter}`);
  };
  const { user } = shown;
  return { ...shown, changes, take };
};

it('shows whom another device has taken aboard', async () => {
  jest.useFakeTimers({ advanceTimers: true });
  let aboard: string[] = [];
  await show(aLoad(), {
    'GET /api/selling/loads/load': () => aLoad({ facts: { ...aLoad().facts, aboard } }),
  });
  expect(screen.getByText(/1 head\./)).toBeVisible();
  aboard = [first.tag.animalId];
  jest.advanceTimersByTime(5_100);
  expect(await screen.findByText(/1 head, 1 aboard\./)).toBeVisible();
  jest.useRealTimers();
});

it('puts one on by its number, and lets one of the load go aboard', async () => {
  const { take, changes } = await show();
  await take('26-0031');
  expect(await screen.findByText('26-0031 is aboard.')).toBeVisible();
  expect(changes()).toMatchObject([{ version: 1, aboard: [first.tag.animalId] }]);
  await take('26-0040');
  expect(await screen.findByText('26-0040 is on the load.')).toBeVisible();
  expect(changes()[1]).toMatchObject({ animalIds: [first.tag.animalId, anIdentifier('26-0040').animalId] });
  await take('99');
  expect(await screen.findByRole('alert')).toHaveTextContent('No animal is tagged “99”.');
});

it('says at the gate what is to be known of one that goes aboard', async () => {
  const lame = aHead('26-0031', { checks: [{ code: 'lame', isStop: false, on: '2026-11-20' }] });
  const { take } = await show(aLoad({ heads: [lame] }));
  await take('26-0031');
  expect(
    await screen.findByText('26-0031 is aboard. Feet or legs failed on 20 Nov 2026: look whether it goes sound.'),
  ).toBeVisible();
});

it('keeps one off that may not go, says why, and does not leave with it', async () => {
  const facts = { ...aLoad().facts, animalIds: [first, held].map((h) => h.tag.animalId) };
  const { take, user, changes } = await show(aLoad({ facts, heads: [first, held] }));
  expect(screen.getByRole('row', { name: /26-0032/ })).toHaveTextContent(
    'Stays here. Meat is withheld to the end of 4 Dec 2026: for slaughter from 5 Dec 2026.',
  );
  expect(screen.getByRole('button', { name: 'The load leaves…' })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: 'Take 26-0032 off the load' }));
  expect(changes()).toMatchObject([{ animalIds: [first.tag.animalId] }]);
  await take('26-0031');
  expect(changes()).toHaveLength(2);
});

it('says what the server has against one that was read', async () => {
  const { take } = await show(aLoad(), {
    'PUT /api/selling/loads/load': no(409, '26-0040 stays here.', 'Reserved for Ms Hill.'),
  });
  await take('26-0040');
  expect(await screen.findByRole('alert')).toHaveTextContent('26-0040 stays here. Reserved for Ms Hill.');
});

it('leaves in one act, with the weights of today', async () => {
  const { user, entries } = await show();
  await user.click(screen.getByRole('button', { name: 'The load leaves…' }));
  const sheet = within(screen.getByRole('dialog', { name: 'A load for Stone bridge' }));
  expect(sheet.getByLabelText('Weight of 26-0031, kg')).toHaveValue('44.0');
  await user.type(sheet.getByLabelText('Paid for 26-0031, EUR'), 'much');
  await user.click(sheet.getByRole('button', { name: 'The load of 1 has left' }));
  expect(await sheet.findByText('“much”: type a figure over 0.')).toBeVisible();
  const haulage = sheet.getByLabelText('Haulage of the load, EUR');
  await user.clear(haulage);
  await user.type(haulage, '-5');
  await user.click(sheet.getByRole('button', { name: 'The load of 1 has left' }));
  expect(await sheet.findByText('“-5” is under 0. Type 0 or more, or leave it empty.')).toBeVisible();
  await user.clear(haulage);
  await user.type(haulage, '12,50');
  await user.clear(sheet.getByLabelText('Paid for 26-0031, EUR'));
  await user.type(sheet.getByLabelText('Paid for 26-0031, EUR'), '111,20');
  await user.click(sheet.getByRole('button', { name: 'The load of 1 has left' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([
      {
        type: 'departure',
        how: 'slaughtered',
        outletId: bridge.id,
        buyer: 'Stone bridge',
        kg: 44,
        priceMinor: 11_120,
        haulageMinor: 1_250,
      },
    ]),
  );
});

it('leaves with those aboard, and not with the others, also where one of them may not go', async () => {
  const third = aHead('26-0040');
  const heads = [first, held, third];
  const facts = { ...aLoad().facts, animalIds: heads.map((h) => h.tag.animalId), aboard: [third.tag.animalId] };
  const { user, entries, changes } = await show(aLoad({ facts, heads }));
  expect(screen.getByRole('button', { name: 'All 3 leave…' })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: 'The one aboard leaves…' }));
  const sheet = within(screen.getByRole('dialog', { name: 'A load for Stone bridge' }));
  expect(sheet.getByText('2 are not aboard and stay here: 26-0031, 26-0032.')).toBeVisible();
  await user.click(sheet.getByRole('button', { name: 'The load of 1 has left' }));
  await waitFor(() => expect(entries()).toMatchObject([{ type: 'departure', animalId: third.tag.animalId }]));
  // The load is as it was planned: taken back, all of it is there again.
  expect(changes()).toHaveLength(0);
});

it('puts one on beside what another device saved meanwhile, and keeps a number typed that is not taken', async () => {
  const other = aHead('26-0032');
  const saved = aLoad({
    version: 5,
    facts: { ...aLoad().facts, animalIds: [first.tag.animalId, other.tag.animalId] },
    heads: [first, other],
  });
  let times = 0;
  const { take, changes } = await show(aLoad(), {
    'PUT /api/selling/loads/load': () =>
      ++times === 1 ? { ...no(409, 'Changed.', undefined, '/problems/changed-meanwhile'), current: saved } : saved,
  });
  await take('26-0040');
  expect(await screen.findByText('26-0040 is on the load.')).toBeVisible();
  expect(changes()).toMatchObject([
    { version: 1 },
    { version: 5, animalIds: [first.tag.animalId, other.tag.animalId, anIdentifier('26-0040').animalId] },
  ]);
  expect(screen.getByLabelText('Number, typed or read')).toHaveValue('');
  await take('99-9999');
  expect(await screen.findByRole('alert')).toHaveTextContent('No animal is tagged “99-9999”. Look at the tag again.');
  expect(screen.getByLabelText('Number, typed or read')).toHaveValue('99-9999');
});

it('that has left is not loaded again: it says who went and where what it brought stands', async () => {
  const gone = aHead('26-0031', { checks: [{ code: 'gone', isStop: true, on: '2026-11-26' }] });
  await show(aLoad({ heads: [gone], isGone: true }));
  expect(screen.getByText('1 head has left.')).toBeVisible();
  expect(screen.getByRole('link', { name: 'sales' })).toHaveAttribute('href', '/selling/results?species=sheep');
  expect(screen.getByRole('link', { name: 'its kill sheet is read' })).toBeVisible();
  expect(screen.getByRole('table', { name: 'Who went' })).toHaveTextContent('26-0031');
  expect(screen.queryByText(/Stays here/)).toBeNull();
  for (const name of [/Take it/, /off the load/, /The load leaves/, /Give the load up/])
    expect(screen.queryByRole('button', { name })).toBeNull();
});
