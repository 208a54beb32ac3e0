import {
  addDays,
  cullEvents,
  cullHits,
  since,
  USUAL_CULL_RULES,
  whatClears,
  type CullFacts,
  type CullRule,
  type Sex,
  type Species,
  type Standard,
} from '..';
import { day } from '../tests/builders';

const TODAY = day('2026-11-20');
const ago = (days: number) => addDays(TODAY, -days);
const standard = (name: string): Standard => ({
  id: name,
  species: 'sheep',
  sexes: ['female'],
  name,
  fails: '',
  kind: 'go',
});
const STANDARDS = ['Mouth', 'Bite', 'Udder', 'Feet', 'Legs', 'Temper'].map(standard);

type Told = Partial<CullFacts>;
const facts = (change: Told): CullFacts => ({
  standards: STANDARDS,
  looks: [],
  checks: [],
  births: [],
  treatments: [],
  geneTests: [],
  maleChecks: [],
  barrenOn: [],
  noResponse: undefined,
  litterTrend: undefined,
  reared: undefined,
  alarm: undefined,
  conception: undefined,
  today: TODAY,
  ...change,
});
const hitsOf = (
  change: Told,
  {
    species = 'sheep',
    sex = 'female',
    bornOn = '2023-04-01',
    rules = USUAL_CULL_RULES,
  }: { species?: Species; sex?: Sex; bornOn?: string; rules?: readonly CullRule[] } = {},
) => cullHits({ species, sex, bornOn: day(bornOn), events: cullEvents(facts(change)) }, rules, TODAY);
const facts2 = (change: Told, who: Parameters<typeof hitsOf>[1] = {}) => hitsOf(change, who).map((h) => h.rule.fact);

const look = (daysAgo: number, grades: Record<string, 'pass' | 'fail'>) => ({
  entryId: `l${daysAgo}`,
  on: ago(daysAgo),
  by: 'Ayla',
  grades,
});
const check = (daysAgo: number, what: string, isFound = true) => ({
  entryId: `c${daysAgo}`,
  on: ago(daysAgo),
  what,
  isFound,
});
const birth = (daysAgo: number, change: object = {}) => ({
  entryId: `b${daysAgo}`,
  on: ago(daysAgo),
  ease: 'alone' as const,
  mothering: 'good' as const,
  ...change,
});
const given = (daysAgo: number, reason: string) => ({ entryId: `t${daysAgo}`, on: ago(daysAgo), reason });
const reared = (litters: number, perYear: number, high: number) => ({
  on: ago(30),
  herd: 1.6,
  own: { perYear, standardError: 0.2, low: 0, high, litters, weaned: 2, reared: 2, years: 3 },
});
const share = (of: number, value: number, high: number) => ({
  on: ago(20),
  least: 0.6,
  share: { of, share: value, low: 0, high },
});

