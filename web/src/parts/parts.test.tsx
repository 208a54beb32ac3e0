import { act, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import type { SaleAheadView, YearBandView } from '@yaylak/contract';
import { aGain, aTag } from '../tests/builders';
import { renderPage } from '../tests/renderPage';
import { GainFigure } from './GainFigure';
import { Tag } from './Tag';
import { TagRow } from './TagRow';
import { useUndo } from './Undo';
import { WindowBar } from './WindowBar';
import { YearBand } from './YearBand';

describe('a tag', () => {
  it.each([
    [aTag('26-0001'), 'yellow tag 26-0001'],
    [aTag('26-0001', { name: 'Nergis', hasElectronic: true }), 'yellow tag 26-0001, Nergis, with electronic tag'],
    [aTag('no number', { colour: null, isWorn: false }), 'tag no number, lost'],
  ])('says in words what its picture shows: %#', (tag, words) => {
    renderPage(<Tag tag={tag} />);
    expect(screen.getByRole('link', { name: words })).toHaveAttribute('href', `/animals/id of ${tag.text}`);
  });
});

describe('a window', () => {
  const window = { opens: '2026-11-10', bestFrom: '2026-11-15', bestTo: '2026-11-20', closes: '2026-11-25' };
  it.each([
    ['2026-11-09', 'not yet'],
    ['2026-11-10', 'open'],
    ['2026-11-15', 'best now'],
    ['2026-11-20', 'best now'],
    ['2026-11-25', 'closing'],
    ['2026-11-26', 'late'],
  ])('on %s is %s', (today, words) => {
    renderPage(<WindowBar window={window} today={today} />);
    expect(screen.getByRole('img')).toHaveAccessibleName(
      `${words}: opens 10 Nov, best 15 Nov to 20 Nov, closes 25 Nov`,
    );
    expect(screen.getByText(words)).toBeVisible();
  });
});

describe('a gain', () => {
  it.each([
    [aGain(), /200 ± 38\s?g\/daygrowing/],
    [aGain({ verdict: 'below', kgPerDay: -0.01 }), /−10 ± 38\s?g\/daynot growing as it should/],
    [aGain({ verdict: 'no-group', lineKgPerDay: null }), /^200 ± 38\s?g\/dayhow\?$/],
    [null, /^no gain yet$/],
  ])('%#: says the figure, how wide it is, and what can be told', (gain, words) => {
    renderPage(
      <div data-testid="gain">
        <GainFigure species="sheep" gain={gain} title="Gain" />
      </div>,
    );
    expect(screen.getByTestId('gain')).toHaveTextContent(words);
  });
});

describe('taking back', () => {
  function Doer({ undo }: { readonly undo: () => Promise<void> }) {
    const { offer } = useUndo();
    return (
      <>
        <button type="button" onClick={() => offer({ done: 'Moved 3 animals', undo })}>
          Move
        </button>
        <input aria-label="field" />
      </>
    );
  }
  it('is done by the same key everywhere, once, and says what it took back', async () => {
    const undo = jest.fn(() => Promise.resolve());
    const { user } = renderPage(<Doer undo={undo} />);
    await user.click(screen.getByRole('button', { name: 'Move' }));
    expect(screen.getByRole('status')).toHaveTextContent('Moved 3 animals');
    await user.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('Taken back: moved 3 animals'));
    await user.keyboard('{Control>}z{/Control}');
    expect(undo).toHaveBeenCalledTimes(1);
  });
  it('leaves Ctrl+Z to a field that is typed in', async () => {
    const undo = jest.fn(() => Promise.resolve());
    const { user } = renderPage(<Doer undo={undo} />);
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await user.click(screen.getByLabelText('field'));
    await user.keyboard('{Control>}z{/Control}');
    expect(undo).not.toHaveBeenCalled();
  });
  it('says why it could not', async () => {
    const { user } = renderPage(<Doer undo={() => Promise.reject(new Error('They have left.'))} />);
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await user.keyboard('{Control>}z{/Control}');
    expect(await screen.findByText('Could not take back. They have left.')).toBeVisible();
  });
});

