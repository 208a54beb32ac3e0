import type { AnimalFacts } from '../book';
import { dayOf } from '../calendar';
import { withOverrides } from '../species';
import { anAnimal } from '../tests/builders';
import { lostYoung } from './lostYoung';

const stamp = { entryId: 'e', writtenAt: '', writtenBy: '', source: 'hand' } as const;
const lamb = (diedOn: string): AnimalFacts => ({
  ...anAnimal(diedOn, { bornOn: dayOf('2026-04-01'), damId: 'own' }),
  departures: [{ ...stamp, on: dayOf(diedOn), how: 'died', cause: 'cold' }],
});
const lost = (...all: AnimalFacts[]) => lostYoung(all, withOverrides({}).sheep, dayOf('2026-11-23'));

it('tells of young that died before the age of weaning closes, the latest first', () => {
  // 130 days: 9 August still, the 10th no more.
  expect(
    lost(lamb('2026-04-03'), lamb('2026-08-09'), lamb('2026-08-10')).map((l) => [l.facts.record.id, l.ageDays]),
  ).toEqual([
    ['2026-08-09', 130],
    ['2026-04-03', 2],
  ]);
});

it('lays a loss at who reared it, and at nobody where it was reared by hand', () => {
  const fostered = (damId: string | undefined) => ({
    ...lamb('2026-04-20'),
    fosterings: [{ ...stamp, on: dayOf('2026-04-05'), damId }],
  });
  expect(lost(lamb('2026-04-03'))[0]?.damId).toBe('own');
  expect(lost(fostered('other'))[0]?.damId).toBe('other');
  expect(lost(fostered(undefined))[0]?.damId).toBeUndefined();
});
