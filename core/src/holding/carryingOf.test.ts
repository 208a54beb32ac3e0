import { emptyFacts, type AnimalFacts } from '../book';
import type { Day } from '../calendar';
import { spells, type Service } from '../mating';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { carryingOf, pregnancyEndedOn } from './carryingOf';

const goat = SPECIES_TABLE.goat;
const TODAY = day('2026-11-23');

/** A doe with services by hand, losses and scans told as lists of days. */
function doe(told: {
  readonly served: readonly string[];
  readonly lost?: readonly string[];
  /** Scanned in young, with the age of the young where it was told. */
  readonly scanned?: readonly (readonly [on: string, ageDays?: number])[];
}): { readonly facts: AnimalFacts; readonly services: Service[] } {
  const facts = emptyFacts({ id: 'doe', species: 'goat', sex: 'female', version: 1 } as never);
  facts.losses.push(...(told.lost ?? []).map((on) => ({ entryId: on, on: day(on), how: 'slipped' }) as never));
  facts.pregnancyTests.push(
    ...(told.scanned ?? []).map(
      ([on, ageDays]) => ({ entryId: on, on: day(on), way: 'scan', result: 'carrying', ageDays }) as never,
    ),
  );
  const services = told.served.map((on): Service => ({ on: day(on), at: undefined, way: 'hand', maleIds: ['buck'] }));
  return { facts, services };
}

function carrying(told: Parameters<typeof doe>[0], lastBirthOn?: Day) {
  const { facts, services } = doe(told);
  const births = lastBirthOn === undefined ? [] : [{ on: lastBirthOn, young: 2 }];
  const emptyOn = facts.losses.map((l) => l.on);
  const all = spells({ services, heatDays: [], births, emptyOn }, goat, TODAY);
  return carryingOf(facts, { spells: all, lastBirthOn, prior: 0.7, settings: goat, today: TODAY });
}

it('is by the new service once she was served after a loss, as if nothing had been seen before', () => {
  const again = carrying({ served: ['2026-08-01', '2026-11-20'], scanned: [['2026-10-01', 60]], lost: ['2026-11-18'] });
  expect(again?.spell.on).toBe(day('2026-11-20'));
  expect(again?.fit).toBeUndefined();
  expect(again?.chance.probability).toBeCloseTo(0.7, 10);
  expect(again?.chance.story.map((s) => s.kind)).toEqual(['served']);
});

it('is nothing any more after a loss that no service followed', () => {
  const lost = carrying({ served: ['2026-08-01'], scanned: [['2026-10-01', 60]], lost: ['2026-11-18'] });
  expect(lost?.spell.on).toBe(day('2026-08-01'));
  expect(lost?.chance.probability).toBe(0);
  expect(lost?.chance.story.map((s) => s.kind)).toEqual(['served', 'no-return', 'tested', 'lost']);
});

it('counts losses one after another, and scans since the last of them', () => {
  const third = carrying({
    served: ['2026-05-01', '2026-07-15', '2026-10-01'],
    scanned: [
      ['2026-06-10', 40],
      ['2026-08-20', 36],
      ['2026-11-12', 42],
    ],
    lost: ['2026-07-01', '2026-09-20'],
  });
  expect(third?.spell.on).toBe(day('2026-10-01'));
  expect(third?.fit?.kind).toBe('fits');
  expect(third?.chance.probability).toBeGreaterThan(0.98);
});

it.each<[string, string[], string[], string | undefined, string | undefined]>([
  ['nothing', ['2026-10-01'], [], undefined, undefined],
  ['a birth', ['2026-10-01'], [], '2026-03-01', '2026-03-01'],
  ['a loss that a service followed', ['2026-08-01', '2026-10-01'], ['2026-09-20'], '2026-03-01', '2026-09-20'],
  ['the birth after a loss', ['2025-08-01', '2025-10-01'], ['2025-09-20'], '2026-03-01', '2026-03-01'],
  ['not the loss on the day she was served', ['2026-09-20'], ['2026-09-20'], undefined, undefined],
])('a pregnancy was ended by %s', (_, served, lost, birth, ended) => {
  const { facts, services } = doe({ served, lost });
  const lastBirthOn = birth === undefined ? undefined : day(birth);
  const all = spells({ services, heatDays: [], births: [], emptyOn: [] }, goat, TODAY);
  expect(pregnancyEndedOn(facts, { spells: all, lastBirthOn })).toBe(ended === undefined ? undefined : day(ended));
});
