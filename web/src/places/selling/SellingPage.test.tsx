import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { SaleCell, SaleRow, SellingView } from '@yaylak/contract';
import { aHolding, anOutlet, aTag, TODAY } from '../../tests/builders';
import { no, renderPage, type Answers } from '../../tests/renderPage';
import { OutletsPage } from './OutletsPage';
import { SellingPage } from './SellingPage';
import { choose } from '../../tests/choose';

const market = { ...anOutlet('Hill market'), id: '0199ad2e-2b6e-7c7f-8d2a-3f8a6d3b1c01' };
const bridge = {
  ...anOutlet('Stone bridge', { payBy: 'carcass-kg', tripMinor: 2_200, least: 2, most: 3 }),
  id: '0199ad2e-2b6e-7c7f-8d2a-3f8a6d3b1c02',
};

const aCell = (outletId: string, nowMinor: number | null, change: Partial<SaleCell> = {}): SaleCell => ({
  outletId,
  nowMinor,
  chanceNow: 0.8,
  readiness: { kind: 'ready', chance: 0.8, isNarrow: undefined, closes: undefined },
  best: { inDays: 4, minor: nowMinor ?? 0, run: { from: 0, to: 9 } },
  noDay: null,
  ...change,
});
const aSale = (
  text: string,
  atMarket: number | null,
  atBridge: number | null,
  change: Partial<SaleRow> = {},
): SaleRow => ({
  tag: aTag(text),
  sex: 'male',
  ageDays: 220,
  groupName: 'Fattening pen',
  state: 'ready',
  held: null,
  inDays: null,
  closesAtId: null,
  weight: {
    kg: 44,
    on: TODAY,
    nowKg: 44.2,
    nowSd: 1.1,
    gainKgPerDay: 0.18,
    gainSd: 0.03,
    ownShare: 0.4,
    isPlateau: false,
  },
  finish: { on: TODAY, shape: 9, fat: 7 },
  feedDays: 61,
  curve: Array.from({ length: 57 }, (_, n) => 10_000 + 20 * n - n * n),
  bestOutletId: market.id,
  cells: [aCell(market.id, atMarket), aCell(bridge.id, atBridge)],
  staysMinor: 10_100,
  ...change,
});
const [first, second, third] = [
  aSale('26-0018', 10_600, 11_200),
  aSale('26-0031', 10_300, 10_400, { state: 'in-days', inDays: 11, staysMinor: 11_300 }),
  aSale('26-0009', 10_800, 10_900, {
    state: 'closing',
    inDays: 4,
    closesAtId: bridge.id,
    cells: [
      aCell(market.id, 10_800),
      aCell(bridge.id, 10_900, {
        readiness: {
          kind: 'ready',
          chance: 0.8,
          isNarrow: undefined,
          closes: { days: 4, by: { of: 'fat', side: 'over' } },
        },
      }),
    ],
  }),
];
const held = aSale('26-0005', null, null, {
  state: 'held',
  held: { of: 'withdrawal', clearOn: '2026-12-20', buyer: null },
  staysMinor: null,
});
const kept = aSale('26-0019', null, null, {
  state: 'held',
  held: { of: 'reserved', clearOn: null, buyer: 'the neighbour' },
});
const aSelling = (change: Partial<SellingView> = {}): SellingView => ({
  on: TODAY,
  species: 'sheep',
  outlets: [market, bridge],
  groups: [
    { id: 'g1', name: 'Fattening pen', count: 5 },
    { id: 'g2', name: 'Ewe lambs', count: 2 },
  ],
  groupId: 'g1',
  rows: [third, first, second, held, kept],
  split: {
    totalMinor: 11_200 + 10_900 + 11_300 - 2_200,
    columns: {
      [first.tag.animalId]: bridge.id,
      [second.tag.animalId]: 'stays',
      [third.tag.animalId]: bridge.id,
    },
    alone: [{ outletId: market.id, totalMinor: 30_200, losesMinor: 1_000 }],
  },
  notSplit: [],
  ...change,
});

