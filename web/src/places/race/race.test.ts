import type { Entry, RosterAnimal } from '@yaylak/contract';
import { biasesByKey, dayOf, SPECIES_TABLE, type UsedBias } from '@yaylak/core';
import { aRosterAnimal, aTag } from '../../tests/builders';
import { answerTag, answerWeight, matchesFor, raceNumbers } from './answers';
import { gainsBefore, jobFigures } from './jobFigures';
import { hasAll, isSameLog, jobLog, passagesOf } from './raceLog';

const lamb = (text: string, weights: RosterAnimal['weights'] = []): RosterAnimal =>
  aRosterAnimal(text, { tag: aTag(text, { animalId: text }), weights });
const numbers = raceNumbers([lamb('26-0031'), lamb('26-0131'), lamb('25-0031')], new Set(['26-0031', '26-0131']));
const answer = (typed: string, marked?: number) => answerTag(matchesFor(numbers, typed), typed, marked);

describe('a typed number', () => {
  it.each([
    ['26-0031', undefined, { kind: 'animal', animalId: '26-0031' }],
    ['0031', undefined, { kind: 'animal', animalId: '26-0031', isListed: true }], // the listed one before the other
    ['131', undefined, { kind: 'animal', animalId: '26-0131' }],
    ['31', undefined, { kind: 'several', animalIds: ['26-0031', '26-0131'], isWorn: false }],
    ['31', 1, { kind: 'animal', animalId: '26-0131' }],
    ['25-0031', undefined, { kind: 'animal', isListed: false }],
    ['999', undefined, { kind: 'unknown', number: '999' }],
    [' ', undefined, { kind: 'nothing-typed' }],
  ])('%s (row %s) is %j', (typed, marked, expected) => {
    expect(answer(typed, marked)).toMatchObject(expected);
  });
});

it('a number two animals wore is his who wears it now; of two who wear it the person chooses', () => {
  const [now, before] = [lamb('blue 7'), { ...lamb('26-0099'), formerly: ['blue 7'] }];
  const both = raceNumbers([before, now], new Set(['26-0099']));
  expect(answerTag(matchesFor(both, 'blue 7'), 'blue 7', undefined)).toMatchObject({
    kind: 'animal',
    animalId: 'blue 7',
  });
  const twins = raceNumbers([now, { ...lamb('x'), worn: [['blue 7', 'e', 'visual']] }], new Set());
  expect(answerTag(matchesFor(twins, 'blue 7'), 'blue 7', undefined)).toMatchObject({ kind: 'several', isWorn: true });
});

describe('a typed weight', () => {
  const before = { on: dayOf('2026-11-09'), kg: 30, method: 'scale' as const };
  const weigh = (typed: string, unit: 'kg' | 'lb' = 'kg') =>
    answerWeight({ typed, unit, species: 'sheep', before, on: '2026-11-23', settings: SPECIES_TABLE.sheep });
  it.each(['0', '-4', '9999', 'x', '', '12.5.3,1'])('%s is refused in words', (typed) => {
    expect(weigh(typed)).toMatchObject({ kind: 'refused', message: expect.stringMatching(/\w/) });
  });
  it('may have a comma, may be in pounds, and may be doubted', () => {
    expect(weigh('31,5')).toEqual({ kind: 'weight', kg: 31.5 });
    expect(weigh('70', 'lb')).toEqual({ kind: 'weight', kg: 70 * 0.45359237 });
    expect(weigh('70')).toMatchObject({ kind: 'doubt', doubt: { kind: 'jump', days: 14 } });
  });
});

