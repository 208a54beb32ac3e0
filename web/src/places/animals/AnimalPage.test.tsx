import { screen, waitFor, within } from '@testing-library/react';
import type { AnimalView } from '@yaylak/contract';
import {
  aHolding,
  aGain,
  aGroup,
  anEntry,
  anIdentifier,
  anOutlet,
  aRosterAnimal,
  aRow,
  aTag,
  aView,
  TODAY,
} from '../../tests/builders';
import { AWAY, no, refuses, renderPage, type Answers } from '../../tests/renderPage';
import { AnimalPage } from './AnimalPage';
import { choose, offered } from '../../tests/choose';

const ID = 'id of 26-0001';
/** Chosen in a form, which holds it to what an id is. */
const RAMS = '0191d5a0-0000-7000-8000-0000000000c3';
const PATH = `/animals/${encodeURIComponent(ID)}`;
const show = async (view: AnimalView = aView('26-0001'), answers: Answers = {}) => {
  const shown = renderPage(<AnimalPage />, {
    at: PATH,
    route: '/animals/:id',
    answers: {
      [`GET /api/animals/${encodeURIComponent(ID)}`]: view,
      'GET /api/groups': [aGroup('Top paddock'), aGroup('Rams', { id: RAMS })],
      ...answers,
    },
  });
  await screen.findByRole('heading', { level: 1 });
  await screen.findByRole('heading', { name: 'Time line' });
  return shown;
};

it('says who it is in one sentence', async () => {
  await show();
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Ewe lamb, 7 months, Top paddock');
  expect(screen.getByText(/Born 1 Apr 2026 as twin, reared single. 42.5\s?kg on 21 Nov 2026./)).toBeVisible();
});

it('says that it left, what it wears in colour, and that its weight is off', async () => {
  await show(
    aView('26-0001', {
      departed: { on: '2026-11-20', how: 'sold', toldUntil: null },
      marks: [{ colour: 'blue', place: 'rump', purpose: 'second string', until: null }],
      alarm: 'Lost 10 % in 21 days.',
    }),
  );
  expect(screen.getByText('Left on 20 Nov 2026: sold.')).toBeVisible();
  expect(screen.getByText('blue on the rump: second string')).toBeVisible();
  expect(screen.getByText(/Lost 10 % in 21 days./)).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Left' })).toBeNull();
});

it('tells how sure a gain is, and how it was worked out', async () => {
  const { user } = await show(
    aView('26-0001', {
      gains: { last: aGain({ verdict: 'too-soon', halfWidth: 0.4 }), period: null, sinceBirth: null },
    }),
  );
  expect(screen.getByRole('row', { name: /Since last weighing/ })).toHaveTextContent(
    /200 ± 400\s?g\/day.*too soon to tell/,
  );
  await user.click(screen.getByRole('button', { name: 'How is Gain since last weighing worked out?' }));
  expect(await screen.findByRole('dialog')).toHaveTextContent(/between −200\s?g\/day and 600\s?g\/day/);
});

it('lays its life out in lanes that can be read aloud', async () => {
  await show(
    aView('26-0001', {
      young: [{ tag: aTag('27-0001'), bornOn: '2026-10-02', isPresent: true }],
      timeline: [{ entry: anEntry('move', { groupId: 'g', on: '2026-04-05' }), struck: null, groupName: 'Ewe lambs' }],
    }),
  );
  expect(within(screen.getByRole('list', { name: 'Young' })).getByRole('listitem')).toHaveTextContent(
    '1 born, 2 Oct 2026',
  );
  expect(within(screen.getByRole('list', { name: 'Group' })).getByRole('listitem')).toHaveTextContent(
    'Ewe lambs, from 5 Apr 2026',
  );
  expect(screen.queryByRole('list', { name: 'Chosen' })).toBeNull();
});