const show = (view: SellingView = aSelling(), answers: Answers = {}) =>
  renderPage(<SellingPage />, { answers: { 'GET /api/selling': view, 'GET /api/selling/loads': [], ...answers } });

describe('who is ready', () => {
  it('is said in one sentence with what the pen brings, and in a word at each', async () => {
    show();
    expect(
      await screen.findByText(
        /2 of 5 animals are ready. Split as below they bring 312.00.EUR; all to Hill market 302.00.EUR/,
      ),
    ).toBeVisible();
    expect(screen.getByText('ready to 27 Nov, then too fat for Stone bridge')).toBeVisible();
    expect(screen.getByText('ready in 11 days')).toBeVisible();
    expect(screen.getByText('meat clear 20 Dec')).toBeVisible();
    expect(screen.getByText('kept for the neighbour')).toBeVisible();
    expect(screen.getAllByText('Shape R+, fat 3-')).toHaveLength(5);
    // A curve is drawn of each, and told in words.
    expect(
      screen.getAllByRole('img', { name: /^Worth from 100 EUR on the first day to 80 after 56 days, 101 at best$/ }),
    ).toHaveLength(5);
  });

  it('says of each when to sell where it brings most, of the days it is wanted there', async () => {
    const at = (text: string, readiness: SaleCell['readiness']) =>
      aSale(text, 10_600, null, { cells: [aCell(market.id, 10_600, { readiness })] });
    const ready = { kind: 'ready', chance: 0.8, isNarrow: undefined } as const;
    show(
      aSelling({
        rows: [
          at('26-0001', { ...ready, closes: undefined }),
          at('26-0002', { ...ready, closes: { days: 2, by: { of: 'weight', side: 'over' } } }),
          at('26-0003', { kind: 'in-days', days: 12, chance: 0.7, isNarrow: undefined }),
          at('26-0004', { ...ready, closes: { days: 0, by: { of: 'weight', side: 'over' } } }),
        ],
        split: null,
      }),
    );
    await screen.findByText('26-0001');
    expect(screen.getAllByRole('button', { name: /today, or later\?$/ }).map((b) => b.textContent)).toEqual([
      'Hill market, to 2 Dec',
      'Hill market, to 25 Nov',
      'Hill market, 5 Dec',
      'Hill market, today',
    ]);
  });

  it('says of a weight a month old how old it is', async () => {
    const weight = first.weight && { ...first.weight, on: '2026-10-20' };
    show(aSelling({ rows: [{ ...first, weight }, third] }));
    expect(await screen.findAllByText(/weighed \d+ days ago/)).toHaveLength(1);
    expect(screen.getByText('weighed 34 days ago: weigh it first')).toBeVisible();
  });

  it('sets the outlets side by side: who fits, what they bring, and how many may miss', async () => {
    show();
    const table = within(await screen.findByRole('table', { name: 'Outlets side by side' }));
    const cells = (name: RegExp): (string | null)[] =>
      within(table.getByRole('row', { name }))
        .getAllByRole('cell')
        .map((c) => c.textContent?.replace(/\s/g, ' ') ?? null);
    // Three are ready for each, .8 each: 106 + 103 + 108 less 15, and 112 + 104 + 109 less 22.
    expect(cells(/Hill market/)).toEqual(['3', '302', '0.6 ± 0.7']);
    expect(cells(/Stone bridge/)).toEqual(['3', '303', '0.6 ± 0.7']);
  });

  it('splits the pen, and shows what sending a head elsewhere does', async () => {
    const { user } = show();
    const panel = (await screen.findByRole('heading', { name: /The pen, split/ })).closest('section') as HTMLElement;
    expect(within(panel).getByRole('row', { name: /Stone bridge/ })).toHaveTextContent(/2 head, 199.00.EUR/);
    expect(within(panel).getByRole('row', { name: /stays/ })).toHaveTextContent('1 head');
    expect(panel).not.toHaveTextContent('outside what it wants');
    expect(panel).toHaveTextContent(/All to Hill market loses 10.00.EUR/);
    const away = screen.getByRole('button', { name: '26-0009 to Hill market, 108 EUR' });
    expect(away).toHaveAttribute('aria-pressed', 'false');
    await user.click(away);
    expect(away).toHaveAttribute('aria-pressed', 'true');
    // 112 + 108 + 113, less 22 and 15.
    expect(panel).toHaveTextContent(/By hand 296.00.EUR: 16.00.EUR less than the split./);
    expect(within(panel).getByRole('alert')).toHaveTextContent('Stone bridge takes at least 2, not 1.');
    await user.click(within(panel).getByRole('button', { name: 'As the split has it' }));
    expect(away).toHaveAttribute('aria-pressed', 'false');
  });

  it('stops at one row by Tab, and walks to the others by arrows', async () => {
    const { user } = show();
    await screen.findByRole('heading', { name: /The pen, split/ });
    const rows = screen.getAllByRole('row').filter((r) => r.dataset.row === 'true');
    const tabbed = (row: HTMLElement | undefined): number[] =>
      within(row as HTMLElement)
        .getAllByRole('button')
        .map((b) => b.tabIndex);
    expect(new Set(tabbed(rows[0]))).toEqual(new Set([0]));
    expect(new Set(tabbed(rows[1]))).toEqual(new Set([-1]));
    rows[0]?.focus();
    await user.keyboard('{ArrowDown}');
    expect(rows[1]).toHaveFocus();
    expect(new Set(tabbed(rows[0]))).toEqual(new Set([-1]));
    expect(new Set(tabbed(rows[1]))).toEqual(new Set([0]));
  });

  it('a head is dragged along its row to another outlet, and is there again after the page was left', async () => {
    show();
    const from = await screen.findByRole('button', { name: '26-0009 to Stone bridge, 109 EUR' });
    const to = screen.getByRole('button', { name: '26-0009 to Hill market, 108 EUR' });
    const other = screen.getByRole('button', { name: '26-0018 to Hill market, 106 EUR' });
    const dataTransfer = { setData: jest.fn() };
    fireEvent.dragStart(from, { dataTransfer });
    fireEvent.drop(other, { dataTransfer });
    fireEvent.drop(to, { dataTransfer });
    fireEvent.dragEnd(from, { dataTransfer });
    expect(to).toHaveAttribute('aria-pressed', 'true');
    // Another head's row takes nothing of it.
    expect(other).toHaveAttribute('aria-pressed', 'false');
    cleanup();
    show();
    expect(await screen.findByRole('button', { name: '26-0009 to Hill market, 108 EUR' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
  });

  it('tells of one whether to sell today or later, how sure that is, and what it hangs on', async () => {
    const moved = { bestIn: 12, bestMinor: 11_900 };
    const later = { kind: 'in-days', days: 5, chance: 0.7, isNarrow: undefined } as const;
    const outlook = {
      outletId: market.id,
      margins: Array.from({ length: 121 }, (_, n) => (n < 3 ? null : 10_000 + 20 * n - n * n)),
      best: { inDays: 10, minor: 10_100, run: { from: 3, to: 20 } },
      noDay: null,
      range: { low: 9_400, high: 10_800 },
      breakevenKgPerDay: 0.087,
      hangsOn: (['gain', 'keep', 'price'] as const).map((what) => ({ what, less: moved, more: undefined })),
    };
    const closed = {
      ...outlook,
      outletId: bridge.id,
      margins: [],
      best: null,
      noDay: 'feed-limit' as const,
      range: null,
      hangsOn: [],
      breakevenKgPerDay: null,
    };
    const { user } = renderPage(<SellingPage />, {
      answers: {
        'GET /api/selling': aSelling(),
        [`GET /api/selling/animals/${encodeURIComponent(first.tag.animalId)}`]: {
          on: TODAY,
          row: {
            ...first,
            bestOutletId: market.id,
            cells: [aCell(market.id, 10_600, { readiness: later }), first.cells[1]],
          },
          outlets: [market, bridge],
          outlooks: [outlook, closed],
        },
      },
    });
    await user.click(await screen.findByRole('button', { name: 'Sell 26-0018 today, or later?' }));
    const sheet = await screen.findByRole('dialog', { name: '26-0018: sell today, or later?' });
    expect(
      await within(sheet).findByText(
        /From 26 Nov to 13 Dec at Hill market: 101.00.EUR \(94 to 108\) on the best day, in 10 days\. Hill market wants it from 28 Nov\./,
      ),
    ).toBeVisible();
    expect(
      within(sheet).getByRole('img', { name: /100 EUR first, 101 at best, -20 after 120 days|101 at best/ }),
    ).toBeVisible();
    expect(sheet).toHaveTextContent(/A gain of 87 g\/day pays for its keep here; 26-0018 gains 180 ± 38.g\/day\./);
    expect(within(sheet).getByRole('row', { name: /prices fall by 5 % 5 Dec 119.00/ })).toBeVisible();
    expect(within(sheet).getByRole('row', { name: /prices rise by 5 % no day/ })).toBeVisible();
    await choose(user, within(sheet).getByLabelText('Outlet'), bridge.id);
    expect(sheet).toHaveTextContent('There is no day for it here: its days on feed are over.');
    expect(sheet).toHaveTextContent('No gain pays for its keep here');
  });

  it('plans a load for the heads of an outlet on its next day, and leads to it', async () => {
    const { user, asked, path } = show(aSelling(), {
      'POST /api/selling/loads': ({ body }: { body: { id: string } }) => ({ ...body, version: 1, heads: [] }),
    });
    await user.click(await screen.findByRole('button', { name: 'Plan a load for Stone bridge' }));
    await waitFor(() => expect(path()).toMatch(/^\/selling\/loads\//));
    expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({
      outletId: bridge.id,
      on: TODAY,
      animalIds: [third.tag.animalId, first.tag.animalId],
    });
  });

  it('says who is on a load, and plans another without them', async () => {
    const load = {
      id: 'l1',
      version: 1,
      facts: { outletId: market.id, on: '2026-11-26', animalIds: [first.tag.animalId] },
      heads: [{ tag: first.tag, weight: null, checks: [] }],
      isGone: false,
    };
    const { user, asked } = show(aSelling(), {
      'GET /api/selling/loads': [load],
      'POST /api/selling/loads': ({ body }: { body: { id: string } }) => ({ ...body, version: 1, heads: [] }),
    });
    expect(await screen.findByRole('link', { name: 'On the load of 26 Nov' })).toHaveAttribute(
      'href',
      '/selling/loads/l1',
    );
    await user.click(screen.getByRole('button', { name: 'Plan a load for Stone bridge' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({ animalIds: [third.tag.animalId] }),
    );
  });

  it('plans no second load of those that are all on one', async () => {
    const on = (row: SaleRow) => ({ tag: row.tag, weight: null, checks: [] });
    const facts = { outletId: market.id, on: '2026-11-26', animalIds: [] };
    const { user, asked } = show(aSelling(), {
      'GET /api/selling/loads': [{ id: 'l1', version: 1, facts, heads: [on(first), on(third)], isGone: false }],
    });
    await screen.findAllByRole('link', { name: 'On the load of 26 Nov' });
    await user.click(screen.getByRole('button', { name: 'Plan a load for Stone bridge' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('All of these are on a load already.');
    expect(asked.some((a) => a.method === 'POST')).toBe(false);
  });

  it('says why a load cannot be planned', async () => {
    const { user } = show(aSelling(), {
      'POST /api/selling/loads': no(409, '26-0018 stays here.', 'Reserved for Ms Hill. Let that go first.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Plan a load for Stone bridge' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('26-0018 stays here. Reserved for Ms Hill.');
  });

  it('offers no figure of one that is held, and moves nobody who is no part of the split', async () => {
    show();
    const row = (await screen.findByText('meat clear 20 Dec')).closest('tr') as HTMLElement;
    expect(within(row).getAllByText('held')).toHaveLength(2);
    expect(within(row).queryByRole('button', { name: /to Hill market/ })).toBeNull();
    expect(screen.getByRole('heading', { name: 'Reserved' })).toBeVisible();
  });

  it('says whom to bring in for a number wanted, and starts that at the race', async () => {
    const { user, path } = show();
    await user.type(await screen.findByLabelText('Wanted'), '2');
    // .8 three times: 2.4 less sqrt(3 x .16) = 1.7 is short of two.
    expect(screen.getByText('All 3 will hardly hold 2: 2.4 ± 0.7 are ready.')).toBeVisible();
    await user.clear(screen.getByLabelText('Wanted'));
    await user.type(screen.getByLabelText('Wanted'), '1');
    // Twice .8: 1.6 less sqrt(2 x .16) = 1.03.
    expect(screen.getByText('1 wanted: 2 of the 3 are likely enough in the open.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Start it at the race' }));
    await waitFor(() => expect(path()).toBe('/race'));
  });

  it('says so when there is nobody to sell, and nowhere', async () => {
    show(aSelling({ rows: [], groups: [], groupId: null, split: null }));
    expect(await screen.findByText('No sheep are for sale')).toBeVisible();
  });

  it('leads to the outlets where there are none', async () => {
    show(aSelling({ outlets: [], split: null, rows: [{ ...first, cells: [], bestOutletId: null, curve: [] }] }));
    expect(await screen.findByText('Nowhere to sell sheep yet')).toBeVisible();
    expect(screen.getByRole('link', { name: 'Outlets' })).toHaveAttribute('href', '/selling/outlets?species=sheep');
  });
});

describe('the outlets', () => {
  const showOutlets = (answers: object = {}) =>
    renderPage(<OutletsPage />, {
      answers: {
        'GET /api/holding': aHolding({ today: TODAY }),
        'GET /api/selling/outlets': [market, { ...bridge, isClosed: true }],
        'GET /api/selling': aSelling(),
        ...answers,
      },
    });

  it('say what they pay, want and take off', async () => {
    showOutlets();
    const row = (await screen.findByText('Hill market')).closest('li') as HTMLElement;
    expect(row).toHaveTextContent(/3.00.EUR a kg/);
    expect(row).toHaveTextContent('takes any');
    expect(row).toHaveTextContent(/haulage 15.00.EUR a trip; 1.00.EUR off a head/);
    expect(screen.getByText('Stone bridge').closest('li') as HTMLElement).toHaveTextContent('no longer used');
  });

  it('are added with a grid pasted from a spreadsheet, own animals lying in it', async () => {
    const { user, asked } = showOutlets({ 'POST /api/selling/outlets': market });
    await user.click(await screen.findByRole('button', { name: 'Add an outlet' }));
    await user.type(await screen.findByLabelText('Name'), 'Valley abattoir');
    await choose(user, screen.getByLabelText('Pays'), 'grid');
    await user.type(screen.getByLabelText('A kg, EUR'), '6.40');
    const corner = await screen.findByLabelText('Shape E, fat 1');
    await user.click(corner);
    await user.paste(
      ['E', 'U', 'R', 'O', 'P']
        .map((_, r) => [1, 2, 3, 4, 5].map((c) => `${(10 * (2 - r) - c) / 100}`).join('\t'))
        .join('\n'),
    );
    expect(screen.getByLabelText('Shape P, fat 5')).toHaveValue('-0.25');
    // Five felt at R and 3 lie there.
    expect(screen.getByLabelText('Shape R, fat 3, 5 of yours')).toHaveValue('-0.03');
    await user.click(screen.getByRole('button', { name: 'Save the outlet' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({
      name: 'Valley abattoir',
      payBy: 'grid',
      // Rows from the poorest shape.
      prices: [
        {
          from: TODAY,
          baseMinor: 640,
          grid: {
            cells: [
              [-21, -22, -23, -24, -25],
              expect.anything(),
              expect.anything(),
              expect.anything(),
              [19, 18, 17, 16, 15],
            ],
          },
        },
      ],
    });
  });

  it('name the cell that has no figure, and keep what was typed when the book refuses', async () => {
    const { user, asked } = showOutlets({
      'POST /api/selling/outlets': no(400, 'There is an outlet “Hill market” already.'),
    });
    await user.click(await screen.findByRole('button', { name: 'Add an outlet' }));
    await user.type(await screen.findByLabelText('Name'), 'Hill market');
    await choose(user, screen.getByLabelText('Pays'), 'grid');
    await user.type(screen.getByLabelText('A kg, EUR'), '6.40');
    await user.click(screen.getByRole('button', { name: 'Save the outlet' }));
    expect(await screen.findByText(/P1 has no figure. A carcass of that class would have no price./)).toBeVisible();
    expect(asked.some((a) => a.method === 'POST')).toBe(false);
    await choose(user, screen.getByLabelText('Pays'), 'live-kg');
    await user.click(screen.getByRole('button', { name: 'Save the outlet' }));
    expect(await screen.findByText(/There is an outlet “Hill market” already/)).toBeVisible();
    expect(screen.getByLabelText('Name')).toHaveValue('Hill market');
  });

  it('get new prices as a list of their own day', async () => {
    const { user, asked } = showOutlets({ [`PUT /api/selling/outlets/${market.id}`]: market });
    await user.click(await screen.findByRole('button', { name: 'Change Hill market' }));
    await user.click(await screen.findByRole('button', { name: 'New prices' }));
    const price = screen.getByLabelText('A kg, EUR');
    await user.clear(price);
    await user.type(price, '3.20');
    await user.click(screen.getByRole('button', { name: 'Save the outlet' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'PUT')).toBe(true));
    expect(asked.find((a) => a.method === 'PUT')?.body).toMatchObject({
      version: 1,
      prices: [
        { from: TODAY, baseMinor: 320 },
        { from: '2026-01-01', baseMinor: 300 },
      ],
    });
  });
});

it('records what the pen ate, each head its part, with the price', async () => {
  const { user, entries } = show();
  await user.click(await screen.findByRole('button', { name: 'Record feed' }));
  const sheet = within(await screen.findByRole('dialog', { name: 'Feed of Fattening pen, 5 head' }));
  await user.type(sheet.getByLabelText('Feed'), 'Barley');
  await user.type(sheet.getByLabelText('Eaten, kg'), '120');
  await user.type(sheet.getByLabelText('Price of a kilogram, EUR'), 'dear');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  expect(sheet.getByRole('alert')).toHaveTextContent('Type what a kilogram costs.');
  await user.clear(sheet.getByLabelText('Price of a kilogram, EUR'));
  await user.type(sheet.getByLabelText('Price of a kilogram, EUR'), '0,38');
  await user.click(sheet.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toHaveLength(5));
  expect(entries()[0]).toMatchObject({ type: 'feed', feed: 'Barley', kg: 24, priceMinor: 38, on: TODAY });
});

it('counts on outlets for those outside what they want only where that is ticked', async () => {
  const view = aSelling();
  const split = { ...view.split, columns: { ...view.split?.columns, [second.tag.animalId]: market.id } } as never;
  const { user } = show(view, {
    'GET /api/selling': ({ query }) => (query.get('outside') === 'asked' ? { ...view, split } : view),
  });
  const panel = (await screen.findByRole('heading', { name: /The pen, split/ })).closest('section') as HTMLElement;
  expect(within(panel).queryByRole('row', { name: /Hill market/ })).toBeNull();
  const tick = within(panel).getByRole('checkbox', { name: 'Also those outside what an outlet wants' });
  expect(tick).not.toBeChecked();
  await user.click(tick);
  expect(await within(panel).findByRole('row', { name: /Hill market/ })).toHaveTextContent('1 head');
  await user.click(tick);
  await waitFor(() => expect(within(panel).queryByRole('row', { name: /Hill market/ })).toBeNull());
});

it('says of a split how many an outlet may turn down', async () => {
  const out = { ...aCell(bridge.id, 11_200), readiness: { kind: 'in-days', days: 9, chance: 0.4 } as never };
  const outside = { ...first, cells: [aCell(market.id, 10_600), out] };
  show(aSelling({ rows: [third, outside, second, held, kept] }));
  expect(await screen.findByText('1 outside what it wants: ask first')).toBeVisible();
  expect(screen.getByRole('button', { name: /to Stone bridge, 112 EUR, outside what it wants$/ })).toHaveTextContent(
    'outside',
  );
});