describe('the log of a job', () => {
  const entry = (id: string, more: object): Entry =>
    ({
      id,
      jobId: 'j',
      on: '2026-11-23',
      writtenAt: `t${id[0]}`,
      writtenBy: 'A',
      source: 'race',
      animalId: `animal ${id[0]}`,
      ...more,
    }) as Entry;
  const onServer = [entry('1a', { type: 'passage', gate: 'Keep' }), entry('1b', { type: 'weight', kg: 30 })];
  const item = (e: Entry, state: 'waiting' | 'refused' = 'waiting') => ({
    key: e.id,
    out: { kind: 'entry' as const, entry: e },
    state,
    ...(state === 'refused' ? { message: 'why' } : {}),
  });

  it('takes each entry once, wherever it lies, and leaves struck ones out', () => {
    const passages = passagesOf(
      onServer,
      jobLog(
        [
          item(onServer[1] as Entry),
          item(entry('2a', { type: 'weight', kg: 31 })),
          item(entry('3a', { type: 'weight', kg: 32 }), 'refused'),
          item(entry('4a', { type: 'weight', kg: 33, jobId: 'another' })),
        ],
        'j',
      ),
    );
    expect(passages.map((p) => [p.animalId, p.kg, p.gate, p.refusedBecause])).toEqual([
      ['animal 1', 30, 'Keep', undefined],
      ['animal 2', 31, undefined, undefined],
      ['animal 3', 32, undefined, 'why'],
    ]);
    const strikes = onServer.map((e, i) => item(entry(`9${i}`, { type: 'strike', entryId: e.id })));
    expect(passagesOf(onServer, jobLog(strikes, 'j'))).toEqual([]);
  });

  it('is the same when an entry has only been sent, and another when one was refused or added', () => {
    const e = entry('2a', { type: 'weight', kg: 31 });
    const log = (...items: ReturnType<typeof item>[]) => jobLog(items, 'j');
    expect(isSameLog(log(item(e)), log({ ...item(e), state: 'kept' as never }))).toBe(true);
    expect(isSameLog(log(item(e)), log(item(e, 'refused')))).toBe(false);
    expect(isSameLog(log(item(e)), log(item(e), item(entry('3a', {}))))).toBe(false);
  });

  it('is all saved once each entry is known there, or struck out here or there', () => {
    const [e, f] = [entry('2a', { type: 'weight', kg: 31 }), entry('3a', {})];
    const strike = entry('4s', { type: 'strike', entryId: f.id });
    const log = (...items: ReturnType<typeof item>[]) => jobLog(items, 'j');
    expect(hasAll([], log(item(e)))).toBe(false);
    expect(hasAll([e], log(item(e), item(f)))).toBe(false);
    expect(hasAll([e, f], log(item(e), item(f)))).toBe(true);
    expect(hasAll([e], log(item(e), item(f), item(strike)))).toBe(true);
    expect(hasAll([e, strike], log(item(e), item(f)))).toBe(true);
    expect(hasAll([e], log(item(e, 'refused')))).toBe(false);
  });

  it('tallies weights, gains and gates', () => {
    const flock = [lamb('a', [['2026-11-09', 30, 'scale']]), lamb('b', [['2026-11-09', 31, 'scale']])];
    const passages = passagesOf(
      [
        entry('1a', { type: 'passage', gate: 'Keep', animalId: 'a' }),
        entry('1b', { type: 'weight', kg: 32.8, animalId: 'a' }),
      ],
      [],
    );
    const figures = jobFigures(passages, {}, new Map(flock.map((a) => [a.tag.animalId, a])), () => SPECIES_TABLE.sheep);
    const [sheep] = figures.kinds;
    expect(sheep?.meanKg).toBe(32.8);
    expect(sheep?.meanGain?.kgPerDay).toBeCloseTo(0.2, 10); // 2.8 kg in 14 days
    expect(figures.gates.get('Keep')).toBe(1);
    expect(sheep?.lineKgPerDay).toBeUndefined();
  });

  it('has means and a line for each species of a mixed job, never one of both', () => {
    const ewe = lamb('a', [['2026-11-09', 60, 'scale']]);
    const kid = { ...lamb('k', [['2026-11-09', 20, 'scale']]), species: 'goat' as const };
    const flock = [ewe, kid];
    const settingsOf = (a: RosterAnimal) => SPECIES_TABLE[a.species];
    const passages = passagesOf(
      [entry('1b', { type: 'weight', kg: 62, animalId: 'a' }), entry('2b', { type: 'weight', kg: 22, animalId: 'k' })],
      [],
    );
    const before = { sheep: [0.1], goat: [0.2] };
    const { kinds } = jobFigures(passages, before, new Map(flock.map((a) => [a.tag.animalId, a])), settingsOf);
    expect(kinds.map((k) => [k.species, k.meanKg, k.lineKgPerDay])).toEqual([
      ['sheep', 62, 0.05],
      ['goat', 22, 0.1],
    ]);
  });

  it('tallies a tape set right by its hand, as the station does', () => {
    const flock = [lamb('a', [['2026-11-09', 30, 'scale']])];
    const tape = { by: 'Selin', method: 'tape' as const, species: 'sheep' as const, ratio: 1.1, isUsed: true };
    const taped = (biases: readonly UsedBias[]) =>
      jobFigures(
        passagesOf([entry('1b', { type: 'weight', kg: 36.08, method: 'tape', writtenBy: 'Selin', animalId: 'a' })], []),
        {},
        new Map(flock.map((a) => [a.tag.animalId, a])),
        () => SPECIES_TABLE.sheep,
        biasesByKey(biases),
      ).kinds[0];
    expect(taped([tape])?.meanKg).toBeCloseTo(32.8, 10); // 36.08 / 1.1
    expect(taped([tape])?.meanGain?.kgPerDay).toBeCloseTo(0.2, 10);
    expect(taped([{ ...tape, by: 'Aylin' }])?.meanKg).toBe(36.08);
  });

  it('judges by the last weighings until five are through, then by the job itself', () => {
    // 3, 6, 9, 12 and 15 kg in 30 days; now 30, 60, 90, 120 and 150 g a day over ten days.
    const flock = [1, 2, 3, 4, 5].map((n) =>
      lamb(String(n), [
        ['2026-10-14', 20, 'scale'],
        ['2026-11-13', 20 + 3 * n, 'scale'],
      ]),
    );
    const settingsOf = () => SPECIES_TABLE.sheep;
    const line = (through: number) =>
      jobFigures(
        passagesOf(
          flock
            .slice(0, through)
            .map((a, i) => entry(`${i}w`, { type: 'weight', animalId: a.tag.animalId, kg: 20 + 3.3 * (i + 1) })),
          [],
        ),
        gainsBefore(flock, settingsOf),
        new Map(flock.map((a) => [a.tag.animalId, a])),
        settingsOf,
      ).kinds[0]?.lineKgPerDay;
    // Half the median of 100 to 500 g a day, and half of that of 30 to 150.
    expect(line(4)).toBeCloseTo(0.15, 10);
    expect(line(5)).toBeCloseTo(0.045, 10);
  });
});
