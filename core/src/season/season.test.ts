import fc from 'fast-check';
import {
  addDays,
  dayOf,
  expectedBirths,
  isoOf,
  flushingSchoolOf,
  layOut,
  matingFor,
  movesWith,
  moveStep,
  nextPlan,
  planClashes,
  SPECIES_TABLE,
  weekOf,
  wishOn,
  workByWeek,
  type Clash,
  type PlanInBook,
  type PlanStep,
  type Resources,
  type RollingPlan,
  type SeasonPlan,
  type YearPlan,
} from '..';

const { sheep, rabbit } = SPECIES_TABLE;
const settingsOf = (species: keyof typeof SPECIES_TABLE) => SPECIES_TABLE[species];

const aPlan = (change: Partial<SeasonPlan> = {}): SeasonPlan => {
  const wanted = change.wanted ?? { what: 'births', on: dayOf('2028-03-10') };
  return {
    kind: 'season',
    name: 'Lambing 2028',
    species: 'sheep',
    females: 40,
    wanted,
    matingOn: matingFor(wanted, settingsOf(change.species ?? 'sheep')),
    flushing: 'six-weeks',
    cycles: 2,
    doses: [{ name: 'Own vaccine', daysBeforeBirth: 28 }],
    shifts: {},
    done: {},
    ...change,
  };
};
const aCycle = (change: Partial<RollingPlan> = {}): RollingPlan => ({
  kind: 'rolling',
  name: 'Rabbits',
  species: 'rabbit',
  females: 6,
  matingOn: dayOf('2028-01-10'),
  school: 'middle',
  litters: 3,
  shifts: {},
  done: {},
  ...change,
});
const stepsOf = (plan: YearPlan): readonly PlanStep[] => layOut(plan, settingsOf(plan.species)).steps;
const step = (plan: YearPlan, key: string): PlanStep => {
  const found = stepsOf(plan).find((s) => s.key === key);
  if (!found) throw new Error(`no step ${key}`);
  return found;
};
const windowOf = (plan: YearPlan, key: string): string[] => Object.values(step(plan, key).window).map((d) => isoOf(d));

describe('a season planned back from the first lambs on 10 March of a leap year', () => {
  // Worked on a calendar: 147 days before 10 March 2028 is 15 October 2027, 29 February counted.
  it.each([
    ['mating', '2027-10-15', '2027-10-15', '2027-11-17', '2027-11-17'], // two cycles of 17 days
    ['male-check', '2027-08-13', '2027-08-20', '2027-09-03', '2027-09-10'], // 63, 56, 42, 35 days before
    ['weaned', '2027-06-17', '2027-07-17', '2027-08-01', '2027-08-27'], // 120, 90, 75 and 49 before
    ['scoring mating', '2027-08-17', '2027-08-23', '2027-08-31', '2027-09-03'], // round 27 August, 49 before
    ['flushing', '2027-09-03', '2027-09-03', '2027-10-31', '2027-10-31'], // six weeks, and on through one cycle
    ['minerals', '2027-09-07', '2027-09-13', '2027-09-21', '2027-09-27'], // round 17 September, 28 before
    ['test', '2027-11-14', '2027-12-17', '2028-01-07', '2028-02-09'], // 30 after the first and last day
    ['count', '2027-11-29', '2028-01-01', '2028-01-13', '2028-02-15'], // 45 to 90 after
    ['scoring birth', '2028-01-18', '2028-01-24', '2028-02-01', '2028-02-04'], // round 28 January, 42 before
    ['dose 0', '2028-02-04', '2028-02-08', '2028-02-14', '2028-02-18'], // round 11 February, 28 before
  ])('%s', (key, ...days) => {
    expect(windowOf(aPlan(), key)).toEqual(days);
  });
  it('births, from the shortest gestation of the first day to the longest of the last', () => {
    const [opens, bestFrom, bestTo, closes] = windowOf(aPlan(), 'births');
    expect([opens, bestFrom, closes]).toEqual(['2028-03-05', '2028-03-10', '2028-04-17']);
    expect(bestTo).toBe(isoOf(layOut(aPlan(), sheep).births[0]?.mostBy as never));
  });
  it('a day earlier of mating in a common year', () => {
    expect(isoOf(matingFor({ what: 'births', on: dayOf('2027-03-10') }, sheep))).toBe('2026-10-14');
  });
  it('from a wanted sale the births lie its age before', () => {
    const wanted = { what: 'sale', on: dayOf('2028-08-07'), saleAgeDays: 150 } as const;
    expect(isoOf(matingFor(wanted, sheep))).toBe('2027-10-15');
    expect(isoOf(wishOn(aPlan({ wanted }), sheep))).toBe('2028-08-07');
    expect(windowOf(aPlan({ wanted }), 'sale')[1]).toBe('2028-08-04');
  });
  it('has no flushing where the school gives none, and three weeks where it gives three', () => {
    expect(stepsOf(aPlan({ flushing: 'none' })).some((s) => s.kind === 'flushing')).toBe(false);
    expect(windowOf(aPlan({ flushing: 'three-weeks' }), 'flushing')[0]).toBe('2027-09-24');
  });
});