it('shows what the device keeps of it, its photo too, while the server is away', async () => {
  const photo = { pictureId: 'p1', width: 1024, height: 768 };
  renderPage(<AnimalPage />, {
    at: PATH,
    route: '/animals/:id',
    answers: {
      [`GET /api/animals/${encodeURIComponent(ID)}`]: AWAY,
      'GET /api/roster': {
        on: TODAY,
        animals: [aRosterAnimal('26-0001', { photo })],
        gone: [],
        products: [],
        templates: [],
        biases: [],
        lastTubes: {},
      },
    },
  });
  expect(await screen.findByText(/The server is away. This is what this device keeps/)).toBeVisible();
  expect(screen.getByRole('img', { name: 'Photo of 26-0001' })).toHaveAttribute('src', '/api/photos/p1');
  expect(screen.getByRole('row', { name: /24 Oct 2026/ })).toHaveTextContent('38.0');
});

describe('writing down', () => {
  it('a weight with a comma, and takes it back', async () => {
    const { user, entries } = await show();
    await user.click(screen.getByRole('button', { name: 'Weight' }));
    await user.type(screen.getByLabelText('Weight, kg'), '43,5');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Saved.');
    expect(entries()).toMatchObject([{ type: 'weight', animalId: ID, kg: 43.5, method: 'scale', on: '2026-11-23' }]);
    await user.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(entries()[1]).toMatchObject({ type: 'strike', entryId: entries()[0]?.id }));
  });

  it('a weight the book doubts, and says what it doubts', async () => {
    const { user } = await show(aView('26-0001'), {
      'POST /api/entries': ({ body }: { body: { entries: { id: string }[] } }) => ({
        answers: body.entries.map((e) => ({
          id: e.id,
          status: 'kept',
          doubt: { kind: 'jump', fromKg: 42.5, days: 2, likelyUpToKg: 50, likelyKg: 8.5 },
        })),
      }),
    });
    await user.click(screen.getByRole('button', { name: 'Weight' }));
    await user.type(screen.getByLabelText('Weight, kg'), '85');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent(
      /Check the reading: 85.0\s?kg\. 42.5\s?kg 2 days before; up to 50.0\s?kg is likely\. Did you mean 8.5\s?kg\?/,
    );
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it.each([
    ['', 'Type what the scale says.'],
    ['heavy', '“heavy” is not a number. Write it as 27.2 or 27,2.'],
  ])('not a weight of %j', async (typed, words) => {
    const { user, entries } = await show();
    await user.click(screen.getByRole('button', { name: 'Weight' }));
    if (typed) await user.type(screen.getByLabelText('Weight, kg'), typed);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent(words);
    expect(entries()).toEqual([]);
  });

  it('a move, a note and that it left', async () => {
    const { user, entries } = await show();
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Choose a group.');
    await choose(user, screen.getByLabelText('To'), 'Rams');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await user.click(screen.getByRole('button', { name: 'Note' }));
    await user.type(screen.getByLabelText('Note'), ' limps a little ');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await user.click(screen.getByRole('button', { name: 'Left' }));
    await choose(user, screen.getByLabelText('How'), 'died');
    await choose(user, screen.getByLabelText('Of what'), 'bloat');
    await user.type(screen.getByLabelText('Note'), 'found at dawn');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(entries()).toHaveLength(3));
    expect(entries()).toMatchObject([
      { type: 'move', groupId: RAMS },
      { type: 'note', text: 'limps a little' },
      { type: 'departure', how: 'died', cause: 'bloat', reason: 'found at dawn' },
    ]);
  });
});

it('something seen counts against her, or is sound again', async () => {
  const { user, entries } = await show();
  await user.click(screen.getByRole('button', { name: 'Seen' }));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Choose what was seen.');
  await choose(user, screen.getByLabelText('What'), 'Dangerous to people');
  await user.type(screen.getByLabelText('Remark'), 'at the crush');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([{ type: 'check', what: 'temper', isFound: true, words: 'at the crush' }]),
  );
});

