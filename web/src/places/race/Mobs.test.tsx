import { screen, within } from '@testing-library/react';
import type { Entry } from '@yaylak/contract';
import { aJob, anEntry, aRosterAnimal, TODAY } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { jobMobs } from './jobMobs';
import { MobSheet } from './MobSheet';
import { passagesOf } from './raceLog';

const ewe = (number: string) => aRosterAnimal(number, { scores: [['2026-09-01', 2.5]], groupName: 'Upland flock' });
const ewes = [ewe('22-0001'), ewe('22-0002'), ewe('22-0003')];
/** One way through: scored by one hand or two, put to a mob, and sprayed where it is thin. */
function through(number: string, minute: number, scores: readonly number[], mob: 'thin' | 'fit' | 'fat'): Entry[] {
  const of = { animalId: `id of ${number}`, jobId: 'j1', on: TODAY, writtenAt: `${TODAY}T08:0${minute}:00.000Z` };
  return [
    anEntry('passage', { id: `${number} p${minute}`, ...of }),
    ...scores.map((score, i) =>
      anEntry('score', { id: `${number} s${minute}${i}`, ...of, score, scoredBy: `hand ${i}` }),
    ),
    anEntry('mob', { id: `${number} m${minute}`, ...of, mob }),
    ...(mob === 'thin'
      ? [anEntry('mark', { id: `${number} k${minute}`, ...of, colour: 'red', place: 'shoulder', purpose: 'thin mob' })]
      : []),
  ];
}
const entries = [
  ...through('22-0002', 1, [2], 'thin'),
  ...through('22-0001', 2, [2, 2.5], 'thin'),
  ...through('22-0003', 3, [2], 'thin'),
  ...through('22-0003', 4, [3], 'fit'), // a second time, felt better
];

it('puts each animal where it was put last, with the mean of its scores and the spray', () => {
  const mobs = jobMobs(passagesOf(entries, []), new Map(ewes.map((e) => [e.tag.animalId, e])));
  expect(mobs.thin.map((m) => [m.animal.tag.text, m.score, m.before, m.spray])).toEqual([
    ['22-0001', 2.25, 2.5, 'red on the shoulder'],
    ['22-0002', 2, 2.5, 'red on the shoulder'],
  ]);
  expect(mobs.fit.map((m) => [m.animal.tag.text, m.spray])).toEqual([['22-0003', undefined]]);
  expect(mobs.fat).toEqual([]);
});

describe('on paper', () => {
  const show = (query = '') =>
    renderPage(<MobSheet />, {
      at: `/race/j1/mobs${query}`,
      route: '/race/:id/mobs',
      answers: {
        'GET /api/jobs/j1': {
          job: aJob({
            id: 'j1',
            name: 'Score before mating',
            stations: ['score'],
            animalIds: ewes.map((e) => e.tag.animalId),
          }),
          entries,
        },
        'GET /api/roster': {
          on: TODAY, animals: ewes, gone: [], products: [], templates: [], biases: [], lastTubes: {},
        }, // prettier-ignore
      },
    });
  it('has all mobs with their counts', async () => {
    show();
    expect(await screen.findByRole('heading', { name: 'Thin, 2 animals' })).toBeVisible();
    expect(screen.getByRole('heading', { name: 'Fit, 1 animal' })).toBeVisible();
    expect(screen.getByText('Nobody.')).toBeVisible();
  });
  it('or only the thin, with what was felt before and a box for the gate', async () => {
    show('?mob=thin');
    expect(await screen.findByRole('heading', { level: 1, name: 'The thin mob: Score before mating' })).toBeVisible();
    const rows = within(await screen.findByRole('table'))
      .getAllByRole('row')
      .slice(1);
    expect(rows).toHaveLength(2);
    expect(rows[0]).toHaveTextContent('22-00012.252.5Upland flockred on the shoulder');
    expect(within(rows[0] as HTMLElement).getByRole('img', { name: /22-0001 through the gate/ })).toBeVisible();
  });
});
