import { dayOf, isoMoment, isoOf, momentOf, parseMoment, type Moment } from '../calendar';
import { carryingChance, takingShare, updated } from '../pregnancy';
import { SPECIES, SPECIES_TABLE } from '../species';
import { proportion } from '../statistics';
import {
  capacityOf,
  conceptionShare,
  earliestOpens,
  femaleReadiness,
  heatsSeen,
  hoursInSpell,
  HEAT_SIGNS,
  maleReadiness,
  malesWith,
  nextHeats,
  partingWindow,
  restsUntil,
  servicesPerWeekOf,
  serviceTiming,
  serviceWindow,
  shareTaken,
  signsOf,
  spells,
  type FemaleToMate,
  type HeatSign,
  type Service,
} from '.';

const { sheep, goat, rabbit, cattle } = SPECIES_TABLE;
const day = dayOf;
const look = (at: string, ...signs: HeatSign[]) => ({ at: momentOf(at), signs });

describe('a moment', () => {
  it('is read and printed over midnight and a leap day', () => {
    for (const text of ['2024-02-29T23:59', '2024-03-01T00:00']) expect(isoMoment(momentOf(text))).toBe(text);
    expect(momentOf('2024-03-01T00:00') - momentOf('2024-02-29T23:59')).toBe(1);
  });
  it.each(['2026-02-29T10:00', '2026-01-01T24:00', '2026-01-01', '2026-01-01T10:60'])('%s is none', (text) => {
    expect(parseMoment(text)).toBeUndefined();
    expect(() => momentOf(text)).toThrow(text);
  });
});

it.each(SPECIES)('no two signs of %s share a key', (species) => {
  const keys = signsOf(species).map((s) => HEAT_SIGNS[s].key);
  expect(new Set(keys).size).toBe(keys.length);
  expect(keys.length).toBeGreaterThan(2);
});

describe('heats', () => {
  it('begin with the first look that sees her stand, and tell when she did not yet', () => {
    const [heat, ...others] = heatsSeen(
      [look('2026-11-01T18:00'), look('2026-11-02T07:00', 'tail-wags'), look('2026-11-02T18:00', 'stands')],
      goat,
    );
    expect(others).toEqual([]);
    expect(heat).toMatchObject({ isStanding: true, signs: ['tail-wags', 'stands'] });
    expect(isoMoment(heat?.seenAt as Moment)).toBe('2026-11-02T18:00');
    expect(isoMoment(heat?.notYetAt as Moment)).toBe('2026-11-02T07:00');
  });
  it('of cattle nobody saw standing want two signs that agree, or as many as are set', () => {
    const paint = look('2026-11-02T07:00', 'paint-rubbed');
    expect(heatsSeen([paint], cattle)).toEqual([]);
    const both = [paint, look('2026-11-02T18:00', 'paint-rubbed', 'patch-worn')];
    expect(heatsSeen(both, cattle)).toMatchObject([{ seenAt: both[1]?.at, isStanding: false }]);
    const trusting = { mating: { ...cattle.mating, signsNeeded: 1 } };
    expect(heatsSeen([paint], trusting)).toHaveLength(1);
  });
  it('are two when sixty hours lie between, and one when she stands on', () => {
    const on = (...at: string[]) =>
      heatsSeen(
        at.map((a) => look(a, 'stands')),
        goat,
      );
    expect(on('2026-11-01T08:00', '2026-11-02T08:00', '2026-11-03T08:00')).toHaveLength(1);
    expect(on('2026-11-01T08:00', '2026-11-22T08:00')).toHaveLength(2);
  });
  it('are not made by what says no or over', () => {
    expect(heatsSeen([look('2026-11-01T08:00', 'cloudy-slime', 'refuses')], goat)).toEqual([]);
  });
});

