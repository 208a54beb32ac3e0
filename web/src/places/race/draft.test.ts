import { aRosterAnimal } from '../../tests/builders';
import { matchesFor, raceNumbers } from './answers';
import {
  afterwards,
  chooseAnimal,
  enterNumber,
  FRESH,
  readNumber,
  readWeight,
  STRANGER,
  typed,
  takeUp,
  typedField,
  type AsideReading,
  type Draft,
} from './draft';
import type { Passage } from './raceLog';

const lambs = [aRosterAnimal('26-0001'), aRosterAnimal('26-0002')];
const ids = lambs.map((a) => a.tag.animalId);
const passage = (animalId: string, kg?: number): Passage => ({
  animalId,
  writtenAt: 't',
  on: '2026-11-23',
  kg,
  gate: undefined,
  entries: [],
  refusedBecause: undefined,
});
const through = (...passages: Passage[]) => ({ passages, listedIds: new Set(ids), unit: 'kg' as const, gone: [] });
const numbers = raceNumbers([...lambs, aRosterAnimal('25-0044')], new Set(ids));
const entered = (number: string, change: Partial<Draft> = {}) => {
  const draft = { ...FRESH, number, ...change };
  return enterNumber(draft, matchesFor(numbers, number), through());
};

describe('a number', () => {
  it('that one animal wears goes on to its weight, with nothing to say', () => {
    expect(entered('0001')).toEqual({
      isRefused: false,
      draft: { ...FRESH, number: '0001', animalId: ids[0] },
    });
  });
  it('that several wear is refused and kept as it was typed', () => {
    expect(entered('26-')).toMatchObject({ isRefused: true, draft: { number: '26-', animalId: undefined } });
  });
  it('that nobody wears is asked about once, and then taken in', () => {
    const first = entered('zz-9');
    expect(first).toMatchObject({ isRefused: true, draft: { asked: ['unknown'] } });
    expect(entered('zz-9', { asked: ['unknown'] })).toMatchObject({ isRefused: false, draft: { animalId: STRANGER } });
  });
  it('of a digit too many is a slip, and never taken in', () => {
    for (const asked of [[], ['unknown']])
      expect(entered('7920000001260311', { asked })).toMatchObject({
        isRefused: true,
        draft: { animalId: undefined, message: expect.stringContaining('16') as string },
      });
  });
  it('not typed changes nothing', () => {
    expect(entered(' ')).toMatchObject({ isRefused: false, draft: { number: ' ' } });
  });
  it.each([
    [through(passage('id of 26-0001', 44)), /^Seen before at 44.0\u00a0kg/],
    [through(passage('id of 26-0001')), /^Seen before\. Enter/],
    [{ ...through(), listedIds: new Set<string>() }, /^Not on the list/],
  ])('%#: says what is odd about the animal and takes it anyway', (so, words) => {
    const draft = chooseAnimal(FRESH, 'id of 26-0001', so);
    expect(draft.animalId).toBe('id of 26-0001');
    expect(draft.message).toMatch(words);
  });
});

