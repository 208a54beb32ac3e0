import { SPECIES_TABLE } from '../species';
import { day } from '../tests/builders';
import { birthDayChances, birthQuestions, birthsOf, birthSpread, daysOver, siresOfBirth, type DamAsked } from '.';

const { goat } = SPECIES_TABLE; // carried 150 days (145-155), mated from day 215
const doe = (change: Partial<DamAsked> = {}): DamAsked => ({
  species: 'goat',
  bornOn: day('2022-03-01'),
  wasNearMale: () => true,
  births: [],
  serviceDays: [day('2025-10-01')],
  tests: [],
  ...change,
});
const born = (on: string, change: object = {}) => ({ on: day(on), alive: 2, dead: 0, species: undefined, ...change });
const ask = (birth: ReturnType<typeof born>, dam = doe()) => birthQuestions(birth, dam, goat);

describe('a birth is asked about', () => {
  it.each([
    ['2026-02-28', []], // day 150
    ['2026-02-19', []], // day 141: four days under the usual range
    ['2026-02-18', [{ code: 'too-early', servedOn: '2025-10-01', days: 140, shortest: 145 }]],
    ['2026-03-09', []], // day 159
    ['2026-03-10', [{ code: 'too-late', servedOn: '2025-10-01', days: 160, longest: 155 }]],
  ])('by the days since the service, on %s', (on, asked) => expect(ask(born(on))).toEqual(asked));

  it('where no service is on record and no male was near', () => {
    const alone = doe({ serviceDays: [], wasNearMale: () => false });
    // 159 and 141 days before the birth.
    expect(ask(born('2026-03-01'), alone)).toEqual([{ code: 'never-mated', from: '2025-09-23', to: '2025-10-11' }]);
  });

  it.each([
    ['2026-04-25', []], // 420 days old: from 215 + 145 - 4 = 356 on
    ['2026-02-20', []], // 356
    ['2026-02-19', [{ code: 'dam-too-young', ageDays: 355, youngestDays: 356 }]],
  ])('by the age of a dam at her first birth, on %s', (on, asked) => {
    expect(ask(born(on), doe({ bornOn: day('2025-03-01'), serviceDays: [] }))).toEqual(asked);
    const second = doe({ bornOn: day('2025-03-01'), serviceDays: [], births: [{ on: day('2025-06-01') }] });
    expect(ask(born(on), second)).toEqual([]);
  });

  it('not where an earlier service fits, nor where none is on record', () => {
    const twice = doe({ serviceDays: [day('2025-10-01'), day('2025-11-10')] });
    expect(ask(born('2026-03-01'), twice)).toEqual([]);
    expect(ask(born('2026-03-01'), doe({ serviceDays: [] }))).toEqual([]);
  });

  it('as too early for the later service where the earlier one is too long ago', () => {
    const twice = doe({ serviceDays: [day('2025-08-01'), day('2025-11-10')] });
    expect(ask(born('2026-03-01'), twice)).toMatchObject([{ code: 'too-early', servedOn: '2025-11-10', days: 111 }]);
  });

  it('born dead, more than scanned, tested empty and of another species, all at once', () => {
    const dam = doe({
      tests: [
        { on: day('2025-11-20'), result: 'carrying', young: 1 },
        { on: day('2025-12-10'), result: 'empty', young: undefined },
      ],
    });
    expect(ask(born('2026-02-28', { alive: 1, dead: 1, species: 'sheep' }), dam)).toEqual([
      { code: 'other-species', told: 'sheep', species: 'goat' },
      { code: 'tested-empty', on: '2025-12-10' },
      { code: 'more-than-scanned', scanned: 1, born: 2, on: '2025-11-20' },
      { code: 'born-dead', dead: 1 },
    ]);
  });

  it('when she gave birth a month before, but not for the second of a litter over midnight', () => {
    const dam = doe({ births: [{ on: day('2026-01-29') }], serviceDays: [] });
    expect(ask(born('2026-02-28'), dam)).toEqual([{ code: 'two-births', on: '2026-01-29', days: 30 }]);
    expect(ask(born('2026-01-30'), dam)).toEqual([]);
  });

  it('by what was known since her last birth alone', () => {
    const dam = doe({
      births: [{ on: day('2025-09-01') }],
      serviceDays: [day('2025-03-20'), day('2025-10-01')],
      tests: [{ on: day('2025-06-01'), result: 'empty', young: undefined }],
    });
    expect(ask(born('2026-02-28'), dam)).toEqual([]);
  });
});