it('a sale says to which outlet, for how much and at what weight, as far as it is known', async () => {
  const id = '0199ad2e-2b6e-7c7f-8d2a-3f8a6d3b1c01';
  const { user, entries } = await show(aView('26-0001'), {
    'GET /api/selling/outlets': [
      { ...anOutlet('Hill market'), id },
      anOutlet('Hutch buyers', { species: 'rabbit' }),
      { ...anOutlet('Old market'), isClosed: true },
    ],
  });
  await user.click(screen.getByRole('button', { name: 'Left' }));
  const to = await screen.findByLabelText('To');
  expect(await offered(user, to, 2)).toEqual(['no outlet', 'Hill market']);
  await choose(user, to, 'Hill market');
  await user.type(screen.getByLabelText('Price, EUR'), 'dear');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(
    await screen.findByText('“dear” is not an amount. Type it as 240 or 240.50, or leave it empty.'),
  ).toBeVisible();
  await user.clear(screen.getByLabelText('Price, EUR'));
  await user.type(screen.getByLabelText('Price, EUR'), '112,50');
  await user.type(screen.getByLabelText('Live weight, kg'), '44.5');
  await user.type(screen.getByLabelText('Haulage, EUR'), '0');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(entries()).toMatchObject([
      { how: 'sold', outletId: id, buyer: 'Hill market', priceMinor: 11_250, kg: 44.5, haulageMinor: 0 },
    ]),
  );
});

const RESERVED = {
  entryId: 'kept',
  buyer: 'Kerem',
  until: '2026-12-01',
  priceMinor: null,
  depositMinor: null,
} as const;

it('a sale to none of the outlets says to whom: to the one it was kept for, unless another is typed', async () => {
  const { user, entries } = await show({ ...aView('26-0001'), reservation: RESERVED });
  await user.click(screen.getByRole('button', { name: 'Left' }));
  const whom = screen.getByLabelText('To whom');
  expect(whom).toHaveValue(RESERVED.buyer);
  await user.clear(whom);
  await user.type(whom, 'Ms Hill ');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(entries()).toMatchObject([{ how: 'sold', buyer: 'Ms Hill' }]));
  expect(entries()[0]).not.toHaveProperty('outletId');
});

describe('leaving while meat is withheld', () => {
  const asked: string[] = [];
  const leave = async () => {
    const shown = await show(aView('26-0001'), {
      [`GET ${PATH.replace('/animals', '/api/animals')}/withheld`]: ({ query }) => {
        asked.push(query.get('on') ?? '');
        return [{ of: 'meat', from: '2026-11-20', until: '2026-12-04', clearFrom: '2026-12-05', product: 'Drench' }];
      },
    });
    await shown.user.click(screen.getByRole('button', { name: 'Left' }));
    return shown;
  };
  const save = () => screen.getByRole('button', { name: 'Save' });

  it('does not go for slaughter, and says from when it can', async () => {
    const { user, entries } = await leave();
    await choose(user, screen.getByLabelText('How'), 'slaughtered');
    expect(
      await screen.findByText(
        'Meat withheld to the end of 4 Dec 2026 (Drench). It can go for slaughter from 5 Dec 2026.',
      ),
    ).toBeVisible();
    await user.click(save());
    expect(await screen.findByRole('alert')).toHaveTextContent('It cannot go for slaughter on this day.');
    expect(entries()).toEqual([]);
    expect(asked.at(-1)).toBe('2026-11-23');
  });

  it('is sold alive only once the buyer has been told, with the days', async () => {
    const { user, entries } = await leave();
    const told = await screen.findByRole('checkbox', {
      name: 'The buyer has been told: withheld to the end of 4 Dec 2026, 11 more days',
    });
    await user.click(save());
    expect(await screen.findByRole('alert')).toHaveTextContent('Tell the buyer first, and tick it.');
    expect(entries()).toEqual([]);
    await user.click(told);
    await user.click(save());
    await waitFor(() => expect(entries()).toMatchObject([{ how: 'sold', toldUntil: '2026-12-04' }]));
  });

  it.each([
    ['slaughtered', null, 'Meat was withheld to the end of 4 Dec 2026 (Drench). Tell whoever took the meat.'],
    ['sold', null, 'The buyer has not been told: withheld to the end of 4 Dec 2026.'],
    ['sold', '2026-12-04', 'The buyer was told: withheld to the end of 4 Dec 2026.'],
  ] as const)('is said on its page afterwards: %s, told %s', async (how, toldUntil, words) => {
    const until = { of: 'meat', from: '2026-11-20', until: '2026-12-04', clearFrom: '2026-12-05' } as const;
    await show(
      aView('26-0001', {
        departed: { on: '2026-11-22', how, toldUntil },
        withheld: [{ ...until, product: 'Drench' }],
      }),
    );
    expect(screen.getByText(words)).toBeVisible();
    expect(screen.queryByText('What now')).toBeNull();
  });
});