describe('a number from a stick', () => {
  const read = (draft: Partial<Draft>, digits: string, isFitting = false, isReady = false) =>
    readNumber({ ...FRESH, ...draft }, { digits, matches: matchesFor(numbers, digits), isFitting, isReady }, through());
  it('of a waiting race is the animal that comes', () => {
    expect(read({}, '26-0001')).toMatchObject({ isRefused: false, draft: { animalId: ids[0] } });
  });
  it('that nobody wears is kept and asked about, not dropped', () => {
    expect(read({}, '792000000126031')).toMatchObject({
      isRefused: true,
      draft: { number: '792000000126031', asked: ['unknown'] },
    });
  });
  it('of the animal at hand again changes nothing', () => {
    expect(read({ animalId: ids[0], fields: { weight: '4' } }, '26-0001').draft.fields.weight).toBe('4');
  });
  it('of another animal before anything was typed: the first was read wrongly, and it says so', () => {
    const next = read({ animalId: ids[0] }, '26-0002');
    expect(next.draft).toMatchObject({ animalId: ids[1], message: expect.stringMatching(/not recorded/) });
  });
  it('of another animal once something was typed waits its turn', () => {
    const held = read({ animalId: ids[0], fields: { weight: '44' } }, '26-0002');
    expect(held.draft).toMatchObject({ animalId: ids[0], next: '26-0002', fields: { weight: '44' } });
    expect(afterwards(held.draft)).toEqual({ ...FRESH, number: '26-0002' });
  });
  it('of another animal where nothing has to be typed waits its turn, and takes nothing from the first', () => {
    const held = read({ animalId: ids[0] }, '26-0002', false, true);
    expect(held.draft).toMatchObject({ animalId: ids[0], next: '26-0002' });
  });
  it.each([{ marks: ['red'] }, { sex: 'female' as const }])(
    'of another animal waits where %j was pressed',
    (pressed) => {
      expect(read({ animalId: ids[0], ...pressed }, '26-0002').draft).toMatchObject({
        animalId: ids[0],
        next: '26-0002',
      });
    },
  );
  it('waiting in its field is kept aside when another is read', () => {
    const next = read({ number: '792000000126031' }, '26-0002');
    expect(next.draft).toMatchObject({ animalId: ids[1], aside: [{ kind: 'number', text: '792000000126031' }] });
  });
  it('that nobody wears is the tag just fitted, where tags are fitted', () => {
    expect(read({ animalId: ids[0] }, '792000000126031', true).draft.fields.electronic).toBe('792000000126031');
    expect(read({ animalId: ids[0] }, '792000000126031').draft.next).toBe('792000000126031');
  });
});

describe('a weight from the crate', () => {
  it('fills itself in, also before a number was read, and stays with the animal then read', () => {
    const loose = readWeight(FRESH, '41.2', 'kg').draft;
    expect(loose.message).toMatch(/no number was read/);
    const chosen = chooseAnimal({ ...loose, number: '0001' }, ids[0] ?? '', through());
    expect(chosen).toMatchObject({ fields: { weight: '41.2' }, isFromCrate: true });
  });
  it('takes the place of one from the crate, and never of one that was typed', () => {
    const first = readWeight({ ...FRESH, animalId: ids[0] }, '41.2', 'kg').draft;
    expect(readWeight(first, '41.4', 'kg').draft.fields.weight).toBe('41.4');
    const own = typedField({ ...FRESH, animalId: ids[0] }, 'weight', '40');
    expect(readWeight(own, '41.4', 'kg')).toMatchObject({ isRefused: true, draft: { fields: { weight: '40' } } });
  });
});

it('readings that found no animal are kept aside, and can be taken up again', () => {
  const unknown = readNumber(
    FRESH,
    { digits: '792000000126031', matches: [], isFitting: false, isReady: false },
    through(),
  );
  const next = readNumber(
    unknown.draft,
    { digits: '26-0001', matches: matchesFor(numbers, '26-0001'), isFitting: false, isReady: false },
    through(),
  ).draft;
  expect(next).toMatchObject({ animalId: ids[0], aside: [{ kind: 'number', text: '792000000126031' }] });
  // Two weights without a number between them: the first is not lost either.
  const loose = readWeight(readWeight(FRESH, '41.2', 'kg').draft, '43', 'kg').draft;
  expect(loose).toMatchObject({ fields: { weight: '43' }, aside: [{ kind: 'weight', text: '41.2' }] });
  const again = takeUp({ ...afterwards(next), aside: [...next.aside, ...loose.aside] }, loose.aside[0] as AsideReading);
  expect(again).toMatchObject({ fields: { weight: '41.2' }, isFromCrate: true, aside: next.aside });
});

it('a number of one who died or was sold says so before it is taken in', () => {
  const gone = [{ text: '24-0003', animalId: 'x', name: '24-0003', how: 'died', on: '2026-10-01' }] as const;
  const asked = enterNumber({ ...FRESH, number: '24 0003' }, [], { ...through(), gone });
  expect(asked.draft.message).toMatch(/“24 0003” is 24-0003’s, who died on 1 Oct 2026/);
  expect(enterNumber(asked.draft, [], { ...through(), gone }).draft.animalId).toBe(STRANGER);
});

it('what is typed next takes back what was said and asked', () => {
  expect(typed({ ...FRESH, message: 'x', asked: ['doubt'] }, { gate: 'Keep' })).toEqual({ ...FRESH, gate: 'Keep' });
});
