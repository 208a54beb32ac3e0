import { emptyFacts, type AnimalFacts } from '../book';
import { addDays, dayOf, isoOf, type Day } from '../calendar';
import type { Reading } from '../growth';
import type { YearPlan } from '../season';
import { SPECIES_TABLE, type Species } from '../species';
import { weighingsOf, type WeighingsContext } from './weighingsOf';

const day = dayOf;
const TODAY = day('2026-12-01');

function female(species: Species, bornOn: string, change: object = {}): AnimalFacts {
  const facts = emptyFacts({ id: 'her', species, sex: 'female', bornOn: day(bornOn), version: 1 } as never);
  return { ...facts, ...change };
}
const context = (species: Species, change: Partial<WeighingsContext> = {}): WeighingsContext => ({
  daily: [],
  births: [],
  youngAbout: [],
  plans: [],
  settings: SPECIES_TABLE[species],
  today: TODAY,
  ...change,
});
const weighed = (...on: string[]): Reading[] => on.map((d) => ({ on: day(d), kg: 4, method: 'scale' }) as never);
const told = (facts: AnimalFacts, given: WeighingsContext): (readonly [string, string, string])[] =>
  weighingsOf(facts, given).map(({ step, window }) => [step, isoOf(window.opens), isoOf(window.closes)]);
const fact = (on: string, more: object = {}) => ({ entryId: on, on: day(on), ...more });
const birth = (on: string) => ({ on: day(on), alive: 7, dead: 0, youngIds: [] }) as never;

describe('a doe', () => {
  const { waitAfterBirthDays } = SPECIES_TABLE.rabbit;
  const bornOn = isoOf(addDays(TODAY, -waitAfterBirthDays - 2));
  const births = [birth(bornOn)];
  const open = addDays(day(bornOn), waitAfterBirthDays);

  it('is weighed before she goes back to the buck, and that does for the month as well', () => {
    const before = weighed(isoOf(addDays(TODAY, -40)));
    expect(told(female('rabbit', '2025-01-01'), context('rabbit', { births, daily: before }))).toEqual([
      ['Before mating', isoOf(addDays(open, -7)), isoOf(addDays(open, 7))],
    ]);
    const daily = [...before, ...weighed(isoOf(addDays(TODAY, -1)))];
    expect(told(female('rabbit', '2025-01-01'), context('rabbit', { births, daily })).map(([step]) => step)).toEqual([
      'Grown, monthly',
    ]);
  });

  it('is weighed after she was served, and before that no more', () => {
    const served = female('rabbit', '2025-01-01', { services: [fact('2026-11-22')] });
    expect(told(served, context('rabbit', { births: [birth('2026-09-01')] }))).toEqual([
      ['After mating', '2026-11-30', '2026-12-10'],
    ]);
  });

  it('found empty is weighed before she goes again', () => {
    const empty = female('rabbit', '2025-01-01', {
      services: [fact('2026-11-10')],
      pregnancyTests: [fact('2026-11-28', { result: 'empty' })],
    });
    expect(told(empty, context('rabbit')).map(([step, opens]) => [step, opens])).toEqual([
      ['Before mating', '2026-11-21'],
    ]);
  });
});

describe('a ewe', () => {
  const plan = (matingOn: string): YearPlan =>
    ({ kind: 'season', species: 'sheep', matingOn: day(matingOn) }) as YearPlan;
  const lately = weighed('2026-09-01');

  it('is weighed before the males go in by the plan, and not without one', () => {
    const ewe = female('sheep', '2022-04-01');
    expect(told(ewe, context('sheep', { daily: lately, plans: [plan('2026-12-20')] }))[0]).toEqual([
      'Before mating',
      '2026-11-22',
      '2027-01-03',
    ]);
    expect(told(ewe, context('sheep', { daily: lately })).map(([step]) => step)).toEqual(['Grown, twice a year']);
    expect(told(ewe, context('sheep', { daily: lately, plans: [plan('2027-09-20')] })).map(([step]) => step)).toEqual([
      'Grown, twice a year',
    ]);
  });

  it('served already is not weighed for a mating she would carry through, unless she was found empty', () => {
    const given = context('sheep', { daily: lately, plans: [plan('2026-12-20')] });
    const served = female('sheep', '2022-04-01', { services: [fact('2026-11-01')] });
    expect(told(served, given).map(([step]) => step)).toEqual(['Grown, twice a year']);
    const empty = { ...served, pregnancyTests: [fact('2026-11-29', { result: 'empty' })] } as AnimalFacts;
    expect(told(empty, given)[0]?.[0]).toBe('Before mating');
    const longAgo = female('sheep', '2022-04-01', { services: [fact('2025-11-01')] });
    expect(told(longAgo, given)[0]?.[0]).toBe('Before mating');
  });

  it('is weighed when the last of hers is weaned, or is to be', () => {
    const lambed = addDays(TODAY, -SPECIES_TABLE.sheep.weaningDays.bestFrom);
    const births = [birth(isoOf(lambed))];
    const young = (weanedOn?: Day) => [
      { id: 'y', bornOn: lambed, birthDamId: 'her', fosterings: [], weanedOn, goneOn: undefined },
    ];
    const ewe = female('sheep', '2022-04-01');
    const of = (youngAbout: WeighingsContext['youngAbout']) =>
      told(ewe, context('sheep', { daily: lately, births, youngAbout }))[0];
    expect(of(young())).toEqual(['When her young are weaned', '2026-11-24', '2026-12-15']);
    expect(of(young(day('2026-11-25')))).toEqual(['When her young are weaned', '2026-11-18', '2026-12-09']);
    expect(of([])?.[0]).toBe('Grown, twice a year');
  });

  it('without a birth date is weighed around what is known of her', () => {
    const ewe = {
      ...female('sheep', '2022-04-01'),
      record: { ...female('sheep', '2022-04-01').record, bornOn: undefined },
    };
    expect(told(ewe, context('sheep'))).toEqual([]);
  });
});

it('a male is weighed by his age alone', () => {
  const buck = female('rabbit', '2025-01-01', { services: [fact('2026-11-22')] });
  expect(told({ ...buck, record: { ...buck.record, sex: 'male' } }, context('rabbit')).map(([step]) => step)).toEqual([
    'Grown, monthly',
  ]);
});
