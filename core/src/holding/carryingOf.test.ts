import { emptyFacts, type AnimalFacts } from '../book';
import type { Day } from '../calendar';
import { spells, type Service } from '../mating';
import { SPECIES_TABLE, type TestRules } from '../species';
import { day } from '../tests/builders';
import { carryingOf, openServices, pregnancyEndedOn, unansweredOf } from '.';

const goat = SPECIES_TABLE.goat;
const TODAY = day('2026-11-23');

/** A doe with services by hand, losses and scans told as lists of days. */
function doe(told: {
  readonly served: readonly string[];
  readonly lost?: readonly string[];
  /** Scanned in young, with the age of the young where it was told. */
  readonly scanned?: readonly (readonly [on: string, ageDays?: number])[];
  readonly foundEmpty?: readonly string[];
  /** Who served her, service by service; the buck where it is not said. */
  readonly males?: readonly string[];
}): { readonly facts: AnimalFacts; readonly services: Service[] } {
  const facts = emptyFacts({ id: 'doe', species: 'goat', sex: 'female', version: 1 } as never);
  facts.losses.push(...(told.lost ?? []).map((on) => ({ entryId: on, on: day(on), how: 'slipped' }) as never));
  facts.pregnancyTests.push(
    ...(told.scanned ?? []).map(
      ([on, ageDays]) => ({ entryId: on, on: day(on), way: 'scan', result: 'carrying', ageDays }) as never,
    ),
    ...(told.foundEmpty ?? []).map((on) => ({ entryId: on, on: day(on), way: 'scan', result: 'empty' }) as never),
  );
  const services = told.served.map((on, i): Service => ({
    on: day(on),
    at: undefined,
    way: 'hand',
    maleIds: [told.males?.[i] ?? 'buck'],
  }));
  return { facts, services };
}

function asked(
  told: Parameters<typeof doe>[0],
  { lastBirthOn, today = TODAY }: { lastBirthOn?: Day; today?: Day } = {},
) {
  const { facts, services } = doe(told);
  const births = lastBirthOn === undefined ? [] : [{ on: lastBirthOn, young: 2 }];
  const emptyOn = facts.losses.map((l) => l.on);
  const all = spells({ services, heatDays: [], births, emptyOn }, goat, today);
  return [facts, { spells: all, lastBirthOn, prior: 0.7, settings: goat, today }] as const;
}
const carrying = (...told: Parameters<typeof asked>) => carryingOf(...asked(...told));

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
  [
    'a time that brought nothing, once she was served after it',
    ['2026-01-01', '2026-10-01'],
    [],
    undefined,
    '2026-06-05',
  ],
  ['not the loss on the day she was served', ['2026-09-20'], ['2026-09-20'], undefined, undefined],
])('a pregnancy was ended by %s', (_, served, lost, birth, ended) => {
  const { facts, services } = doe({ served, lost });
  const lastBirthOn = birth === undefined ? undefined : day(birth);
  const all = spells({ services, heatDays: [], births: [], emptyOn: [] }, goat, TODAY);
  expect(pregnancyEndedOn(facts, { spells: all, lastBirthOn, settings: goat })).toBe(
    ended === undefined ? undefined : day(ended),
  );
});