it('every window of any plan rises from opening to close', () => {
  const day = fc.integer({ min: 0, max: 1500 }).map((n) => addDays(dayOf('2026-01-01'), n));
  fc.assert(
    fc.property(
      day,
      fc.constantFrom('sheep', 'goat', 'cattle', 'rabbit') as fc.Arbitrary<'sheep'>,
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: -60, max: 60 }),
      (on, species, cycles, shift) => {
        const wanted = { what: 'births', on } as const;
        const shifts = { weaned: shift, births: 0, 'dose 0': -shift };
        for (const plan of [aPlan({ species, cycles, wanted, shifts }), aCycle({ matingOn: on })])
          for (const { window: w } of stepsOf(plan))
            expect(w.opens <= w.bestFrom && w.bestFrom <= w.bestTo && w.bestTo <= w.closes).toBe(true);
      },
    ),
    { seed: 23, numRuns: 60 },
  );
});

describe('moving a step', () => {
  const plan = aPlan();
  it('of males in moves the whole season with them, and leaves the wish', () => {
    const later = moveStep(plan, step(plan, 'mating'), 10);
    for (const { key, window } of stepsOf(plan)) expect(step(later, key).window.opens).toBe(window.opens + 10);
    expect(later).toMatchObject({ wanted: plan.wanted });
    expect(movesWith(step(plan, 'mating'), stepsOf(plan), plan).size).toBe(stepsOf(plan).length);
  });
  it('of the births moves the wish as well', () => {
    expect(moveStep(plan, step(plan, 'births'), -3)).toMatchObject({
      matingOn: plan.matingOn - 3,
      wanted: { on: dayOf('2028-03-07') },
    });
  });
  it('of weaning the last crop takes its scoring along and nothing else', () => {
    const earlier = moveStep(plan, step(plan, 'weaned'), -7);
    const changed = stepsOf(plan).filter((s) => step(earlier, s.key).window.opens !== s.window.opens);
    expect(changed.map((s) => s.key).sort()).toEqual(['scoring weaning', 'weaned']);
    expect([...movesWith(step(plan, 'weaned'), stepsOf(plan), plan)].sort()).toEqual(['scoring weaning', 'weaned']);
  });
  it('there and back leaves the plan as it was', () => {
    fc.assert(
      fc.property(fc.constantFrom(...stepsOf(plan)), fc.integer({ min: -90, max: 90 }), (s, days) => {
        expect(moveStep(moveStep(plan, s, days), s, -days)).toEqual(plan);
      }),
      { seed: 3 },
    );
  });
});