describe('when to serve', () => {
  it('a doe seen standing at 10:00 opens at 22:00, is best from 04:00 to 22:00 and closes 10:00 two days on', () => {
    const window = serviceWindow(momentOf('2026-11-20T10:00'), goat);
    expect(window && Object.values(window).map(isoMoment)).toEqual([
      '2026-11-20T22:00',
      '2026-11-21T04:00',
      '2026-11-21T22:00',
      '2026-11-22T10:00',
    ]);
    if (!window) throw new Error('she has a window');
    const timing = (at: string) => serviceTiming(window, momentOf(at));
    expect(timing('2026-11-20T15:00')).toBe('too-early');
    expect(timing('2026-11-20T23:00')).toBe('early');
    expect(timing('2026-11-21T22:00')).toBe('best');
    expect(timing('2026-11-22T09:00')).toBe('late');
    expect(timing('2026-11-22T10:01')).toBe('too-late');
  });
  it('standing that began between two looks may be over the edge already', () => {
    // Not yet at 22:00, standing at 07:00: of a goat the window opens 12 hours after she began.
    const window = serviceWindow(momentOf('2026-11-21T07:00'), goat);
    const earliest = earliestOpens({ notYetAt: momentOf('2026-11-20T22:00') }, goat);
    if (!window || earliest === undefined) throw new Error('she has a window');
    const timing = (at: string) => serviceTiming(window, momentOf(at), earliest);
    expect(timing('2026-11-21T09:59')).toBe('too-early');
    expect(timing('2026-11-21T10:00')).toBe('perhaps-early');
    expect(timing('2026-11-21T19:00')).toBe('early');
    expect(earliestOpens({ notYetAt: undefined }, goat)).toBeUndefined();
  });
  it.each([
    ['2026-12-31T07:00', '2026-12-31T17:00'],
    ['2026-12-31T18:00', '2027-01-01T06:00'],
  ])('by morning and evening, seen %s is served from %s', (seen, best) => {
    const window = serviceWindow(momentOf(seen), {
      ...cattle,
      mating: { ...cattle.mating, heatSchool: 'morning-evening' },
    });
    expect(window && isoMoment(window.bestFrom)).toBe(best);
  });
  it('a rabbit has no hours', () => {
    expect(serviceWindow(momentOf('2026-12-31T07:00'), rabbit)).toBeUndefined();
  });
});

it('foretells the next heats as windows that widen', () => {
  const windows = nextHeats(day('2026-12-20'), goat);
  expect(windows.map((w) => [w.opens, w.bestFrom, w.bestTo, w.closes].map(isoOf))).toEqual([
    ['2027-01-07', '2027-01-09', '2027-01-11', '2027-01-13'],
    ['2027-01-25', '2027-01-29', '2027-02-02', '2027-02-06'],
  ]);
  expect(nextHeats(day('2026-12-20'), rabbit)).toEqual([]);
});

const service = (on: string, maleIds: readonly string[] = ['b'], at?: string): Service => ({
  on: day(on),
  at: at === undefined ? undefined : momentOf(at),
  way: 'hand',
  maleIds,
});
const none = { heatDays: [], births: [], emptyOn: [] };

describe('services of one heat', () => {
  it('are put together, and a heat twenty days on is a return', () => {
    const found = spells(
      {
        ...none,
        services: [
          service('2026-10-01', ['b'], '2026-10-01T18:00'),
          service('2026-10-02', ['b'], '2026-10-02T08:00'),
          service('2026-10-22', ['c']),
        ],
        heatDays: [day('2026-10-01')],
      },
      goat,
      day('2026-11-20'),
    );
    expect(found.map((s) => [isoOf(s.on), s.maleIds, s.outcome.kind])).toEqual([
      ['2026-10-01', ['b'], 'returned'],
      ['2026-10-22', ['c'], 'open'],
    ]);
    expect(found[0]?.outcome).toMatchObject({ days: 20, on: day('2026-10-22') });
    expect(hoursInSpell(found[0] as (typeof found)[number])).toBe(14);
    expect(hoursInSpell(found[1] as (typeof found)[number])).toBeUndefined();
  });
  it('bear the birth that fits last, over the new year', () => {
    const [first, second] = spells(
      {
        ...none,
        services: [service('2026-08-20'), service('2026-09-10')],
        // 150 days after 10 September 2026 is 7 February 2027.
        births: [{ on: day('2027-02-07'), young: 2 }],
      },
      goat,
      day('2027-03-01'),
    );
    expect(first?.outcome.kind).toBe('returned');
    expect(second?.outcome).toEqual({ kind: 'born', on: day('2027-02-07'), young: 2 });
  });
  it('came to nothing when the time is over, and are told empty by a test before', () => {
    const history = { ...none, services: [service('2026-01-01')] };
    expect(spells(history, goat, day('2026-07-01'))[0]?.outcome.kind).toBe('nothing-came');
    expect(spells(history, goat, day('2026-05-01'))[0]?.outcome.kind).toBe('open');
    expect(spells({ ...history, emptyOn: [day('2026-03-01')] }, goat, day('2026-05-01'))[0]?.outcome).toEqual({
      kind: 'empty',
      on: day('2026-03-01'),
    });
  });
  it('count for a male only where they can be nobody else’s', () => {
    const found = spells(
      {
        ...none,
        services: [service('2025-01-01'), service('2025-09-01', ['b', 'c']), service('2026-02-01')],
        births: [{ on: day('2026-07-01'), young: 1 }],
      },
      goat,
      day('2026-11-01'),
    );
    expect(conceptionShare(found, 'b')).toMatchObject({ of: 2, share: 0.5 });
    expect(conceptionShare(found, 'c')).toBeUndefined();
  });
  it('count for a share only once their time is over, as failures are known first', () => {
    const services = [service('2026-01-01'), service('2026-10-01'), service('2026-10-21')];
    const found = spells({ ...none, services }, goat, day('2026-11-20'));
    expect(found.map((s) => s.outcome.kind)).toEqual(['nothing-came', 'returned', 'open']);
    expect(shareTaken(found)).toMatchObject({ of: 1, share: 0 });
    expect(shareTaken(found.slice(1))).toBeUndefined();
  });
});

