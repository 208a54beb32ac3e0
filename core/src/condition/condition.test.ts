import fc from 'fast-check';
import {
  aimFor,
  conditionOfGroup,
  dailyScores,
  dayOf,
  DRILL_CASES,
  drillResult,
  FEEL_GUIDES,
  femaleKind,
  isDoubtfulScore,
  nextScoring,
  SPECIES,
  isoOf,
  mobCounts,
  mobFor,
  noResponse,
  readTypedScore,
  referenceKg,
  scorerBiases,
  scorerPairs,
  scoreTrend,
  scoringRounds,
  SPECIES_TABLE,
  headWanted,
  wayToAim,
  type CheckMade,
  type MobFrom,
  type ScoreOnDay,
} from '..';

const sheep = SPECIES_TABLE.sheep.condition;
const on = (iso: string, score: number, sd = 0.25): ScoreOnDay => ({
  on: dayOf(iso),
  score,
  sd,
  by: ['Aylin'],
  isCorrected: false,
});

describe('a typed score', () => {
  it.each([
    ['3', 3],
    ['3.5', 3.5],
    ['3,25', 3.25],
    [' 2.75 ', 2.75],
    ['3.', 3.5], // the point alone is a half
    ['4,', 4.5],
    ['1', 1],
    ['5', 5],
  ])('%s is %d', (typed, score) => {
    expect(readTypedScore(typed)).toEqual({ kind: 'score', score });
  });
  it.each([
    ['', 'empty'],
    ['fat', 'not-a-score'],
    ['3.5.', 'not-a-score'],
    ['-3', 'not-a-score'],
    ['0.5', 'out-of-range'],
    ['5.', 'out-of-range'], // five and a half
    ['35', 'out-of-range'],
    ['3.3', 'finer-than-quarters'],
  ])('%s is refused: %s', (typed, reason) => {
    expect(readTypedScore(typed)).toEqual({ kind: 'refused', reason });
  });
});

describe('aims', () => {
  it('are more for who gives or reared more, and never over the end of the scale', () => {
    expect(aimFor(sheep, 'mating')).toBe(3);
    expect(aimFor(sheep, 'mating', 'many-reared')).toBe(3.5);
    expect(aimFor({ aims: { ...sheep.aims, mating: 5 }, more: sheep.more }, 'mating', 'heavy-milker')).toBe(5);
  });
  it.each([
    [{ births: 0, lastReared: 0, isHeavyMilker: false }, 'sheep', 'first-timer'],
    [{ births: 3, lastReared: 3, isHeavyMilker: false }, 'sheep', 'many-reared'],
    [{ births: 3, lastReared: 3, isHeavyMilker: true }, 'sheep', 'heavy-milker'],
    [{ births: 3, lastReared: 2, isHeavyMilker: false }, 'goat', 'usual'],
    [{ births: 3, lastReared: 7, isHeavyMilker: false }, 'rabbit', 'usual'],
  ] as const)('%j of %s is %s', (history, species, kind) => {
    expect(femaleKind(history, SPECIES_TABLE[species].condition)).toBe(kind);
  });
});

/** A flock of 40: how many of each score. */
const FLOCK: readonly (readonly [score: number, head: number])[] = [
  [1.5, 2],
  [2, 5],
  [2.5, 9],
  [2.75, 2],
  [3, 12],
  [3.5, 6],
  [4, 3],
  [4.5, 1],
];
const flock = FLOCK.flatMap(([score, head]) =>
  Array.from({ length: head }, (_, i) => ({ animalId: `${score} ${i}`, score, aim: 3 })),
);

describe('a group of 40 ewes', () => {
  it('falls into thin, fit and fat', () => {
    // By hand, aim 3: thin to 2.5 is 2 + 5 + 9, fat from 4 is 3 + 1, the rest fit.
    expect(mobCounts(flock.map((f) => mobFor(f.score, f.aim, sheep)))).toEqual({ thin: 16, fit: 20, fat: 4 });
  });
  it('has a mean, a spread and a share at its aim', () => {
    const group = conditionOfGroup(flock);
    // By hand: sum 114.5; at 3 or over 12 + 6 + 3 + 1; sum of squares 345.625, so variance (345.625 - 114.5^2 / 40) / 39.
    expect(group?.mean).toBeCloseTo(2.8625, 12);
    expect(group?.atAim).toBe(22);
    expect(group?.coefficientOfVariation).toBeCloseTo(Math.sqrt((345.625 - 114.5 ** 2 / 40) / 39) / 2.8625, 12);
    expect(group?.byHalf.map((b) => b.count)).toEqual([0, 2, 5, 11, 12, 6, 3, 1, 0]); // 2.75 counts with 2.5
  });
  it('of nobody is no answer, and of one has no spread', () => {
    expect(conditionOfGroup([])).toBeUndefined();
    expect(conditionOfGroup([{ animalId: 'a', score: 3, aim: 3 }])?.coefficientOfVariation).toBeUndefined();
  });
});