describe('a rolling cycle of rabbits', () => {
  // Mated 10 January 2028, born 10 February; served again 11, 28 or 42 days after.
  it.each([
    ['intensive', '2028-02-21'],
    ['middle', '2028-03-09'], // 29 February counted
    ['easy', '2028-03-23'],
  ] as const)('of the %s school serves again on %s', (school, again) => {
    expect(windowOf(aCycle({ school }), '1 births')[1]).toBe('2028-02-10');
    expect(windowOf(aCycle({ school }), '2 mating')[0]).toBe(again);
  });
  it('has the nest box in on day 28, and feels for young from day 10 to 14', () => {
    expect(windowOf(aCycle(), '1 nest')[1]).toBe('2028-02-07');
    expect(windowOf(aCycle(), '1 count')).toEqual(['2028-01-20', '2028-01-21', '2028-01-23', '2028-01-24']);
  });
  it('moved at one litter moves all after it and none before', () => {
    const plan = aCycle();
    const later = moveStep(plan, step(plan, '2 births'), 5);
    expect(windowOf(later, '1 weaning')).toEqual(windowOf(plan, '1 weaning'));
    for (const key of ['2 mating', '2 births', '3 mating', '3 weaning'])
      expect(step(later, key).window.opens).toBe(step(plan, key).window.opens + 5);
    expect(movesWith(step(plan, '2 births'), stepsOf(plan), plan)).toContain('3 births');
    expect(layOut(later, rabbit).births[2]?.from).toBe((layOut(plan, rabbit).births[2]?.from ?? 0) + 5);
  });
});

describe('births to be expected', () => {
  const asked = {
    females: 40,
    matingFrom: dayOf('2027-10-15'),
    matingTo: dayOf('2027-11-17'),
    cycleDays: 17,
    conceptionShare: 0.75,
    gestationDays: sheep.gestationDays,
  };
  it('are those that take in the first cycle and in the second', () => {
    // By hand: 40 x 0.75 + 40 x 0.25 x 0.75.
    expect(expectedBirths(asked).total).toBeCloseTo(37.5, 9);
  });
  it('have their fullest week where a slow search finds it, for any plan', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 0, max: 60 }),
        fc.double({ min: 0.2, max: 0.95, noNaN: true }),
        (females, days, conceptionShare) => {
          const b = expectedBirths({ ...asked, females, conceptionShare, matingTo: addDays(asked.matingFrom, days) });
          const sums = b.perDay.map((_, at) => b.perDay.slice(at, at + 7).reduce((s, n) => s + n, 0));
          expect(b.peakWeek).toBeCloseTo(Math.max(...sums), 9);
          const at = b.peakWeekFrom - b.from;
          expect(sums[at]).toBeCloseTo(b.peakWeek, 9);
          expect(b.perDay.reduce((s, n) => s + n, 0)).toBeCloseTo(b.total, 9);
          const by = b.perDay.slice(0, b.mostBy - b.from + 1).reduce((s, n) => s + n, 0);
          expect(by).toBeGreaterThanOrEqual(0.95 * b.total - 1e-6);
        },
      ),
      { seed: 9, numRuns: 60 },
    );
  });
  it('lie around the mean where all are served on one day', () => {
    const b = expectedBirths({ ...asked, females: 10, cycleDays: 0, conceptionShare: 1, matingTo: asked.matingFrom });
    expect(b.total).toBeCloseTo(10, 9);
    // Half of them on the mean day and to each side of it the same.
    const mean = asked.matingFrom + 147 - b.from;
    expect(b.perDay[mean - 3]).toBeCloseTo(b.perDay[mean + 3] ?? 0, 12);
    expect(Math.max(...b.perDay)).toBe(b.perDay[mean]);
  });
});

const NOTHING: Resources = { birthPens: {}, away: [], lean: [] };
const inBook = (plan: YearPlan, change: Partial<PlanInBook> = {}): PlanInBook => ({
  id: plan.name,
  plan,
  females: [],
  males: { grown: 2, young: 0 },
  ...change,
});
const clashes = (plans: readonly PlanInBook[], change: Partial<Resources> = {}): Clash[] =>
  planClashes(plans, { ...NOTHING, ...change }, settingsOf, dayOf('2027-01-01'));