describe('the time line', () => {
  const weight = anEntry('weight', { kg: 91, method: 'scale', on: '2026-06-01' });
  const line = [{ entry: weight, struck: null }];

  it('strikes a wrong entry out; undone, the fact is written down anew', async () => {
    const { user, entries } = await show(aView('26-0001', { timeline: line }));
    await user.click(screen.getByRole('button', { name: /Strike out: 91.0\s?kg, scale/ }));
    await screen.findByText(/Struck out: 91.0\s?kg, scale/);
    await user.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(entries()).toHaveLength(2));
    expect(entries()).toMatchObject([
      { type: 'strike', entryId: weight.id, reason: 'wrong entry' },
      { type: 'weight', kg: 91, on: '2026-06-01' },
    ]);
    expect(entries()[1]?.id).not.toBe(weight.id);
  });

  it('says why an entry cannot be struck out', async () => {
    const { user } = await show(aView('26-0001', { timeline: line }), {
      'POST /api/entries': refuses('strike', 'That entry is struck out already.'),
    });
    await user.click(screen.getByRole('button', { name: /Strike out: 91/ }));
    expect(await screen.findByText('That entry is struck out already.')).toBeVisible();
  });

  it('lets a helper strike out what they wrote, and nobody else’s', async () => {
    const own = anEntry('weight', { kg: 88, method: 'scale', on: '2026-06-02', writtenBy: 'Hatice' });
    await show(aView('26-0001', { timeline: [{ entry: own, struck: null }, ...line] }), {
      'GET /api/holding': aHolding({ writer: { name: 'Hatice', role: 'helper' } }),
    });
    await waitFor(() => expect(screen.getAllByRole('button', { name: /^Strike out/ })).toHaveLength(1));
    expect(screen.getByRole('button', { name: /Strike out: 88/ })).toBeVisible();
  });

  it('keeps what was struck out readable, with who and why, and offers no second strike', async () => {
    await show(
      aView('26-0001', { timeline: [{ entry: weight, struck: { by: 'Kerem', at: '2026-06-02', reason: 'misread' } }] }),
    );
    expect(screen.getByText('struck out by Kerem, 2 Jun 2026: misread')).toBeVisible();
    expect(screen.queryByRole('button', { name: /^Strike out/ })).toBeNull();
  });

  it('shows twelve at first, and all when asked', async () => {
    const many = Array.from({ length: 15 }, (_, i) => ({
      entry: anEntry('note', { text: `note ${i}` }),
      struck: null,
    }));
    const { user } = await show(aView('26-0001', { timeline: many }));
    expect(screen.getAllByRole('button', { name: /^Strike out/ })).toHaveLength(12);
    await user.click(screen.getByRole('button', { name: 'Show all 15' }));
    expect(screen.getAllByRole('button', { name: /^Strike out/ })).toHaveLength(15);
  });
});