describe('births', () => {
  const written = (on: string, alive: number, dead = 0) => ({
    entryId: on,
    on: day(on),
    alive,
    dead,
    ease: 'alone' as const,
    presentation: undefined,
    mothering: undefined,
    afterbirth: undefined,
  });
  it('are the young on record and what was written down, each once', () => {
    const litters = [
      { damId: 'd', bornOn: day('2025-04-01'), youngIds: ['a', 'b'] },
      { damId: 'd', bornOn: day('2026-04-02'), youngIds: ['c'] },
    ];
    const births = birthsOf(litters, [written('2026-04-01', 1, 1), written('2024-03-30', 0, 2)]);
    expect(births.map((b) => [b.on, b.youngIds.length, b.alive, b.dead, b.written !== undefined])).toEqual([
      [day('2024-03-30'), 0, 0, 2, true],
      [day('2025-04-01'), 2, 2, 0, false],
      [day('2026-04-01'), 1, 1, 1, true],
    ]);
  });
});

describe('the sire', () => {
  it('is weighed by the length of the pregnancy, males of one service alike', () => {
    // SD (155 - 145) / 4 = 2.5 days. Day 150 weighs 1, day 145 exp(-25 / 12.5) = 0.1353.
    const services = [
      { from: day('2025-10-01'), to: day('2025-10-01'), maleIds: ['a'] },
      { from: day('2025-10-06'), to: day('2025-10-06'), maleIds: ['b', 'c'] },
    ];
    const sires = siresOfBirth(day('2026-02-28'), services, goat.gestationDays);
    expect(sires.map((s) => s.maleId)).toEqual(['a', 'b', 'c']);
    expect(sires[0]?.probability).toBeCloseTo(1 / 1.135335, 5);
    expect(sires[1]?.probability).toBeCloseTo(0.135335 / 1.135335 / 2, 5);
  });
  it('is nobody where no service lies near', () => {
    const services = [{ from: day('2025-08-01'), to: day('2025-08-01'), maleIds: ['a'] }];
    expect(siresOfBirth(day('2026-02-28'), services, goat.gestationDays)).toEqual([]);
  });
});

describe('the day of a birth to come', () => {
  const rabbit = SPECIES_TABLE.rabbit.gestationDays; // 31 (29-33): an SD of one day
  const spread = birthSpread([{ on: day('2026-11-01'), share: 1, sd: 0 }], rabbit);
  it('is as likely as the days that are left say, and past them there is no chance', () => {
    // On day 32: .60653 (+1), .13534 (+2), .01111 (+3) are left of it.
    const [today, tomorrow] = birthDayChances(spread, day('2026-12-03'), 3);
    expect(today).toBeCloseTo(0.60653 / 0.75298, 4);
    expect(tomorrow).toBeCloseTo(0.13534 / 0.75298, 4);
    expect(birthDayChances(spread, day('2026-12-10'), 2)).toEqual([0, 0]);
  });
  it('is over from the day after its window', () => {
    expect(daysOver({ closes: day('2026-12-04') }, day('2026-12-04'))).toBe(0);
    expect(daysOver({ closes: day('2026-12-04') }, day('2026-12-06'))).toBe(2);
  });
});

it.each([
  ['rabbit', 7, 1, false],
  ['rabbit', 7, 2, false],
  ['rabbit', 5, 3, true],
  ['rabbit', 0, 1, true], // nobody alive is always asked about
  ['goat', 1, 1, true],
] as const)('a %s birth of %i alive and %i dead is asked about: %s', (species, alive, dead, isAsked) => {
  const asked = birthQuestions(born('2026-02-28', { alive, dead }), doe(), SPECIES_TABLE[species]).map((q) => q.code);
  expect(asked.includes('born-dead')).toBe(isAsked);
});