describe('what does not fit', () => {
  it('is nothing in a plan as it was reckoned', () => {
    expect(clashes([inBook(aPlan()), inBook(aCycle())])).toEqual([]);
  });
  it('is not told of a plan whose births are over, nor of a step that is done', () => {
    const plan = moveStep(aPlan(), step(aPlan(), 'male-check'), 40);
    const late = (of: YearPlan, asOf: string) => planClashes([inBook(of)], NOTHING, settingsOf, dayOf(asOf));
    expect(late(plan, '2027-09-01')).toHaveLength(1);
    expect(late({ ...plan, done: { 'male-check': dayOf('2027-09-20') } }, '2027-09-01')).toEqual([]);
    expect(late(moveStep(aPlan(), step(aPlan(), 'mating'), 9), '2028-06-01')).toEqual([]);
  });
  it('births off the day wanted', () => {
    const plan = aPlan();
    expect(clashes([inBook(moveStep(plan, step(plan, 'mating'), 10))])).toEqual([
      {
        planId: 'Lambing 2028',
        step: 'births',
        code: 'off-wish',
        what: 'births',
        wantedOn: dayOf('2028-03-10'),
        isOn: dayOf('2028-03-20'),
      },
    ]);
  });
  it('females not rested, too young, and too few males for them', () => {
    const females = [
      { bornOn: dayOf('2023-03-01'), lastBirthOn: dayOf('2027-08-20') }, // 60 days: 19 October
      { bornOn: dayOf('2023-03-01'), lastBirthOn: dayOf('2027-08-16') }, // 60 days: on the day itself
      { bornOn: dayOf('2027-03-20'), lastBirthOn: undefined }, // 215 days: 21 October
      { bornOn: undefined, lastBirthOn: undefined },
    ];
    expect(clashes([inBook(aPlan(), { females, males: { grown: 0, young: 1 } })])).toMatchObject([
      { code: 'not-rested', count: 1, readyOn: dayOf('2027-10-19') },
      { code: 'too-young', count: 1, readyOn: dayOf('2027-10-21') },
      { code: 'few-males', females: 40, enoughFor: 25 },
    ]);
  });
  it.each([
    ['weaned', 40, { code: 'out-of-place', side: 'too-late', other: 'flushing' }],
    ['male-check', 20, { code: 'out-of-place', side: 'too-late', other: 'mating' }],
    ['scoring mating', 30, { code: 'out-of-place', side: 'too-late', other: 'mating' }],
    ['dose 0', 30, { code: 'out-of-place', side: 'too-late', other: 'births' }],
    ['test', -40, { code: 'out-of-place', side: 'too-early', other: 'mating', days: 7 }], // its best days began 33 days after it opened
    ['count', 50, { code: 'out-of-place', side: 'too-late', other: 'mating', days: 17 }], // 33 days to its close
  ])('%s moved by %i days', (key, days, clash) => {
    const plan = aPlan();
    expect(clashes([inBook(moveStep(plan, step(plan, key), days))])).toContainEqual(
      expect.objectContaining({ ...clash, step: key }),
    );
  });
  it('work on days away, for a stretch any of them and for one day all its best ones', () => {
    const away = (from: string, to: string) => [{ from: dayOf(from), to: dayOf(to), why: 'a wedding' }];
    expect(clashes([inBook(aPlan())], { away: away('2028-03-12', '2028-03-13') }).map((c) => c.step)).toContain(
      'births',
    );
    expect(clashes([inBook(aPlan())], { away: away('2027-08-24', '2027-08-25') })).toEqual([]);
    expect(clashes([inBook(aPlan())], { away: away('2027-08-23', '2027-08-31') })).toMatchObject([
      { step: 'scoring mating', code: 'away', why: 'a wedding' },
    ]);
  });
  it('a lean stretch in flushing or around birth, also over the new year', () => {
    const lean = (from: string, to: string) => [{ from, to, why: 'no hay' }];
    expect(clashes([inBook(aPlan())], { lean: lean('09-10', '09-20') })).toMatchObject([
      { step: 'flushing', code: 'lean' },
    ]);
    expect(clashes([inBook(aPlan())], { lean: lean('12-20', '01-31') })).toMatchObject([
      { step: 'births', code: 'lean', from: dayOf('2027-12-20'), to: dayOf('2028-01-31') },
    ]);
    expect(clashes([inBook(aPlan())], { lean: lean('06-01', '07-15') })).toEqual([]);
    expect(clashes([inBook(aPlan())], { lean: lean('02-20', '02-29') })).toHaveLength(1);
  });
  it('more births in three days than pens', () => {
    const most = Math.ceil(layOut(aPlan(), sheep).births[0]?.peakThreeDays ?? 0);
    expect(clashes([inBook(aPlan())], { birthPens: { sheep: most - 1 } })).toMatchObject([
      { code: 'pens', wanted: most, pens: most - 1 },
    ]);
    expect(clashes([inBook(aPlan())], { birthPens: { sheep: most } })).toEqual([]);
  });
  it('the busiest weeks of two species at once', () => {
    const goats = aPlan({ name: 'Goats', species: 'goat', wanted: { what: 'births', on: dayOf('2028-03-12') } });
    const apart = aPlan({ name: 'Goats', species: 'goat', wanted: { what: 'births', on: dayOf('2028-05-12') } });
    expect(clashes([inBook(aPlan()), inBook(goats)])).toMatchObject([{ planId: 'Goats', code: 'two-births' }]);
    expect(clashes([inBook(aPlan()), inBook(apart)])).toEqual([]);
  });
  it('a week with more work than days', () => {
    const big = aPlan({ females: 400 });
    const weeks = workByWeek([{ id: 'x', plan: big, ...layOut(big, sheep) }]);
    const [weekFrom, most] = [...weeks].sort(([, a], [, b]) => b.days - a.days)[0] ?? [];
    const found = clashes([inBook(big, { males: { grown: 9, young: 0 } })], {
      workDaysPerWeek: (most?.days ?? 0) - 0.01,
    });
    expect(found).toMatchObject([{ code: 'too-much-work', weekFrom, days: most?.days }]);
    // All births are attended in some week: 375 at 10 a day.
    const births = [...weeks.values()].flatMap((w) => w.parts).filter((p) => p.step === 'births');
    expect(births.reduce((s, p) => s + p.days, 0)).toBeCloseTo(37.5, 6);
  });
});

