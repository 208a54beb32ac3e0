import { act, screen, waitFor, within } from '@testing-library/react';
import type { JobView, RosterView } from '@yaylak/contract';
import { aJob, aRoster, aRosterAnimal, TODAY } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { createDevices } from '../../adapters/readings/devices';
import { DevicesContext } from '../../adapters/readings/useReadings';
import { keepHand } from '../../shared/jobs/hand';
import { RacePage } from './RacePage';

// Whoever began the job on this device is at the race.
beforeEach(() => keepHand('j1', { by: 'Aylin', saidOn: TODAY }));
const number = () => screen.getByLabelText('Number of the next animal');
const weight = () => screen.findByLabelText(/^Weight( in the crate)?, kg/);

/** A source a test speaks through. */
const aDevice = () => {
  let now = 0;
  let say: (line: string) => void = () => undefined;
  const devices = createDevices(() => (now += 100));
  devices.connect({
    name: 'test',
    open(onLine, onState) {
      say = onLine;
      onState('open');
      return () => undefined;
    },
  });
  const stand = (kg: number): void => act(() => Array.from({ length: 12 }).forEach(() => say(`${kg} kg`)));
  const leave = (): void => act(() => Array.from({ length: 12 }).forEach(() => say('0.0 kg')));
  /** What lay in the cable while the page was busy comes at once. */
  const atOnce = (...lines: string[]): void => act(() => lines.forEach((line) => say(line)));
  return { devices, read: (digits: string) => act(() => say(digits)), stand, leave, atOnce };
};
const EID = '792000000126031';
const OTHER = '792000000126032';
const wired = [
  aRosterAnimal('26-0001', {
    worn: [
      ['26-0001', 'a', 'visual'],
      [EID, 'b', 'electronic'],
    ],
  }),
  aRosterAnimal('26-0002', {
    worn: [
      ['26-0002', 'c', 'visual'],
      [OTHER, 'd', 'electronic'],
    ],
  }),
];
const showWired = async (job: Partial<JobView> = {}, roster: Partial<RosterView> = {}) => {
  const device = aDevice();
  const shown = renderPage(
    <DevicesContext value={device.devices}>
      <RacePage />
    </DevicesContext>,
    {
      at: '/race/j1',
      route: '/race/:id',
      answers: {
        'GET /api/jobs/j1': { job: aJob({ animalIds: wired.map((a) => a.tag.animalId), ...job }), entries: [] },
        'GET /api/roster': aRoster(wired, roster),
      },
    },
  );
  await screen.findByText('0 of 2');
  return { ...shown, ...device };
};

it('an animal is read, weighed and done with one Enter; a second look at the same tag changes nothing', async () => {
  const { user, entries, read, stand } = await showWired();
  read(EID);
  expect(await weight()).toHaveFocus();
  read(EID);
  stand(41.5);
  expect(screen.getByLabelText('Weight in the crate, kg')).toHaveValue('41.5');
  await user.keyboard('{Enter}');
  await waitFor(() =>
    expect(entries()).toMatchObject([{ type: 'passage' }, { type: 'weight', kg: 41.5, method: 'crate' }]),
  );
});

it('a number and the weight behind it that come in one breath are both kept', async () => {
  const { user, entries, atOnce } = await showWired();
  atOnce(EID, ...Array<string>(12).fill('41.5 kg'));
  expect(await screen.findByLabelText('Weight in the crate, kg')).toHaveValue('41.5');
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries().at(-1)).toMatchObject({ kg: 41.5, animalId: wired[0]?.tag.animalId }));
});

it('a missed read leaves the weight standing until a number is typed', async () => {
  const { user, entries, stand } = await showWired();
  stand(41.5);
  expect(screen.getByRole('alert')).toHaveTextContent('41.5 kg stand in the crate and no number was read');
  await user.type(number(), '0002{Enter}');
  expect(await screen.findByLabelText('Weight in the crate, kg')).toHaveValue('41.5');
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries().at(-1)).toMatchObject({ kg: 41.5, animalId: wired[1]?.tag.animalId }));
});

it('in a job with nothing to type, each is recorded once and the one read meanwhile comes at once', async () => {
  const { user, entries, read } = await showWired({
    stations: ['mark'],
    settings: { mark: { colour: 'blue', place: 'rump', purpose: 'drenched' } },
  });
  read(EID);
  await screen.findByText('blue on the rump: drenched');
  read(OTHER);
  expect(screen.getByRole('alert')).toHaveTextContent('Finish this one with Enter; the other comes next.');
  // The pause is the clock's, however long a loaded machine takes from key to key.
  const pressedAt = Date.now();
  const clock = jest.spyOn(Date, 'now').mockReturnValue(pressedAt);
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries()).toHaveLength(2));
  // The second stands there already. Enter pressed twice for the first does nothing to it; a new one records it.
  await within(screen.getByRole('main')).findByRole('img', { name: /tag 26-0002/ });
  await user.keyboard('{Enter}');
  expect(entries()).toHaveLength(2);
  clock.mockReturnValue(pressedAt + 600);
  await user.keyboard('{Enter}');
  await waitFor(() => expect(entries()).toHaveLength(4));
  clock.mockRestore();
  expect(entries().map((e) => [e.type, e.type === 'strike' ? '' : e.animalId])).toEqual(
    wired.flatMap((a) => [
      ['passage', a.tag.animalId],
      ['mark', a.tag.animalId],
    ]),
  );
});

it('the one behind, read too soon, waits and comes next', async () => {
  const { user, read, stand } = await showWired();
  read(EID);
  await weight();
  stand(41.5);
  read(OTHER);
  expect(screen.getByRole('alert')).toHaveTextContent(`Another animal was read: ${OTHER}. Finish this one with Enter`);
  await user.keyboard('{Enter}');
  expect(await within(screen.getByRole('main')).findByRole('img', { name: /tag 26-0002/ })).toBeVisible();
});

it('a number nobody wears is kept aside when the next one is read, and taken up later', async () => {
  const { user, read } = await showWired();
  read('999000000000001');
  expect(screen.getByRole('alert')).toHaveTextContent('No animal here is tagged “999000000000001”');
  read(EID);
  await weight();
  const aside = within(screen.getByRole('group', { name: 'Kept aside' }));
  expect(aside.getByText('number 999000000000001')).toBeVisible();
  await user.keyboard('44{Enter}');
  await user.click(await screen.findByRole('button', { name: 'Take it up' }));
  expect(number()).toHaveValue('999000000000001');
  expect(screen.queryByRole('group', { name: 'Kept aside' })).toBeNull();
});

it('a broken number is said and not taken', async () => {
  const { read } = await showWired();
  read('79200000012603');
  expect(screen.getByRole('alert')).toHaveTextContent(
    'The reader sent “79200000012603”, which is not an animal number.',
  );
});

it('a reader that types sends its number into the weight: it is a number anyway', async () => {
  const { user } = await showWired();
  await user.type(number(), '0001{Enter}');
  await weight();
  await user.keyboard(`${OTHER}{Enter}`);
  expect(within(screen.getByRole('main')).getByRole('img', { name: /tag 26-0002/ })).toBeVisible();
  expect(screen.getByRole('alert')).toHaveTextContent('Another animal was read, so this one is not recorded');
});

it('a dead animal’s number says whose it was before anything is taken in', async () => {
  const gone = [{ text: '24-0003', animalId: 'x', name: '24-0003', how: 'died', on: '2026-10-01' }] as const;
  const { user } = await showWired({}, { gone });
  await user.type(number(), '24-0003{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('is 24-0003’s, who died on 1 Oct 2026. Read the tag again.');
});
