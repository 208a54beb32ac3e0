import type { DeathCause } from '../births';
import fc from 'fast-check';
import { addDays, type Day } from '../calendar';
import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import {
  weanedForWeight,
  BY_HAND,
  compareLitters,
  feedTrial,
  litterDays,
  fedYoung,
  gainOnFeed,
  litterNow,
  litterTrend,
  lossClusters,
  penStage,
  rearedBy,
  rearingTally,
  rearingType,
  seasonTally,
  weanedKg,
  weaningPlans,
  type LitterMember,
  type Reared,
} from '.';

const BORN = day('2026-03-01');
const on = (d: number): Day => addDays(BORN, d);
const lamb = (id: string, change: Partial<Reared> = {}): Reared => ({
  id,
  bornOn: BORN,
  birthDamId: 'her',
  fosterings: [],
  weanedOn: undefined,
  goneOn: undefined,
  ...change,
});
const WEANING = 90;

describe('who rears', () => {
  const moved = lamb('a', { fosterings: [{ on: on(2), damId: 'other' }] });
  it('is the dam, then the foster dam, then nobody', () => {
    expect([rearedBy(moved, on(1)), rearedBy(moved, on(2))]).toEqual(['her', 'other']);
    expect(rearedBy({ ...moved, weanedOn: on(80) }, on(80))).toBeUndefined();
    expect(rearedBy(lamb('b', { fosterings: [{ on: on(1), damId: undefined }] }), on(3))).toBe(BY_HAND);
  });
  it('decides the rearing type on both sides of a fostering', () => {
    // Twins of hers, one put under another with a single: hers is reared alone, the other two as twins.
    const [stays, single] = [lamb('b'), lamb('c', { birthDamId: 'other', bornOn: on(1) })];
    const herd = [moved, stays, single];
    expect(herd.map((y) => rearingType(y, herd, WEANING, on(30)))).toEqual([2, 1, 2]);
  });
  it('counts those that were with it on its last day as a young, and a dead mate no more', () => {
    const herd = [lamb('a', { weanedOn: on(80) }), lamb('b', { goneOn: on(10) })];
    expect(rearingType(herd[0] as Reared, herd, WEANING, on(200))).toBe(1);
    expect(rearingType(herd[1] as Reared, herd, WEANING, on(200))).toBe(2); // on day 9 both were there
  });
  it('says nothing of one reared by hand', () => {
    const young = lamb('a', { fosterings: [{ on: on(1), damId: undefined }] });
    expect(rearingType(young, [young], WEANING, on(30))).toBeUndefined();
  });
});