it.each([
  ['2026-11-23', undefined, '2026-11-23'], // a Monday
  ['2027-01-03', 'monday', '2026-12-28'],
  ['2027-01-03', 'sunday', '2027-01-03'],
  ['2027-01-02', 'sunday', '2026-12-27'],
  ['2027-01-02', 'saturday', '2027-01-02'],
  ['2027-01-01', 'saturday', '2026-12-26'],
] as const)('the week of %s, begun on %s, begins on %s', (day, start, first) => {
  expect(isoOf(weekOf(dayOf(day), start))).toBe(first);
});

describe('the plan of the year after', () => {
  it('has the same wish a year on, over a leap year, and nothing done', () => {
    const plan = aPlan({
      wanted: { what: 'births', on: dayOf('2028-02-29') },
      done: { flushing: dayOf('2027-09-01') },
    });
    const next = nextPlan(plan, sheep);
    expect(next).toMatchObject({
      name: 'Lambing 2029',
      done: {},
      shifts: plan.shifts,
      wanted: { on: dayOf('2029-02-28') },
    });
    expect(next.matingOn).toBe(dayOf('2029-02-28') - 147);
  });
  it('of a rolling one goes on after its last litter', () => {
    // Third mating 10 January + 2 x 59 days, the fourth 59 days later.
    expect(isoOf(nextPlan(aCycle(), rabbit).matingOn)).toBe(isoOf(addDays(dayOf('2028-01-10'), 3 * 59)));
  });
});

it.each([
  [42, 'six-weeks'],
  [40, 'six-weeks'],
  [21, 'three-weeks'],
  [11, 'three-weeks'],
  [0, 'none'],
])('flushing %i days before mating is the school of %s', (days, school) => {
  expect(flushingSchoolOf(days)).toBe(school);
});