describe('identifiers', () => {
  const worn = {
    entryId: 'i1',
    kind: 'visual' as const,
    text: '26-0001',
    colour: 'yellow' as const,
    ear: 'left',
    fittedOn: '2026-04-02',
    ended: null,
  };
  const lose = async (user: ReturnType<typeof renderPage>['user']) =>
    user.click(screen.getByRole('button', { name: 'Lost: yellow 26-0001' }));

  it('are lost, and not lost again by undo', async () => {
    const { user, entries } = await show(aView('26-0001', { identifiers: [worn] }));
    await lose(user);
    await user.type(screen.getByLabelText('Why, if you know'), ' fence ');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Lost: yellow 26-0001');
    expect(entries()).toMatchObject([
      { type: 'identifier-end', identifierId: 'i1', how: 'lost', reason: 'fence', on: '2026-11-23' },
    ]);
    await user.click(screen.getByRole('button', { name: 'Take back (Ctrl+Z)' }));
    await waitFor(() => expect(entries()[1]).toMatchObject({ type: 'strike', entryId: entries()[0]?.id }));
  });

  it('are replaced by the same number in one go, or not at all', async () => {
    const { user, entries } = await show(aView('26-0001', { identifiers: [worn] }));
    await lose(user);
    await choose(user, screen.getByLabelText('What happened'), 'taken out');
    await user.click(screen.getByRole('checkbox', { name: 'The same number is fitted again' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Taken out: yellow 26-0001, fitted again');
    expect(entries()).toMatchObject([
      { type: 'identifier-end', how: 'removed' },
      { type: 'identifier', kind: 'visual', text: '26-0001', colour: 'yellow', ear: 'left' },
    ]);
    expect(entries()[0]).not.toHaveProperty('reason');
  });

  it('keep the form open when the book refuses', async () => {
    const { user } = await show(aView('26-0001', { identifiers: [worn] }), {
      'POST /api/entries': refuses('identifier-end', 'It left the holding on 2026-11-01.'),
    });
    await lose(user);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('It left the holding on 2026-11-01.');
  });

  it('are fitted; a number that is worn is refused where it was typed', async () => {
    const { user } = await show(aView('26-0001'), { 'POST /api/entries': refuses('identifier', 'Worn by another.') });
    expect(screen.getByText('None. Two are advised from birth.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Fit another' }));
    await user.type(screen.getByLabelText('Number or name'), '26-0002');
    await user.click(screen.getByRole('button', { name: 'Fit it' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Worn by another.');
    expect(screen.getByLabelText('Number or name')).toHaveValue('26-0002');
  });
});

describe('the record', () => {
  const open = async (answers: Answers) => {
    const shown = await show(aView('26-0001'), {
      'GET /api/identifiers': [anIdentifier('22-0001'), anIdentifier('21-0007')],
      ...answers,
    });
    await shown.user.click(screen.getByRole('button', { name: 'Correct the record' }));
    return shown;
  };
  const PATCH = `PATCH /api/animals/${encodeURIComponent(ID)}`;

  it('sends only what was changed, on the version it was seen in', async () => {
    const { user, asked } = await open({ [PATCH]: aRow('26-0001', { version: 4 }) });
    await user.clear(screen.getByLabelText('Dam'));
    await user.type(screen.getByLabelText('Dam'), '21-0007');
    await user.clear(screen.getByLabelText('Reared as one of'));
    await user.type(screen.getByLabelText('Breed or kind'), ' Hill white ');
    await user.type(screen.getByLabelText('Bought for, EUR'), '-5');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Type what was paid for it, such as 140.00');
    await user.clear(screen.getByLabelText('Bought for, EUR'));
    await user.type(screen.getByLabelText('Bought for, EUR'), '140,50');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Changed the record of 26-0001');
    expect(asked.find((a) => a.method === 'PATCH')?.body).toEqual({
      version: 3,
      damId: 'id of 21-0007',
      rearingType: null,
      strain: 'Hill white',
      boughtMinor: 14_050,
    });
  });

  it('keeps what was typed when somebody else was first', async () => {
    const { user } = await open({ [PATCH]: no(409, 'This animal was changed meanwhile.') });
    await user.clear(screen.getByLabelText('Born as one of'));
    await user.type(screen.getByLabelText('Born as one of'), '3');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('This animal was changed meanwhile.');
    expect(screen.getByLabelText('Born as one of')).toHaveValue('3');
  });
});

it('says so when the animal is not there', async () => {
  renderPage(<AnimalPage />, {
    at: PATH,
    route: '/animals/:id',
    answers: { [`GET /api/animals/${encodeURIComponent(ID)}`]: no(404, 'There is no such animal.') },
  });
  expect(await screen.findByText('There is no such animal.')).toBeVisible();
});