describe('the year band', () => {
  const block = (kind: 'births' | 'rearing', from: string, to: string) => ({
    kind,
    from,
    to,
    batchFrom: from,
    batchTo: to,
    young: 12,
  });
  const band: YearBandView = {
    year: 2026,
    today: '2026-11-23',
    lanes: [
      {
        species: 'sheep',
        blocks: [block('births', '2026-03-28', '2026-04-30'), block('rearing', '2026-05-01', '2026-08-10')],
        planned: [],
        carrying: [],
        loads: [{ id: 'load', on: '2026-12-04', species: 'sheep', outletName: 'Stone bridge', heads: 12, stopped: 0 }],
      },
      {
        species: 'goat',
        blocks: [],
        carrying: [],
        loads: [],
        planned: [
          { kind: 'mating', from: '2026-11-01', to: '2026-12-12', planId: 'p7', name: 'Kidding 2027' },
          { kind: 'carrying', from: '2026-12-13', to: '2027-03-20', planId: 'p7', name: 'Kidding 2027' },
        ],
      },
    ],
  };
  const show = () =>
    renderPage(
      <Routes>
        <Route path="*" element={<YearBand />} />
      </Routes>,
      { answers: { 'GET /api/year-band': band, 'GET /api/selling/ahead': sales } },
    );
  const sales: SaleAheadView = {
    on: band.today,
    species: [
      {
        species: 'sheep',
        ready: 18,
        closing: 5,
        closesOn: '2026-12-15',
        outlets: [{ id: 'works', name: 'River works', goesOn: '2026-12-01', fits: 15 }],
      },
      { species: 'goat', ready: 0, closing: 0, closesOn: null, outlets: [] },
    ],
    loads: [],
    reserved: [{ tag: aTag('26-0063'), species: 'sheep', buyer: 'Ms Hill', until: '2026-11-28' }],
  };

  it('reads each block aloud and goes along them by the arrow keys', async () => {
    const { user } = show();
    const births = await screen.findByRole('button', { name: 'Sheep: 12 born, 28 Mar to 30 Apr' });
    act(() => births.focus());
    await user.keyboard('{ArrowRight}');
    expect(screen.getByRole('button', { name: 'Sheep: 12 rearing, 1 May to 10 Aug' })).toHaveFocus();
    await user.keyboard('{ArrowLeft}');
    expect(births).toHaveFocus();
    await user.keyboard('{ArrowDown}');
    expect(screen.getByRole('button', { name: /^Goats, planned: mating/ })).toHaveFocus();
    await user.keyboard('{End}');
    expect(screen.getByRole('button', { name: /^Goats, planned: carrying/ })).toHaveFocus();
    await user.keyboard('{ArrowUp}{ArrowUp}');
    expect(births).toHaveFocus();
    expect(screen.getByRole('button', { name: 'Sheep: load for Stone bridge, 12 head, 4 Dec' })).toBeVisible();
  });
  it('has who is ready, which outlets go next and who is kept for a buyer, and opens the place', async () => {
    const { user, path } = show();
    const ready = await screen.findByRole('button', {
      name: 'Sheep: 23 ready, 5 of them not for long, the first to 15 Dec; River works goes 1 Dec: 15 fit',
    });
    expect(screen.getByRole('button', { name: '26-0063 kept for Ms Hill to 28 Nov' })).toBeVisible();
    expect(screen.queryByRole('button', { name: /Goats: 0 ready/ })).toBeNull();
    await user.click(ready);
    await waitFor(() => expect(path()).toBe('/selling?species=sheep'));
  });
  it('is one stop of the tab key: a block of today at first, then the one last stood on', async () => {
    const { user } = show();
    await screen.findByRole('button', { name: /26-0063 kept/ });
    const stops = () => screen.getAllByRole('button').filter((b) => b.tabIndex === 0);
    expect(stops().map((b) => b.title)).toEqual([expect.stringMatching(/^Sheep: 23 ready/)]);
    await user.tab();
    expect(stops()[0]).toHaveFocus();
    await user.keyboard('{ArrowRight}');
    expect(stops().map((b) => b.title)).toEqual(['26-0063 kept for Ms Hill to 28 Nov']);
    await user.tab();
    expect(document.body).toHaveFocus();
    await user.tab();
    expect(stops()[0]).toHaveFocus();
  });
  it('is a list a lane, with what is planned said so, and opens its plan', async () => {
    const { user, path } = show();
    const lane = await screen.findByRole('list', { name: 'Goats in 2026' });
    expect(within(lane).getAllByRole('listitem')).toHaveLength(2);
    await user.click(
      within(lane).getByRole('button', { name: 'Goats, planned: mating, 1 Nov to 12 Dec (Kidding 2027)' }),
    );
    await waitFor(() => expect(path()).toBe('/year?plan=p7'));
  });
  it('opens the batch a block stands for', async () => {
    const { user, path } = show();
    await user.click(await screen.findByRole('button', { name: /12 born/ }));
    await waitFor(() => expect(path()).toBe('/animals?species=sheep&bornIn=2026&presence=all'));
  });
});

it('shows the first of many tags, and all of them when they are asked for', async () => {
  const tags = Array.from({ length: 30 }, (_, i) => aTag(`26-${100 + i}`));
  const { user } = renderPage(<TagRow tags={tags} first={4} label="Mates" />);
  expect(screen.getByRole('group', { name: 'Mates' }).querySelectorAll('a')).toHaveLength(4);
  await user.click(screen.getByRole('button', { name: 'Show all 30' }));
  expect(screen.getByRole('group', { name: 'Mates' }).querySelectorAll('a')).toHaveLength(30);
  await user.click(screen.getByRole('button', { name: 'Show fewer' }));
  expect(screen.queryByText('26-129')).toBeNull();
});
