import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Entry, GateChoice, JobFacts } from '@yaylak/contract';
import { aJob, anEntry, aRosterAnimal, TODAY } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { countedText, jobPens } from './pens';
import { Counted } from './Pens';
import { PenSheet } from './PenSheet';
import { factsOf, planToStart } from './plan';
import { passagesOf } from './raceLog';
import { RacePage } from './RacePage';
import { markedGates } from './stations/sort';

const ewes = ['22-0010', '22-0002', '22-0003'].map((n) =>
  aRosterAnimal(n, {
    withheld: n === '22-0003' ? [{ of: 'meat', until: '2026-12-04', product: 'Drench' }] : [],
  }),
);
const animals = new Map(ewes.map((e) => [e.tag.animalId, e]));
const out = (number: string, minute: number, gate: string): Entry[] => {
  const of = { animalId: `id of ${number}`, jobId: 'j1', on: TODAY, writtenAt: `${TODAY}T08:0${minute}:00.000Z` };
  return [
    anEntry('passage', { id: `${number} p${minute}`, ...of, gate }),
    anEntry('weight', { id: `${number} w${minute}`, ...of, kg: 40 + minute }),
  ];
};
const entries = [
  ...out('22-0003', 1, 'Sell'),
  ...out('22-0010', 2, 'Keep'),
  ...out('22-0002', 3, 'Keep'),
  ...out('22-0003', 4, 'Keep'),
];
const gates = [
  { key: 'left' as const, name: 'Keep', counted: 2 },
  { key: 'right' as const, name: 'Sell' },
];
const job = aJob({
  id: 'j1',
  name: 'Sort the ewes',
  stations: ['weigh', 'sort'],
  gates,
  animalIds: ewes.map((e) => e.tag.animalId),
  finishedAt: `${TODAY}T10:00:00.000Z`,
});

it('puts who went through twice into the pen it went to last, by number', () => {
  const pens = jobPens(gates, passagesOf(entries, []), animals);
  expect(pens.map((p) => [p.name, p.inside.map((one) => [one.animal.tag.text, one.kg])])).toEqual([
    ['Keep', [['22-0002', 43], ['22-0003', 44], ['22-0010', 42]]],
    ['Sell', []],
  ]); // prettier-ignore
});

it('says what a count means', () => {
  expect([countedText(14, 14), countedText(12, 14), countedText(15, 14)]).toEqual([
    'agrees',
    '2 short. Count again, then read the pen list.',
    '1 too many. Count again, then read the pen list for who went in by another gate.',
  ]);
});

it('a gate without a mark of its own sprays that of the decision it is for', () => {
  const sorted = {
    gates: [
      { key: 'left' as const, name: 'Keep' },
      { key: 'down' as const, name: 'Second', mark: { colour: 'blue' as const, place: 'head' as const } },
      { key: 'right' as const, name: 'Sell' },
    ],
    settings: { sort: { by: 'index' as const, line: 0, above: 'left' as const, below: 'right' as const } },
  };
  const marks = {
    keep: { colour: 'green', place: 'back' },
    second: { colour: 'orange', place: 'back' },
  } as const;
  expect(markedGates(sorted, marks).map((g) => g.mark)).toEqual([
    { colour: 'green', place: 'back' },
    { colour: 'blue', place: 'head' },
    undefined,
  ]);
  const byWeight = { ...sorted, settings: { sort: { ...sorted.settings.sort, by: 'weight' as const } } };
  expect(markedGates(byWeight, marks)[0]?.mark).toBeUndefined();
});

it('a job changed keeps what was counted, one to come has counted nothing', () => {
  expect(factsOf(job).gates[0]?.counted).toBe(2);
  expect(planToStart({ stations: job.stations, settings: {}, gates }).gates[0]).toEqual({ key: 'left', name: 'Keep' });
});

const answers = {
  'GET /api/jobs/j1': { job, entries },
  'GET /api/roster': { on: TODAY, animals: ewes, gone: [], products: [], templates: [], biases: [], lastTubes: {} },
};

it('holds the heads counted in each pen against who went in by its gate', async () => {
  let kept = job;
  const { user, asked } = renderPage(<RacePage />, {
    at: '/race/j1',
    route: '/race/:id',
    answers: {
      ...answers,
      'GET /api/jobs/j1': () => ({ job: kept, entries }),
      'PUT /api/jobs/j1': ({ body }: { body: JobFacts }) => (kept = { ...job, ...body }),
    },
  });
  const keep = await screen.findByRole('textbox', { name: 'Counted in Keep' });
  expect(keep).toHaveValue('2');
  expect(screen.getByText('1 short. Count again, then read the pen list.')).toBeVisible();
  await user.clear(keep);
  await user.type(keep, 'two{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('“two” is not a whole number of head. Enter one, such as 3.');
  await user.clear(keep);
  await user.type(keep, '3{Enter}');
  expect(await screen.findByText('agrees')).toBeVisible();
  expect(keep).toHaveFocus();
  const sent = asked.filter((a) => a.method === 'PUT').map((a) => (a.body as JobFacts).gates);
  expect(sent).toEqual([[{ key: 'left', name: 'Keep', counted: 3 }, gates[1]]]);
});

it('keeps what is being typed where another device counted meanwhile, and says what it counted', async () => {
  const pen = jobPens(gates, passagesOf(entries, []), animals)[0];
  if (!pen?.gate) throw new Error('the first pen has a gate');
  const counted = (n: number) => (
    <Counted pen={pen} gate={{ ...(pen.gate as GateChoice), counted: n }} onCount={() => undefined} />
  );
  const user = userEvent.setup();
  const { rerender } = render(counted(2));
  const field = screen.getByRole('textbox', { name: 'Counted in Keep' });
  rerender(counted(4));
  expect(field).toHaveValue('4');
  await user.type(field, '{Backspace}1');
  rerender(counted(3));
  expect(field).toHaveValue('1');
  expect(screen.getByRole('status')).toHaveTextContent('agrees');
});

it('prints the pens with both numbers, weight and what is withheld', async () => {
  renderPage(<PenSheet />, { at: '/race/j1/pens', route: '/race/:id/pens', answers });
  expect(await screen.findByRole('heading', { name: 'Keep, 3 animals' })).toBeVisible();
  expect(screen.getByText('Counted in the pen: 2')).toBeVisible();
  const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
  expect(rows[1]).toHaveTextContent(/22-0003.*44\.0 kg.*meat to 4 Dec/);
  expect(within(rows[1] as HTMLElement).getByRole('img', { name: /22-0003 is in Keep/ })).toBeVisible();
});