describe('the way to the aim', () => {
  const ewe = {
    score: 2,
    scoreSd: 0.25,
    aim: 3,
    weightKg: 58.5,
    kgPerScoreShare: 0.13,
    from: dayOf('2026-07-25'),
    by: dayOf('2026-10-01'),
    daysPerScore: 42,
  };
  it('of a ewe of 58.5 kg at score 2, 68 days before mating', () => {
    const way = wayToAim(ewe);
    // By hand: 58.5 / 0.87 = 67.2414 kg at score 3; 13 % of it is 8.7414 kg; over 68 days 128.55 g a day; the cap is
    // 8.7414 / 42 = 208.13 g a day.
    expect(referenceKg(58.5, 2, 0.13)).toBeCloseTo(67.2414, 4);
    expect(way).toMatchObject({ kind: 'gain', isFeasible: true, reachedOn: dayOf('2026-09-05') });
    if (way.kind !== 'gain') throw new Error('she has to gain');
    expect(way.kg).toBeCloseTo(8.7414, 4);
    expect(way.kgPerDay * 1000).toBeCloseTo(128.55, 2);
    expect(way.capKgPerDay * 1000).toBeCloseTo(208.13, 2);
    expect(way.halfWidthKg).toBeCloseTo(1.28155 * 0.25 * 8.7414, 3);
  });
  it('says when she would make it who cannot by then', () => {
    // One and a half scores at 42 days a score are 63 days; from 12 August that is 14 October.
    const way = wayToAim({ ...ewe, score: 1.5, from: dayOf('2026-08-12') });
    expect(way).toMatchObject({ kind: 'gain', isFeasible: false });
    expect(way.kind === 'gain' && isoOf(way.reachedOn)).toBe('2026-10-14');
  });
  it('takes no day more for the dust of binary fractions', () => {
    // 0.3 of a score at 50 days a score, which is a little over 15 in binary fractions.
    const way = wayToAim({ ...ewe, score: 2.7, daysPerScore: 50 });
    expect(way.kind === 'gain' && isoOf(way.reachedOn)).toBe('2026-08-09');
  });
  it('is behind her who is there, and too late on the day itself', () => {
    expect(wayToAim({ ...ewe, score: 3 })).toEqual({ kind: 'there' });
    expect(wayToAim({ ...ewe, from: ewe.by })).toMatchObject({ isFeasible: false, kgPerDay: Infinity });
  });
  it.each([
    ['a weight', { weightKg: undefined }],
    ['a known weight of a score', { kgPerScoreShare: 0 }],
  ])('tells the days without %s, and no kilograms', (_, without) => {
    expect(wayToAim({ ...ewe, ...without })).toEqual({
      kind: 'no-weight',
      isFeasible: true,
      reachedOn: dayOf('2026-09-05'),
    });
  });
  it('asks for the same kilograms whichever weight at score 3 it starts from', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 11 }), fc.double({ min: 40, max: 90, noNaN: true }), (quarters, at3) => {
        const score = quarters / 4;
        const way = wayToAim({ ...ewe, score, weightKg: at3 * (1 + 0.13 * (score - 3)) });
        expect(way.kind === 'gain' && way.kg).toBeCloseTo((3 - score) * 0.13 * at3, 9);
      }),
      { seed: 11 },
    );
  });
});

it.each([
  [0.9, 40, 36],
  [0.9, 41, 37], // 36.9
  [0.9, 0, 0],
  [1, 7, 7],
])('%d of %d head are %d', (share, count, wanted) => {
  expect(headWanted(share, count)).toBe(wanted);
});