describe('who may be mated', () => {
  const grown: FemaleToMate = {
    bornOn: day('2022-04-01'),
    hasGivenBirth: true,
    lastBirthOn: day('2026-04-01'),
    weight: undefined,
    heatsGoneBy: 1,
    wombSince: undefined,
    score: 3,
    served: undefined,
    dueUnanswered: undefined,
  };
  const asOf = day('2026-11-24');
  const codes = (change: Partial<FemaleToMate>) =>
    femaleReadiness({ ...grown, ...change }, goat, asOf).reasons.map((r) => r.code);
  it.each<[string, Partial<FemaleToMate>, string[]]>([
    ['a rested grown doe', {}, []],
    ['one that gave birth six weeks ago', { lastBirthOn: day('2026-10-15') }, ['resting']],
    ['one at the end of her rest', { lastBirthOn: day('2026-10-10') }, []], // 45 days
    ['one whose womb is not cured', { wombSince: day('2026-10-01') }, ['womb']],
    ['a thin one', { score: 1.75 }, ['thin']],
    ['one that likely carries', { served: { on: day('2026-10-01'), probability: 0.9 } }, ['carrying']],
    ['one nobody said the end of', { dueUnanswered: day('2026-09-20') }, ['unanswered']],
    ['one that likely does not', { served: { on: day('2026-10-01'), probability: 0.2 } }, []],
  ])('%s', (_, change, expected) => {
    expect(codes(change)).toEqual(expected);
  });
  it('a doe kid waits for age, weight and her second heat, until the later of the known days', () => {
    const kid: FemaleToMate = {
      ...grown,
      bornOn: day('2026-05-01'),
      hasGivenBirth: false,
      lastBirthOn: undefined,
      weight: { kg: 28, neededKg: 33, reachedOn: day('2027-01-10') },
      heatsGoneBy: 1,
    };
    // 215 days after 1 May 2026 are 2 December.
    const found = femaleReadiness(kid, goat, asOf);
    expect(found.reasons.map((r) => r.code)).toEqual(['too-young', 'too-light']);
    expect(found.readyOn).toBe(day('2027-01-10'));
    const noHeat = femaleReadiness({ ...kid, heatsGoneBy: 0 }, goat, asOf);
    expect(noHeat.reasons.at(-1)).toEqual({ code: 'heats-to-skip', goneBy: 0, of: 1 });
    expect(noHeat.readyOn).toBeUndefined();
    // Two cycles of 24 days past the 215th she has had one, seen or not.
    const codesAt = (on: string) =>
      femaleReadiness({ ...kid, heatsGoneBy: 0 }, goat, day(on)).reasons.map((r) => r.code);
    expect(codesAt('2027-01-18')).toContain('heats-to-skip');
    expect(codesAt('2027-01-19')).not.toContain('heats-to-skip');
  });
  it('a male that is old, unchecked or takes badly is flagged, a young or failed one is not used', () => {
    const ram = {
      bornOn: day('2020-04-01'),
      weight: undefined,
      lastCheck: undefined,
      share: proportion(3, 12),
      restsUntil: undefined,
    };
    const flagged = maleReadiness(ram, sheep, asOf);
    expect(flagged.isReady).toBe(true);
    expect(flagged.reasons.map((r) => r.code)).toEqual(['old', 'not-checked', 'low-share']);
    const young = maleReadiness({ ...ram, bornOn: day('2026-05-01'), share: undefined }, sheep, asOf);
    expect(young).toMatchObject({ isReady: false, readyOn: day('2026-12-02') });
    const failed = { on: day('2026-11-01'), failed: ['testicles'] };
    expect(maleReadiness({ ...ram, lastCheck: failed }, sheep, asOf).isReady).toBe(false);
    // 6 of 12 may well be chance: its interval reaches over 60 %.
    expect(maleReadiness({ ...ram, share: proportion(6, 12) }, sheep, asOf).reasons.map((r) => r.code)).not.toContain(
      'low-share',
    );
  });
});

