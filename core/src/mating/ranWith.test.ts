import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { ranUnmarked, ranWithServices, spells } from '.';

const { sheep, rabbit } = SPECIES_TABLE;
const ran = (from: string, to?: string, maleId = 'ram', isRaddled = false) => ({
  maleId,
  from: day(from),
  to: to === undefined ? undefined : day(to),
  isRaddled,
});
const asOf = day('2026-12-20');
const served = (
  stays: readonly ReturnType<typeof ran>[],
  more: { services?: readonly string[]; births?: readonly string[] } = {},
) =>
  ranWithServices(
    {
      ran: stays,
      serviceDays: (more.services ?? []).map(day),
      birthDays: (more.births ?? []).map(day),
    },
    sheep,
    asOf,
  );

it('takes a whole cycle with the ram for a service, from his first to his last day', () => {
  expect(served([ran('2026-10-01', '2026-11-10')])).toEqual([
    { on: day('2026-11-10'), since: day('2026-10-01'), at: undefined, way: 'ran-with', maleIds: ['ram'] },
  ]);
  // Still with her: up to today.
  expect(served([ran('2026-11-20')])).toMatchObject([{ on: asOf, since: day('2026-11-20') }]);
});

it('says nothing of less than a cycle, of a stretch with a service seen, or of one a birth has told of', () => {
  expect(served([ran('2026-10-01', '2026-10-19')])).toEqual([]); // 18 days, a cycle may take 19
  expect(served([ran('2026-10-01', '2026-11-10')], { services: ['2026-10-20'] })).toEqual([]);
  expect(served([ran('2026-04-01', '2026-05-10')], { births: ['2026-09-02'] })).toEqual([]);
  expect(served([ran('2027-01-01')])).toEqual([]);
  expect(
    ranWithServices({ ran: [ran('2026-10-01', '2026-11-10')], serviceDays: [], birthDays: [] }, rabbit, asOf),
  ).toEqual([]);
});

it('puts rams that followed each other together, each once', () => {
  expect(
    served([
      ran('2026-10-01', '2026-10-20'),
      ran('2026-10-21', '2026-11-10', 'other'),
      ran('2026-10-25', '2026-11-01'),
    ]),
  ).toMatchObject([{ since: day('2026-10-01'), on: day('2026-11-10'), maleIds: ['ram', 'other'] }]);
});

it('is a spell over its stretch: a birth that fits any day of it is of it', () => {
  const services = served([ran('2026-01-01', '2026-02-20')]);
  const of = (on: string) =>
    spells({ services, heatDays: [], births: [{ on: day(on), young: 1 }], emptyOn: [] }, sheep, asOf)[0];
  expect(of('2026-05-30')).toMatchObject({
    on: day('2026-01-01'),
    lastOn: day('2026-02-20'),
    outcome: { kind: 'born' },
  });
  expect(of('2026-07-10')).toMatchObject({ outcome: { kind: 'born' } });
  expect(of('2026-08-10')).toMatchObject({ outcome: { kind: 'nothing-came' } });
});

describe('with a ram that marks whom he serves', () => {
  const raddled = [ran('2026-10-01', '2026-11-10', 'ram', true)];
  const unmarked = (more: { services?: readonly string[]; births?: readonly string[] } = {}, on = '2026-12-20') =>
    ranUnmarked(
      { ran: raddled, serviceDays: (more.services ?? []).map(day), birthDays: (more.births ?? []).map(day) },
      sheep,
      day(on),
    );
  it('who wears no mark was not served, and stands by herself', () => {
    expect(served(raddled)).toEqual([]);
    expect(unmarked()).toEqual({ from: day('2026-10-01'), to: day('2026-11-10'), maleIds: ['ram'] });
    // Beside one that does not mark, she may have been served by him.
    expect(served([...raddled, ran('2026-10-05', '2026-11-01', 'other')])).toMatchObject([{ maleIds: ['other'] }]);
  });
  it.each([
    ['a service after it began', { services: ['2026-11-20'] }, undefined],
    ['a birth', { births: ['2027-03-01'] }, '2027-03-02'],
    // 152 days after 10 November 2026.
    ['the end of the time of a birth from it', {}, '2027-04-12'],
  ])('until %s', (_, more, on) => {
    expect(unmarked(more, on)).toBeUndefined();
    expect(unmarked({}, '2027-04-11')).toBeDefined();
  });
});