describe('from score to score', () => {
  it.each([
    [2, 2.5, 'gained'], // 0.5 against 1.2816 x sqrt(2) x 0.25 = 0.453
    [3, 2.5, 'lost'],
    [2.5, 2.5, 'held'],
    [2.5, 2.75, 'cannot-tell'],
  ] as const)('%d then %d: %s', (before, now, trend) => {
    expect(scoreTrend(on('2026-06-01', before), on('2026-08-01', now))).toBe(trend);
  });
  it('two hands on one day are averaged, the one who scores high set right first', () => {
    const readings = [
      { on: dayOf('2026-06-01'), score: 3, by: 'Aylin' },
      { on: dayOf('2026-06-01'), score: 3.5, by: 'Kerem' },
      { on: dayOf('2026-03-01'), score: 2.5, by: 'Aylin' },
    ];
    expect(dailyScores(readings).map((s) => s.score)).toEqual([2.5, 3.25]);
    const [, june] = dailyScores(readings, new Map([['Kerem', 0.3]]));
    expect(june).toMatchObject({ score: expect.closeTo(3.1, 12), isCorrected: true, by: ['Aylin', 'Kerem'] });
    expect(june?.sd).toBeCloseTo(0.25 / Math.SQRT2, 12);
  });
  it('rounds of a group are days without a gap of more than ten', () => {
    const scores = ['2025-12-28', '2026-01-03', '2026-01-14', '2026-01-25'].map((iso, i) => ({
      animalId: `e${i % 2}`,
      on: dayOf(iso),
    }));
    expect(scoringRounds(scores).map((r) => [isoOf(r.from), isoOf(r.to), r.animalIds.length])).toEqual([
      ['2025-12-28', '2026-01-03', 2], // over the end of the year
      ['2026-01-14', '2026-01-14', 1],
      ['2026-01-25', '2026-01-25', 1],
    ]);
  });
});

describe('fed up and no answer', () => {
  const thinFrom: MobFrom = { on: dayOf('2026-06-01'), mob: 'thin' };
  const scores = [on('2026-06-01', 2), on('2026-08-05', 2)];
  const check = (what: CheckMade['what'], isFound: boolean): CheckMade => ({ on: dayOf('2026-08-06'), what, isFound });
  const allClear = (['teeth', 'worms', 'feet', 'age', 'illness'] as const).map((w) => check(w, false));

  it('is one scored twice 65 days apart without a gain', () => {
    expect(noResponse(scores, [thinFrom], [])).toMatchObject({
      days: 65,
      suggestion: 'check',
      stillToCheck: ['teeth', 'worms', 'feet', 'age', 'illness'],
    });
  });
  it.each([
    ['gained', [scores[0], on('2026-08-05', 2.5)], [thinFrom]],
    ['was scored 59 days apart', [on('2026-06-07', 2), scores[1]], [thinFrom]],
    ['was never fed up', scores, []],
    ['was with the fit ones', scores, [{ ...thinFrom, mob: 'fit' }]],
    ['came out of the thin mob between', scores, [thinFrom, { on: dayOf('2026-07-01'), mob: 'fit' }]],
    ['was put to the thin ones later', scores, [{ on: dayOf('2026-07-01'), mob: 'thin' }]],
    ['was scored once', [scores[1]], [thinFrom]],
  ] as [string, ScoreOnDay[], MobFrom[]][])('is not one who %s', (_, own, mobs) => {
    expect(noResponse(own, mobs, [])).toBeUndefined();
  });
  it.each([
    ['all was looked at and nothing found', allClear, 'cull'],
    ['worms were found', [check('worms', true)], 'treat'],
    ['the teeth are gone', [check('teeth', true)], 'cull'],
    ['worms and teeth were found', [check('teeth', true), check('worms', true)], 'treat'],
    ['one thing was looked at', [check('feet', false)], 'check'],
    ['the checks are older than the scoring', allClear.map((c) => ({ ...c, on: dayOf('2026-07-01') })), 'check'],
  ] as const)('where %s', (_, checks, suggestion) => {
    expect(noResponse(scores, [thinFrom], checks)?.suggestion).toBe(suggestion);
  });
});