describe('served by one, and two weeks later by another', () => {
  const served = { served: ['2026-09-20', '2026-10-04'], males: ['early', 'late'] };
  // That she came to the second buck: 3 in 100 of those in young do, and as many empty ones as are seen on heat.
  const first = (0.7 * 0.03) / (0.7 * 0.03 + 0.3 * goat.mating.heatsSeenShare);
  const second = (1 - first) * 0.7;

  it('she may carry from either, each by its chance', () => {
    const found = carrying(served, { today: day('2026-10-10') });
    expect(found?.chance.probability).toBeCloseTo(first + second, 10);
    expect(found?.sires.map((s) => s.maleId)).toEqual(['late', 'early']);
    expect(found?.sires[1]?.probability).toBeCloseTo(first / (first + second), 10);
    expect(found?.window).toMatchObject({ opens: day('2027-02-12'), closes: day('2027-03-08') });
  });

  it('a test between the two speaks of the first alone', () => {
    const { facts, services } = doe({ served: ['2026-07-01', '2026-10-04'], foundEmpty: ['2026-08-20'] });
    const all = spells({ services, heatDays: [], births: [], emptyOn: [] }, goat, TODAY);
    const open = openServices(
      facts,
      { spells: all, lastBirthOn: undefined, prior: 0.7, settings: goat, today: TODAY },
      { since: undefined, until: TODAY },
    );
    const { sensitivity: se, specificity: sp } = goat.tests.scan as TestRules;
    const odds = ((0.7 * (1 - se)) / (0.3 * sp)) * (0.03 / goat.mating.heatsSeenShare);
    expect(open.weights[0]).toBeCloseTo(odds / (1 + odds), 10);
  });

  it('a scan with the age of the first is evidence for it: the second is explained, and nothing is doubtful', () => {
    // 61 days on 20 November are 20 September.
    const found = carrying({ ...served, scanned: [['2026-11-20', 61]] });
    expect(found?.spell.on).toBe(day('2026-09-20'));
    expect(found?.chance.contradictions).toEqual([]);
    expect(found?.chance.story.map((s) => s.kind)).toEqual(['served', 'no-return', 'tested']);
    expect(found?.chance.probability).toBeGreaterThan(0.99);
    expect(found?.sires[0]).toMatchObject({ maleId: 'early', probability: expect.closeTo(1, 3) as number });
  });

  it('a heat after the scan still speaks against it', () => {
    const found = carrying({ served: ['2026-09-20', '2026-11-21'], scanned: [['2026-11-20', 61]] });
    expect(found?.spell.on).toBe(day('2026-09-20'));
    expect(found?.chance.story.map((s) => s.kind)).toContain('returned');
  });
});

describe('as her time comes and goes', () => {
  // Served on 20 April: 150 days are 17 September; SD 2.5, three of them 8 days: 9 to 25 September.
  const told = { served: ['2026-04-20'], scanned: [['2026-06-20', 61] as const] };

  it('each day without a birth takes off what it held of it', () => {
    const before = carrying(told, { today: day('2026-09-08') });
    const on = carrying(told, { today: day('2026-09-18') });
    const q = before?.chance.probability ?? NaN;
    // From day 151 on: by the symmetry of the spread, half of all but the middle day's share.
    const middle =
      1 / Array.from({ length: 17 }, (_, i) => Math.exp(-((i - 8) ** 2) / 12.5)).reduce((s, w) => s + w, 0);
    const r = (1 - middle) / 2;
    expect(on?.chance.probability).toBeCloseTo((q * r) / (q * r + 1 - q), 10);
    expect(on?.chance.story.at(-1)?.kind).toBe('no-birth');
    expect(before?.chance.story.map((s) => s.kind)).not.toContain('no-birth');
  });

  it.each(['2026-09-26', '2026-09-30'])(
    'past all her days, on %s, she is over her time and not less likely',
    (today) => {
      const found = carrying(told, { today: day(today) });
      expect(found).toMatchObject({ isOverTime: true });
      expect(found?.chance.probability).toBe(carrying(told, { today: day('2026-09-08') })?.chance.probability);
    },
  );

  it('nobody waits for her from the ninth day past her window on', () => {
    expect(carrying(told, { today: day('2026-10-01') })).toBeUndefined();
  });

  it.each<[string, Partial<Parameters<typeof doe>[0]>, string, boolean]>([
    ['not yet eight days past her window', {}, '2026-09-30', false],
    ['from the ninth day on', {}, '2026-10-01', true],
    ['as long as nobody says', {}, '2027-04-01', true],
    ['not once she was found empty', { foundEmpty: ['2026-10-05'] }, '2026-10-06', false],
    ['not once it was lost', { lost: ['2026-08-20'] }, '2026-10-06', false],
    ['not where no test told her in young', { scanned: [] }, '2026-10-06', false],
    ['not once she was served again', { served: ['2026-04-20', '2026-10-05'] }, '2026-10-06', false],
  ])('is asked what came of her, %s', (_, more, today, isAsked) => {
    // Her window closed on 22 September, day 155.
    const found = unansweredOf(...asked({ ...told, ...more }, { today: day(today) }));
    expect(found !== undefined).toBe(isAsked);
    if (found) expect(found).toMatchObject({ testedOn: day('2026-06-20'), window: { closes: day('2026-09-22') } });
  });
});
