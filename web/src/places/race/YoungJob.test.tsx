import { screen, waitFor } from '@testing-library/react';
import type { RosterAnimal } from '@yaylak/contract';
import { aHolding, aJob, aRoster, aRosterAnimal, aTag, TODAY } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { keepHand } from '../../shared/jobs/hand';
import { RacePage } from './RacePage';

const ewe = aRosterAnimal('22-0001', { bornOn: '2022-04-01' });
const weight = () => screen.findByLabelText(/^Weight/);

/** A job of new-borns: tag and weigh the young of each dam. */
async function youngJob(more: readonly RosterAnimal[] = []) {
  keepHand('j1', { by: 'Aylin', saidOn: TODAY });
  const shown = renderPage(<RacePage />, {
    at: '/race/j1',
    route: '/race/:id',
    answers: {
      'GET /api/jobs/j1': {
        job: aJob({
          animalIds: [ewe.tag.animalId],
          stations: ['identify', 'weigh'],
          settings: { subject: 'young', young: { ageDays: 2 }, identify: { kinds: ['visual', 'electronic'] } },
        }),
        entries: [],
      },
      'GET /api/holding': aHolding({
        blankTags: [{ id: 'b', species: 'sheep', colour: 'green', shape: 'flag', first: '26-0501', last: '26-0599' }],
      }),
      'GET /api/roster': aRoster([ewe, aRosterAnimal('R1', { sex: 'male' }), ...more]),
    },
  });
  await screen.findByText('0 of 1');
  return shown;
}

it('young are added under their dam, each with its tag, until the next dam comes', async () => {
  const { user, entries } = await youngJob();
  const dam = screen.getByLabelText('Number of the next dam');
  await user.type(dam, 'R1{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('Scan or type the dam.');
  await user.clear(screen.getByLabelText('Number of the next dam'));
  await user.type(screen.getByLabelText('Number of the next dam'), '22-0001{Enter}');
  expect(await screen.findByText('Young of 22-0001, added under her')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'twin' }));
  await user.type(await weight(), '4.2{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('Female or male? Press F or M.');
  await user.keyboard('f{Enter}');
  await user.type(await weight(), '3.9m{Enter}');
  await waitFor(() => expect(entries().filter((e) => e.type === 'arrival')).toHaveLength(2));
  const arrivals = entries().filter((e) => e.type === 'arrival');
  expect(arrivals).toMatchObject([
    { sex: 'female', damId: ewe.tag.animalId, bornOn: '2026-11-21', how: 'born', birthType: 2 },
    { sex: 'male', damId: ewe.tag.animalId, birthType: 2 },
  ]);
  expect(entries().filter((e) => e.type === 'identifier')).toMatchObject([{ text: '26-0501' }, { text: '26-0502' }]);
  expect(entries().filter((e) => e.type === 'passage' && e.animalId === ewe.tag.animalId)).toHaveLength(1);
  await user.keyboard('{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('Scan or type the next dam.');
});

it('young that were written down at the birth get their tags one after the other, the next dam after them', async () => {
  const born = ['y1', 'y2'].map((id, i) =>
    aRosterAnimal('no number', {
      tag: aTag('no number', { animalId: id, kind: 'none', isWorn: false }),
      worn: [],
      sex: i === 0 ? 'female' : 'male',
      bornOn: '2026-11-21',
      damId: ewe.tag.animalId,
      weights: [],
    }),
  );
  const { user, entries } = await youngJob(born);
  await user.type(screen.getByLabelText('Number of the next dam'), '22-0001{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('Ewe lamb that was recorded at the birth; 1 more of hers waits.');
  await user.type(await weight(), '4.4{Enter}');
  await waitFor(() =>
    expect(screen.getByRole('alert')).toHaveTextContent('Ram lamb that was recorded at the birth; the last of hers.'),
  );
  await user.type(await weight(), '4.9{Enter}');
  expect(await screen.findByLabelText('Number of the next dam')).toBeVisible();
  await waitFor(() => expect(entries().filter((e) => e.type === 'weight')).toHaveLength(2));
  expect(entries().some((e) => e.type === 'arrival')).toBe(false);
  expect(entries().flatMap((e) => (e.type === 'identifier' ? [[e.animalId, e.text]] : []))).toEqual([
    ['y1', '26-0501'],
    ['y2', '26-0502'],
  ]);
  expect(entries().filter((e) => e.type === 'passage' && e.animalId === ewe.tag.animalId)).toHaveLength(1);
});