describe('survival', () => {
  it('is counted at the dam that had the young then', () => {
    // Triplets of hers: one fostered on day 2 dies at the other's on day 5, one dies at hers, one is weaned.
    const herd = [
      lamb('a', { fosterings: [{ on: on(2), damId: 'other' }], goneOn: on(5) }),
      lamb('b', { goneOn: on(20) }),
      lamb('c', { weanedOn: on(85) }),
      lamb('d', { birthDamId: 'other', weanedOn: on(85) }),
    ];
    const how = { weaningAge: WEANING, asOf: on(120), died: () => true };
    expect(rearingTally('her', { on: BORN, alive: 3, dead: 1 }, herd, how)).toEqual({
      bornAlive: 3,
      bornDead: 1,
      fosteredAway: 1,
      fosteredTo: 0,
      lost: 1,
      reared: 1,
      withHer: 0,
      agesWithHer: [],
      survival: 0.5,
    });
    expect(rearingTally('other', { on: BORN, alive: 1, dead: 0 }, herd, how)).toMatchObject({
      fosteredTo: 1,
      lost: 1,
      reared: 1,
      survival: 0.5,
    });
  });
  it('waits while some are with her', () => {
    const how = { weaningAge: WEANING, asOf: on(30), died: () => true };
    expect(rearingTally('her', { on: BORN, alive: 1, dead: 0 }, [lamb('a')], how)).toMatchObject({
      withHer: 1,
      survival: undefined,
    });
  });
  it('never counts a young twice, whatever was written down', () => {
    const young = fc.record({
      dam: fc.constantFrom('a', 'b', 'c'),
      fosterings: fc.array(fc.record({ d: fc.nat(80), damId: fc.constantFrom('a', 'b', 'c', undefined) }), {
        maxLength: 3,
      }),
      weaned: fc.option(fc.integer({ min: 60, max: 100 }), { nil: undefined }),
      gone: fc.option(fc.nat(120), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(young, { maxLength: 8 }), fc.nat(150), (all, asOf) => {
        const herd = all.map((y, i) =>
          lamb(String(i), {
            birthDamId: y.dam,
            fosterings: [...y.fosterings].sort((p, q) => p.d - q.d).map((f) => ({ on: on(f.d), damId: f.damId })),
            weanedOn: y.weaned === undefined ? undefined : on(y.weaned),
            goneOn: y.gone === undefined ? undefined : on(y.gone),
          }),
        );
        const tallies = ['a', 'b', 'c'].map((dam) => {
          const alive = herd.filter((y) => y.birthDamId === dam).length;
          const how = { weaningAge: WEANING, asOf: on(asOf), died: () => true };
          return rearingTally(dam, { on: BORN, alive, dead: 0 }, herd, how);
        });
        const counted = tallies.reduce((s, t) => s + t.lost + t.reared + t.withHer, 0);
        expect(counted).toBeLessThanOrEqual(herd.length);
      }),
      { seed: 11 },
    );
  });
});

describe('a litter', () => {
  const kit = (id: string, kgs: Readonly<Record<number, number>>, until = 99): LitterMember => ({
    id,
    daily: Object.entries(kgs).map(([d, kg]) => ({ on: on(Number(d)), kg })),
    isIn: (asOf) => asOf < on(until),
    hasDied: until < 99,
  });
  it('shows the mean of a head, and no gain, when a kit dies between countings', () => {
    // Together .48 of 8 on day 1; each .10 of 7 on day 5.
    const kits = Array.from({ length: 7 }, (_, i) => kit(String(i), { 5: 0.1 }));
    const now = litterNow([{ on: on(1), count: 8, totalKg: 0.48 }], [...kits, kit('dead', {}, 3)], on(8));
    expect(now.last).toMatchObject({ kind: 'means', died: 1, left: 0, joined: 0, days: 4 });
    expect(now.last?.kind === 'means' && [now.last.fromKg, now.last.toKg].map((kg) => kg.toFixed(3))).toEqual([
      '0.060',
      '0.100',
    ]);
    expect(now.daysWithout).toBe(3);
  });
  it('was weighed only on days on which all of it was', () => {
    const days = litterDays([], [kit('a', { 5: 0.1, 6: 0.11 }), kit('b', { 5: 0.12 })]);
    expect(days.map((d) => [d.on, d.count])).toEqual([[on(5), 2]]);
    expect(days[0]?.totalKg).toBeCloseTo(0.22, 12);
  });
  it('has its runts watched while they are in it', () => {
    const kits = [kit('a', { 5: 0.1 }), kit('b', { 5: 0.1 }), kit('runt', { 5: 0.04 }), kit('gone', { 5: 0.04 }, 7)];
    expect(litterNow([], kits, on(8)).runtIds).toEqual(['runt', 'gone'].slice(0, 1));
  });
});

describe('weaning', () => {
  const kits = [
    { id: 'big', bornOn: BORN, kg: 1.2, begunOn: undefined },
    { id: 'middle', bornOn: BORN, kg: 1.1, begunOn: undefined },
    { id: 'small', bornOn: BORN, kg: 0.95, begunOn: undefined },
  ];
  it.each([
    [41, [], ['too-young', 'too-young', 'too-young']],
    [42, ['big', 'middle'], [undefined, undefined, 'smaller']],
    [43, ['big', 'middle'], [undefined, undefined, 'smaller']],
    [44, ['big', 'middle', 'small'], [undefined, undefined, undefined]],
  ])('takes the biggest rabbits first: on day %i', (d, ready, waits) => {
    const plans = weaningPlans(kits, SPECIES_TABLE.rabbit, on(d));
    expect(plans.filter((p) => p.isReady).map((p) => p.id)).toEqual(ready);
    expect(plans.map((p) => p.waits)).toEqual(waits);
  });
  it('lets the small ones wait though the big ones are gone', () => {
    const small = kits.slice(2);
    expect(weaningPlans(small, SPECIES_TABLE.rabbit, on(42), [1.2, 1.1])[0]?.waits).toBe('smaller');
    expect(weaningPlans(small, SPECIES_TABLE.rabbit, on(44), [1.2, 1.1])[0]?.isReady).toBe(true);
  });
  it('goes by weight for kids from the earliest age on, and takes all at the latest', () => {
    const kids = [
      { id: 'heavy', bornOn: BORN, kg: 13, begunOn: undefined },
      { id: 'light', bornOn: BORN, kg: 9, begunOn: undefined },
    ];
    const ready = (d: number) =>
      weaningPlans(kids, SPECIES_TABLE.goat, on(d))
        .filter((p) => p.isReady)
        .map((p) => p.id);
    expect([ready(55), ready(56), ready(90), ready(120)]).toEqual([[], ['heavy'], ['heavy'], ['heavy', 'light']]);
  });
  it('takes calves off in two steps a week apart', () => {
    const calf = { id: 'c', bornOn: BORN, kg: 200, begunOn: undefined };
    const plan = (d: number, begunOn?: Day) => weaningPlans([{ ...calf, begunOn }], SPECIES_TABLE.cattle, on(d))[0];
    expect(plan(180)).toMatchObject({ isReady: true, step: 'first' });
    expect(plan(186, on(180))).toMatchObject({ isReady: false, step: 'last', waits: 'between-steps' });
    expect(plan(187, on(180))).toMatchObject({ isReady: true, step: 'last' });
  });
});

describe('pens', () => {
  const { rearing } = SPECIES_TABLE.sheep;
  const twins = { on: BORN, young: 2 };
  it('are left after a day, twins after two, then at a fortnight', () => {
    expect(penStage(twins, [], rearing, on(2))).toMatchObject({
      stage: 'bonding',
      next: { stage: 'mixing', window: { opens: on(2), bestTo: on(3) } },
    });
    const mixed = penStage(twins, [{ on: on(2), stage: 'mixing' }], rearing, on(9));
    expect(mixed).toMatchObject({ stage: 'mixing', next: { stage: 'group', window: { opens: on(14) } } });
    expect(penStage(twins, [{ on: on(15), stage: 'group' }], rearing, on(20))?.next).toBeUndefined();
  });
  it('are taken to be left long ago where nobody wrote it down', () => {
    expect(penStage(twins, [], rearing, on(28))?.stage).toBe('bonding');
    expect(penStage(twins, [], rearing, on(29))?.stage).toBe('group');
  });
  it('are none for rabbits', () =>
    expect(penStage({ on: BORN, young: 8 }, [], SPECIES_TABLE.rabbit.rearing, on(2))).toBeUndefined());
});

describe('the trend of a doe’s litters', () => {
  const flat = { usual: [0], spreadSd: 1.8 };
  it('is not spoken of with three', () => {
    expect(litterTrend([9, 7, 5], flat)).toEqual({ kind: 'too-few', litters: 3, needed: 4 });
  });
  it('falls when six do, by hand', () => {
    // 9 8 7 6 5 4: slope -1, Sxx 17.5, RSS 0; variance (4 x 3.24) / (4 + 4) / 17.5 = .092571;
    // drawn by .25 / (.25 + .092571) = .729772 to -.729772; SD sqrt(.25 x .092571 / .342571) = .259916, t(8) 1.39682.
    const trend = litterTrend([9, 8, 7, 6, 5, 4], flat);
    expect(trend).toMatchObject({ kind: 'falling', litters: 6 });
    expect(trend.kind !== 'too-few' && trend.perLitter).toBeCloseTo(-0.729772, 5);
    expect(trend.kind !== 'too-few' && trend.high).toBeCloseTo(-0.729772 + 1.39682 * 0.259916, 4);
  });
  it('is steady where the young are few for her first, as is usual', () => {
    expect(litterTrend([7, 8, 8, 8, 8, 8], { usual: [-1, 0], spreadSd: 1.8 })).toMatchObject({
      kind: 'steady',
      perLitter: 0,
    });
  });
  it('stays steady when the fall may be chance', () => {
    expect(litterTrend([8, 9, 7, 8], flat)).toMatchObject({ kind: 'steady' });
  });
});

describe('a feed trial', () => {
  const arm = (pricePerKg: number, ratios: readonly number[]) => ({
    pricePerKg,
    records: ratios.map((r) => ({ gainKg: 10, feedKg: 10 * r })),
  });
  const found = (...trial: Parameters<typeof feedTrial>) => {
    const told = feedTrial(...trial);
    if (told.kind !== 'found') throw new Error(told.kind);
    return told;
  };
  it('says what was saved, by hand', () => {
    // Dearer 0.50 a kg at 3.0, 3.2, 3.1: 1.55 a kg gained; cheaper 0.40 at 3.6, 3.4, 3.5: 1.40. Of equal gains the ratio
    // is the mean: SDs .05 and .04, error sqrt(.0025/3 + .0016/3) = .036968; 3.816 degrees, t 1.5476.
    const told = found(arm(0.5, [3, 3.2, 3.1]), arm(0.4, [3.6, 3.4, 3.5]), 2);
    expect(told.costDifference).toBeCloseTo(-0.15, 12);
    expect(told.halfWidth).toBeCloseTo(1.5476 * 0.0369685, 4);
    expect(told).toMatchObject({ verdict: 'cheaper-saves', moreNeeded: undefined });
    expect(told.perYoung).toBeCloseTo(-0.3, 12);
    expect(told.dearer.feedPerKgGained).toBeCloseTo(3.1, 12);
  });
  it('counts a litter that did not gain, and has one figure for headline and difference', () => {
    // 18 kg for 4: 4.5; left over -3, -1, 4, so sqrt(3 / 2 x 26) / 4. The other eats 4 for 2 and 6 for 2: 2.5, left over
    // -1, 1, so sqrt(2 x 2) / 4.
    const records = (...pairs: [feedKg: number, gainKg: number][]) =>
      pairs.map(([feedKg, gainKg]) => ({ feedKg, gainKg }));
    const told = found(
      { pricePerKg: 1, records: records([6, 2], [8, 2], [4, 0]) },
      { pricePerKg: 0.5, records: records([4, 2], [6, 2]) },
      2,
    );
    expect(told.dearer.feedPerKgGained).toBe(4.5);
    expect(told.dearer.standardError).toBeCloseTo(Math.sqrt(39) / 4, 12);
    expect(told.cheaper.standardError).toBeCloseTo(0.5, 12);
    expect(told.costDifference).toBeCloseTo(told.cheaper.costPerKgGained - told.dearer.costPerKgGained, 12);
    expect(told.costDifference).toBeCloseTo(1.25 - 4.5, 12);
  });
  it('says how many litters more until one can tell', () => {
    // 1.50, 1.70 against 1.50, 1.60: difference -.05, SDs .141421 and .070711, together .111803;
    // 2 (2.12317 x .111803 / .05)² = 45.08, so 46 a feed and 44 more.
    const told = found(arm(0.5, [3, 3.4]), arm(0.4, [3.75, 4]), 2);
    expect(told).toMatchObject({ verdict: 'cannot-tell', moreNeeded: 44 });
  });
  it('has no ratio without a gain, and says on which feed; no error with one litter', () => {
    expect(feedTrial(arm(0.5, []), arm(0.4, [3]), 2)).toEqual({ kind: 'not-tried' });
    const lost = {
      pricePerKg: 0.4,
      records: [
        { feedKg: 3, gainKg: -1 },
        { feedKg: 3, gainKg: 1 },
      ],
    };
    expect(feedTrial(arm(0.5, [3]), lost, 2)).toEqual({ kind: 'no-gain', on: 'cheaper' });
    expect(found(arm(0.5, [3]), arm(0.4, [3]), 2)).toMatchObject({ halfWidth: undefined, verdict: 'cannot-tell' });
  });
});

describe('the weaned weight of a litter', () => {
  const at = (...readings: (readonly [d: number, kg: number])[]) => ({
    bornOn: BORN,
    birthType: 1,
    daily: readings.map(([d, kg]) => ({ on: on(d), kg, method: 'scale' as const })),
  });
  const settings = { birthWeightKg: [4] };
  it('is set to one age, each from its own birth weight', () => {
    // 5 + (31 - 5) / 100 x 90 = 28.4, and without a birth weight 4 + (22 - 4) / 80 x 90 = 24.25.
    expect(weanedKg([at([0, 5], [50, 18], [100, 31]), at([80, 22])], 90, settings)).toBeCloseTo(28.4 + 24.25, 10);
  });
  it('has no answer where one was not weighed near the age, or nobody was weaned', () => {
    expect(weanedKg([at([90, 25]), at([40, 12])], 90, settings)).toBeUndefined();
    expect(weanedKg([], 90, settings)).toBeUndefined();
  });
});

describe('litters compared', () => {
  const litter = (group: string, value: number, parity = 3, size = 8) => ({ group, value, parity, size });
  it('draws one litter far toward the others, and calls it a guess', () => {
    // n / (n + .85 / .15) = .15 of 2 over the mean of 7
    const found = compareLitters([litter('a', 9), litter('b', 6), litter('b', 6)], false);
    expect(found?.groups[0]).toMatchObject({ group: 'a', litters: 1, sureness: 'guess' });
    expect(found?.groups[0]?.difference).toBeCloseTo(2 * 0.15, 12);
  });
  it('does not hold a first litter against its doe', () => {
    // Firsts are two under the others by everybody; the doe with three firsts among hers is no worse.
    const records = ['a', 'b', 'c'].flatMap((g) => [litter(g, 6, 1), litter(g, 8, 3), litter(g, 8, 4)]);
    const found = compareLitters([...records, litter('d', 6, 1), litter('d', 6, 1)], false);
    for (const g of found?.groups ?? []) expect(g.difference).toBeCloseTo(0, 6);
  });
});

it('sees three losses of one cause within a week of each other as an outbreak', () => {
  const loss = (d: number, cause: DeathCause | undefined) => ({ on: on(d), cause });
  const all = [
    loss(1, 'scour'),
    loss(7, 'scour'),
    loss(14, 'scour'),
    loss(30, 'scour'),
    loss(2, 'cold'),
    loss(3, 'cold'),
    // Nobody knows of three: that is no one cause.
    loss(4, 'unknown'),
    loss(5, 'unknown'),
    loss(6, 'unknown'),
  ];
  expect(lossClusters([...all, loss(4, undefined)]).map((c) => c.map((l) => l.on - BORN))).toEqual([[1, 7, 14]]);
});

it('counts a season to a hundred females, and where young were lost', () => {
  let count = 0;
  // Four to the male, three scanned: 2, 2, 1. One slipped her single, one of four was born dead, one died later.
  const f = (
    scanned: number | undefined,
    bornAlive: number,
    bornDead: number,
    reared: number,
    femaleId = String(count++),
  ) => ({
    femaleId,
    scanned,
    bornAlive,
    bornDead,
    gaveBirth: bornAlive + bornDead > 0,
    reared,
    withHer: 0,
  });
  expect(seasonTally([f(2, 2, 0, 2), f(2, 1, 1, 0), f(1, 0, 0, 0), f(undefined, 0, 0, 0)])).toEqual({
    females: 4,
    gaveBirth: 2,
    litters: 2,
    scannedFemales: 3,
    scanned: 5,
    bornAlive: 3,
    bornDead: 1,
    reared: 2,
    withHer: 0,
    scannedPercent: 500 / 3,
    bornPercent: 75,
    rearedPercent: 50,
    bornALitter: 1.5,
    rearedALitter: 1,
    lost: { beforeBirth: 1, atBirth: 1, inRearing: 1 },
  });
  // Two does, one with two litters of 8 and 6, the other with one of 7: two females, three litters, 7 a litter.
  const does = [f(undefined, 8, 0, 7, 'a'), f(undefined, 6, 1, 6, 'a'), f(undefined, 7, 0, 5, 'b')];
  expect(seasonTally(does)).toMatchObject({
    females: 2,
    gaveBirth: 2,
    litters: 3,
    bornALitter: 7,
    rearedALitter: 6,
  });
});

describe('the gain on a feed', () => {
  const fed = (id: string, kgs: Readonly<Record<number, number>>) => ({
    id,
    daily: Object.entries(kgs).map(([d, kg]) => ({ on: on(Number(d)), kg })),
  });
  const together = (d: number, count: number, totalKg: number, heads: readonly string[]) => ({
    on: on(d),
    count,
    totalKg,
    heads,
  });
  it('is that of each, at the pace between the weighings nearest to its first and last day', () => {
    // a 1.0 to 1.8 kg in 8 days, b 1.0 to 1.4: 0.1 and 0.05 a day, over the ten days of the feed.
    const young = [fed('a', { 31: 1, 39: 1.8 }), fed('b', { 31: 1, 39: 1.4 })];
    const gained = gainOnFeed(young, [], on(30), on(40));
    expect(gained?.young).toBe(2);
    expect(gained?.gainKg).toBeCloseTo(1.5, 12);
    expect(gainOnFeed([...young, fed('c', {})], [], on(30), on(40))).toBeUndefined();
  });
  it('is that of the whole litter where it was weighed together, and none when its heads changed', () => {
    const days = [together(30, 2, 2, ['a', 'b']), together(40, 2, 3, ['a', 'b'])];
    expect(gainOnFeed([fed('a', {}), fed('b', {})], days, on(30), on(40))).toEqual({ gainKg: 1, young: 2 });
    const fewer = [days[0], together(40, 1, 1.6, ['a'])].flatMap((d) => d ?? []);
    expect(gainOnFeed([fed('a', {})], fewer, on(30), on(40))).toBeUndefined();
  });
  it('is of the youngest litter she reared when it was begun, hers and others’, to its end', () => {
    const all = [
      lamb('own'),
      lamb('others', { birthDamId: 'x', fosterings: [{ on: on(3), damId: 'her' }] }),
      lamb('given', { fosterings: [{ on: on(3), damId: 'x' }] }),
      lamb('gone', { goneOn: on(35) }),
      lamb('older', { bornOn: addDays(BORN, -60) }),
      lamb('weaned', { weanedOn: on(32) }),
    ];
    expect(fedYoung('her', all, on(30), on(40)).map((y) => y.id)).toEqual(['own', 'others', 'weaned']);
  });
});

it('weighs what a dam weans a year against her own weight', () => {
  // Three litters of 40 kg in 2.5 years are 48 kg a year; of a ewe of 60 kg .8 a kilogram.
  expect(weanedForWeight({ kgALitter: 40, litters: 3, years: 2.5 }, 60)).toEqual({ kgAYear: 48, forAKg: 0.8 });
  expect(weanedForWeight({ kgALitter: undefined, litters: 3, years: 2.5 }, 60)).toBeUndefined();
  expect(weanedForWeight({ kgALitter: 40, litters: 1, years: 0 }, 60)).toBeUndefined();
});
