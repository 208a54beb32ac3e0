import { SPECIES_TABLE } from '@yaylak/core';
import { aRosterAnimal, TODAY } from '../../tests/builders';
import { matchesFor, raceNumbers } from './answers';
import { chooseAnimal, enterNumber, enterWeight, FRESH, STRANGER, typed, type Draft, type Weighed } from './draft';
import type { Passage } from './raceLog';

const lambs = [aRosterAnimal('26-0001'), aRosterAnimal('26-0002')];
const ids = lambs.map((a) => a.tag.animalId);
const passage = (animalId: string, kg?: number): Passage => ({
  animalId,
  writtenAt: 't',
  kg,
  gate: undefined,
  entries: [],
  refusedBecause: undefined,
});
const through = (...passages: Passage[]) => ({ passages, listedIds: new Set(ids), unit: 'kg' as const });
const numbers = raceNumbers([...lambs, aRosterAnimal('25-0044')], new Set(ids));
const entered = (number: string, change: Partial<Draft> = {}) => {
  const draft = { ...FRESH, number, ...change };
  return enterNumber(draft, matchesFor(numbers, number), through());
};

describe('a number', () => {
  it('that one animal wears goes on to its weight, with nothing to say', () => {
    expect(entered('0001')).toEqual({
      kind: 'draft',
      isRefused: false,
      draft: { ...FRESH, number: '0001', animalId: ids[0] },
    });
  });
  it('that several wear is refused and kept as it was typed', () => {
    expect(entered('26-')).toMatchObject({ isRefused: true, draft: { number: '26-', animalId: undefined } });
  });
  it('that nobody wears is asked about once, and then taken in', () => {
    const first = entered('zz-9');
    expect(first).toMatchObject({ isRefused: true, draft: { asked: 'unknown' } });
    expect(entered('zz-9', { asked: 'unknown' })).toMatchObject({ isRefused: false, draft: { animalId: STRANGER } });
  });
  it('not typed changes nothing', () => {
    expect(entered(' ')).toMatchObject({ isRefused: false, draft: { number: ' ' } });
  });
  it.each([
    [through(passage('id of 26-0001', 44)), /^Seen before at 44.0\u00a0kg/],
    [through(passage('id of 26-0001')), /^Seen before\. Enter/],
    [{ ...through(), listedIds: new Set<string>() }, /^Not on the list/],
  ])('%#: says what is odd about the animal and takes it all the same', (so, words) => {
    const draft = chooseAnimal(FRESH, 'id of 26-0001', so);
    expect(draft.animalId).toBe('id of 26-0001');
    expect(draft.message).toMatch(words);
  });
});

describe('a weight', () => {
  const weighed: Weighed = {
    animal: lambs[0],
    species: 'sheep',
    settings: SPECIES_TABLE.sheep,
    unit: 'kg',
    on: TODAY,
    isSorting: false,
  };
  const enter = (weight: string, change: Partial<Draft> = {}, so: Partial<Weighed> = {}) =>
    enterWeight({ ...FRESH, animalId: ids[0], weight, ...change }, { ...weighed, ...so });

  it('that can be is written', () => {
    expect(enter('44,5')).toEqual({ kind: 'write', kg: 44.5 });
  });
  it('in pounds is written in kilograms', () => {
    const answer = enter('98', {}, { unit: 'lb' });
    expect(answer.kind === 'write' ? answer.kg : 0).toBeCloseTo(98 * 0.45359237, 10);
  });
  it('that jumps is asked about once', () => {
    expect(enter('95')).toMatchObject({ isRefused: true, draft: { asked: 'doubt', weight: '95' } });
    expect(enter('95', { asked: 'doubt' })).toEqual({ kind: 'write', kg: 95 });
  });
  it('of a stranger has nothing before it to be doubted by', () => {
    expect(enter('95', {}, { animal: undefined })).toEqual({ kind: 'write', kg: 95 });
  });
  it('waits for the gate where the job sorts', () => {
    expect(enter('44', {}, { isSorting: true })).toMatchObject({ isRefused: true });
    expect(enter('44', { gate: 'Keep' }, { isSorting: true })).toEqual({ kind: 'write', kg: 44 });
  });
});

it('what is typed next takes back what was said and asked', () => {
  expect(typed({ ...FRESH, message: 'x', asked: 'doubt' }, { weight: '4' })).toEqual({ ...FRESH, weight: '4' });
});