describe('males', () => {
  const run = (maleId: string, from: string, to?: string, isTeaser = false) => ({
    maleId,
    groupId: 'g',
    from: day(from),
    to: to === undefined ? undefined : day(to),
    isTeaser,
    isRaddled: false,
  });
  it('that ran with a group on a day may be the sires; a teaser is none', () => {
    const all = [run('a', '2026-11-01', '2026-11-20'), run('b', '2026-11-10'), run('t', '2026-10-01', undefined, true)];
    expect(malesWith(all, 'g', day('2026-11-15'))).toEqual(['a', 'b']);
    expect(malesWith(all, 'g', day('2026-11-20'))).toEqual(['a', 'b']);
    expect(malesWith(all, 'g', day('2026-11-21'))).toEqual(['b']);
    expect(malesWith(all, 'other', day('2026-11-15'))).toEqual([]);
  });
  it('take fewer while they are young', () => {
    expect(capacityOf(day('2026-01-01'), sheep, day('2026-11-24'))).toBe(25);
    expect(capacityOf(day('2024-01-01'), sheep, day('2026-11-24'))).toBe(50);
  });
  it.each([
    ['one under the limit', ['2026-11-19', '2026-11-19'], undefined],
    ['at it', ['2026-11-19', '2026-11-19', '2026-11-22'], '2026-11-26'],
    ['one over it', ['2026-11-18', '2026-11-19', '2026-11-19', '2026-11-22'], '2026-11-26'],
    ['with the first of them a week ago', ['2026-11-17', '2026-11-19', '2026-11-22'], undefined],
  ])('rest after three services in a week: %s', (_, services, until) => {
    const rest = restsUntil(services.map(day), 3, day('2026-11-24'));
    expect(rest === undefined ? undefined : isoOf(rest)).toBe(until);
  });
  it('rest after half as many while they are young', () => {
    expect(servicesPerWeekOf(day('2026-05-01'), rabbit, day('2026-11-24'))).toBe(3);
    expect(servicesPerWeekOf(day('2025-05-01'), rabbit, day('2026-11-24'))).toBe(6);
  });
  it('are parted from the females in a window that is best up to the day', () => {
    // Buck kids: 90 days; from 18 days before, best in the last 9.
    const window = partingWindow(day('2026-09-01'), goat);
    expect([window.opens, window.bestFrom, window.bestTo, window.closes].map(isoOf)).toEqual([
      '2026-11-12',
      '2026-11-21',
      '2026-11-30',
      '2026-12-09',
    ]);
  });
});

describe('the probability that a service took', () => {
  it('follows Bayes: 0.7 and a sign three times as likely in those that carry', () => {
    expect(updated(0.7, 0.9, 0.3)).toBeCloseTo(0.875, 12);
    expect(updated(0.7, 0, 0)).toBe(0.7);
  });
  it('draws the species’ share toward the holding’s own', () => {
    expect(takingShare(0.7, 0, 0)).toBe(0.7);
    expect(takingShare(0.7, 3, 10)).toBeCloseTo(0.5, 12); // (7 + 3) / 20
  });
  it('rises with each day without a return, from the first day a cycle can end', () => {
    const after = (days: number) =>
      carryingChance(
        { servedOn: day('2026-10-01'), prior: 0.7, returnedOn: undefined },
        goat,
        (day('2026-10-01') + days) as never,
      );
    expect(after(10).probability).toBe(0.7);
    // At 21 days half would be back: 0.7 (1 - 0.015) / (0.7 x 0.985 + 0.3 (1 - 0.375)).
    expect(after(21).probability).toBeCloseTo((0.7 * 0.985) / (0.7 * 0.985 + 0.3 * 0.625), 6);
    // Long after all: 0.7 x 0.97 / (0.7 x 0.97 + 0.3 x 0.25).
    expect(after(60).probability).toBeCloseTo(0.9005, 4);
    expect(after(60).story.map((s) => s.kind)).toEqual(['served', 'no-return']);
  });
  it('rises with a check mating refused, which is all there is in rabbits', () => {
    const refused = carryingChance(
      { servedOn: day('2026-11-12'), prior: 0.75, returnedOn: undefined, refusedOn: day('2026-11-19') },
      rabbit,
      day('2026-11-24'),
    );
    // 0.75 x 0.85 / (0.75 x 0.85 + 0.25 x 0.35).
    expect(refused.probability).toBeCloseTo(0.8793, 4);
    expect(refused.story.map((s) => s.kind)).toEqual(['served', 'refused']);
  });
  it('falls with a return, and does not move in rabbits, who have no cycle', () => {
    const returned = carryingChance(
      { servedOn: day('2026-10-01'), prior: 0.7, returnedOn: day('2026-10-22') },
      goat,
      day('2026-11-01'),
    );
    // 0.7 x 0.03 / (0.7 x 0.03 + 0.3 x 0.75).
    expect(returned.probability).toBeCloseTo(0.0854, 4);
    expect(
      carryingChance({ servedOn: day('2026-10-01'), prior: 0.75, returnedOn: undefined }, rabbit, day('2026-10-20'))
        .probability,
    ).toBe(0.75);
  });
});