describe('two scorers', () => {
  const day = dayOf('2026-08-01');
  const both = (a: number, b: number) => [
    { on: day, score: a, by: 'Aylin' },
    { on: day, score: b, by: 'Kerem' },
  ];
  it('are held against each other on the animals both felt that day', () => {
    const pairs = scorerPairs([
      both(2.5, 3),
      both(3, 3.5),
      [{ on: day, score: 3, by: 'Aylin' }],
      [
        { on: day, score: 3, by: 'Aylin' },
        { on: dayOf('2026-08-02'), score: 2, by: 'Kerem' },
      ],
      [
        { on: day, score: 3, by: 'Kerem' },
        { on: day, score: 3.5, by: 'Kerem' },
      ],
    ]);
    expect(pairs.map((p) => [p.first, p.second, p.pairs])).toEqual([
      ['Aylin', 'Kerem', [[2.5, 3], [3, 3.5]]], // prettier-ignore
      ['Kerem', 'Kerem', [[3, 3.5]]],
    ]);
  });
  it('the one who scores high is set right by it from eight animals on', () => {
    const seven = scorerPairs(Array.from({ length: 7 }, () => both(2.5, 3)));
    const eight = scorerPairs(Array.from({ length: 8 }, () => both(2.5, 3)));
    expect(scorerBiases(seven, 'Aylin')).toMatchObject([{ by: 'Kerem', bias: 0.5, isUsable: false }]);
    expect(scorerBiases(eight, 'Aylin')).toMatchObject([{ by: 'Kerem', bias: 0.5, isUsable: true }]);
    expect(scorerBiases(eight, 'Kerem')).toMatchObject([{ by: 'Aylin', bias: -0.5 }]);
    expect(scorerBiases(eight, 'Selin')).toEqual([]);
  });
});

describe('the practice corner', () => {
  it('has a guide of five scores at three places, and cases of every whole score, for each species', () => {
    for (const species of SPECIES) {
      expect(FEEL_GUIDES[species].scores).toHaveLength(5);
      const scores = DRILL_CASES.flatMap((c) => (c.species.includes(species) ? [c.score] : []));
      expect(Math.min(...scores)).toBeLessThanOrEqual(1.5);
      expect(scores).toEqual(expect.arrayContaining([2, 3, 4, 5]));
    }
    expect(new Set(DRILL_CASES.map((c) => c.id)).size).toBe(DRILL_CASES.length);
  });
  it('says how a drill went', () => {
    // Against 1, 2, 3: off by 0, +0.5 and +1, so two of three within half, bias 0.5.
    const result = drillResult([
      { caseId: 'r1', score: 1 },
      { caseId: 'r2', score: 2.5 },
      { caseId: 'r3', score: 4 },
      { caseId: 'nobody knows', score: 5 },
    ]);
    expect(result).toMatchObject({ answered: 3, withinHalf: 2 / 3, bias: 0.5 });
    // Observed mean square 1.25 / 3. By chance: var of (1, 2.5, 4) 1.5, of (1, 2, 3) 2/3, shift 0.5 squared 0.25.
    expect(result?.kappa).toBeCloseTo(1 - 1.25 / 3 / (1.5 + 2 / 3 + 0.25), 12);
    expect(drillResult([])).toBeUndefined();
  });
});

describe('the usual rhythm of scoring', () => {
  const rhythm = { fromDays: 330, everyDays: 120 };
  it('counts from the last scoring', () => {
    const w = nextScoring(dayOf('2022-03-01'), dayOf('2026-08-01'), rhythm, dayOf('2026-11-23'));
    // 120 days after 1 August is 29 November; 18 days to each side, and as much again late.
    expect(w && Object.values(w).map((d) => isoOf(d))).toEqual([
      '2026-11-11',
      '2026-11-29',
      '2026-12-17',
      '2027-01-04',
    ]);
  });
  it('begins at its age, and not long before', () => {
    expect(nextScoring(dayOf('2026-08-01'), undefined, rhythm, dayOf('2026-11-23'))).toBeUndefined();
    expect(nextScoring(dayOf('2026-03-01'), undefined, rhythm, dayOf('2026-11-23'))?.bestFrom).toBe(
      dayOf('2027-01-25'),
    );
    expect(nextScoring(undefined, undefined, rhythm, dayOf('2026-11-23'))?.bestFrom).toBe(dayOf('2026-11-23'));
    // Bought grown in October: it counts from the day it came.
    const came = dayOf('2026-10-10');
    expect(nextScoring(dayOf('2022-03-01'), undefined, rhythm, dayOf('2026-11-23'), came)?.bestFrom).toBe(came);
  });
});

it('a score no body could have come to in the days between is doubted', () => {
  // Twice the fastest is a score in 21 days; the hand may err by 0.453.
  expect(isDoubtfulScore(on('2026-06-01', 2), on('2026-06-22', 3), 42)).toBe(false);
  expect(isDoubtfulScore(on('2026-06-01', 2), on('2026-06-11', 3), 42)).toBe(true); // 0.476 + 0.453 < 1
  expect(isDoubtfulScore(on('2026-06-01', 3.5), on('2026-06-11', 2), 42)).toBe(true);
});