describe('rules on written histories', () => {
  it.each<readonly [story: string, told: Told, who: Parameters<typeof hitsOf>[1], facts: readonly string[]]>([
    ['nothing on record', {}, {}, []],
    ['empty once: a chance left', { barrenOn: [ago(400)] }, {}, []],
    ['empty twice', { barrenOn: [ago(760), ago(400)] }, {}, ['empty']],
    ['a ram is not asked whether he is empty', { barrenOn: [ago(760), ago(400)] }, { sex: 'male' }, []],
    ['a ewe a day before her seventh birthday', {}, { bornOn: '2019-11-21' }, []],
    ['a ewe on her seventh birthday', {}, { bornOn: '2019-11-20' }, ['age']],
    ['a wether of ten years', {}, { bornOn: '2016-04-01', sex: 'castrate' }, []],
    ['a rabbit doe of three and a half', {}, { species: 'rabbit', bornOn: '2023-05-20' }, ['age']],
    ['a rabbit doe a day younger', {}, { species: 'rabbit', bornOn: '2023-05-21' }, []],
    ['a ewe born on 29 February', {}, { bornOn: '2016-02-29' }, ['age']],
    ['a bad mouth', { looks: [look(10, { Mouth: 'fail' })] }, {}, ['mouth']],
    [
      'a bad mouth, and a good look since',
      { looks: [look(300, { Mouth: 'fail' }), look(10, { Mouth: 'pass' })] },
      {},
      [],
    ],
    [
      'teeth found bad by themselves after a good look',
      { looks: [look(30, { Mouth: 'pass' })], checks: [check(5, 'teeth')] },
      {},
      ['mouth'],
    ],
    ['a bad udder', { checks: [check(50, 'udder')] }, {}, ['udder']],
    ['an udder that mended', { checks: [check(50, 'udder'), check(5, 'udder', false)] }, {}, []],
    ['bad feet once', { looks: [look(60, { Feet: 'fail' })] }, {}, []],
    ['bad feet twice in a year', { looks: [look(300, { Feet: 'fail' }), look(60, { Legs: 'fail' })] }, {}, ['feet']],
    [
      'bad feet twice, 13 days apart: one bout',
      { looks: [look(73, { Feet: 'fail' }), look(60, { Feet: 'fail' })] },
      {},
      [],
    ],
    [
      'bad feet twice, 14 days apart: two bouts',
      { looks: [look(74, { Feet: 'fail' }), look(60, { Feet: 'fail' })] },
      {},
      ['feet'],
    ],
    [
      'bad feet 365 days ago still count',
      { looks: [look(365, { Feet: 'fail' }), look(60, { Feet: 'fail' })] },
      {},
      ['feet'],
    ],
    ['bad feet 366 days ago do not', { looks: [look(366, { Feet: 'fail' }), look(60, { Feet: 'fail' })] }, {}, []],
    ['a prolapse long ago', { checks: [check(900, 'prolapse')] }, {}, ['prolapse']],
    ['a bad mother once', { births: [birth(600, { mothering: 'refuses' }), birth(230)] }, {}, []],
    [
      'a bad mother twice',
      { births: [birth(600, { mothering: 'refuses' }), birth(230, { mothering: 'refuses' })] },
      {},
      ['mothering'],
    ],
    [
      'two hard births',
      { births: [birth(600, { ease: 'vet' }), birth(230, { ease: 'pulled-hard' })] },
      {},
      ['hard-birth'],
    ],
    ['reared few, surely', { reared: reared(3, 0.8, 1.5) }, {}, ['rears-few']],
    ['reared few of two litters: too soon', { reared: reared(2, 0.8, 1.5) }, {}, []],
    ['reared few, perhaps by chance', { reared: reared(3, 0.8, 1.6) }, {}, []],
    ['an alarm open for 59 days', { alarm: { since: ago(59), share: 0.9 } }, {}, []],
    ['an alarm open for 60 days', { alarm: { since: ago(60), share: 0.9 } }, {}, ['weight-alarm']],
    ['dangerous once', { looks: [look(700, { Temper: 'fail' })] }, {}, ['temper']],
    ['a ram whose ewes do not take, surely', { conception: share(8, 0.25, 0.5) }, { sex: 'male' }, ['conception']],
    ['a ram with four ewes: too few', { conception: share(4, 0, 0.3) }, { sex: 'male' }, []],
    [
      'a ram that failed his check',
      { maleChecks: [{ entryId: 'm', on: ago(9), grades: { testicles: 'fail' } }] },
      { sex: 'male' },
      ['male-check'],
    ],
    [
      'treated twice for one thing, once for another',
      { treatments: [given(300, 'lame'), given(200, 'Lame '), given(100, 'scours')] },
      {},
      [],
    ],
    [
      'treated three times for one thing',
      { treatments: [given(300, 'lame'), given(200, 'Lame'), given(100, 'lame')] },
      {},
      ['treated'],
    ],
    [
      'treated three days running: one bout',
      { treatments: [given(12, 'lame'), given(11, 'lame'), given(10, 'lame')] },
      {},
      [],
    ],
    [
      'an affected gene',
      { geneTests: [{ entryId: 'g', on: ago(90), gene: 'Hairless', result: 'affected' }] },
      {},
      ['affected'],
    ],
    [
      'more than one thing: the most urgent first',
      { looks: [look(10, { Mouth: 'fail', Temper: 'fail' })], alarm: { since: ago(90), share: 0.9 } },
      {},
      ['temper', 'mouth', 'weight-alarm'],
    ],
  ])('%s', (_, told, who, expected) => {
    expect(facts2(told, who)).toEqual(expected);
  });

  it('grant chances beyond those the rule gives', () => {
    const rules = USUAL_CULL_RULES.map((r) => (r.fact === 'empty' ? { ...r, granted: 1 } : r));
    expect(facts2({ barrenOn: [ago(760), ago(400)] }, { rules })).toEqual([]);
    const [hit] = hitsOf({ barrenOn: [ago(1100), ago(760), ago(400)] }, { rules });
    expect(hit).toMatchObject({ chancesUsed: 2, chances: 2 });
    expect(hit?.evidence).toHaveLength(3);
  });
});

describe('a decision that one stays', () => {
  it('holds until evidence from after it', () => {
    const told = { looks: [look(40, { Mouth: 'fail' })] };
    expect(since(hitsOf(told), { on: ago(30), reason: 'fond of her' })).toEqual([]);
    expect(since(hitsOf(told), { on: ago(40), reason: 'fond of her' })).toEqual([]);
    expect(since(hitsOf(told), { on: ago(41), reason: 'fond of her' })).toHaveLength(1);
  });
  it('of age, until the next birthday', () => {
    const hits = hitsOf({}, { bornOn: '2018-11-10' }); // eight on 10 November, ten days ago
    expect(hits[0]?.evidence).toEqual([{ on: day('2026-11-10'), figure: 8 }]);
    expect(since(hits, { on: day('2026-11-11'), reason: 'half the flock is hers' })).toEqual([]);
    expect(since(hits, { on: day('2025-11-20'), reason: 'half the flock is hers' })).toHaveLength(1);
  });
});

it('says what would clear it', () => {
  const [feet] = hitsOf({
    looks: [look(300, { Feet: 'fail' }), look(200, { Feet: 'fail' }), look(60, { Feet: 'fail' })],
  });
  // One chance: with the bout 200 days ago out of the year, one is left.
  expect(feet && whatClears(feet)).toEqual({ kind: 'on', on: addDays(ago(200), 366) });
  const [mouth] = hitsOf({ looks: [look(10, { Mouth: 'fail' })] });
  expect(mouth && whatClears(mouth)).toEqual({ kind: 'good-record' });
  const [age] = hitsOf({}, { bornOn: '2015-04-01' });
  expect(age && whatClears(age)).toEqual({ kind: 'never' });
});
