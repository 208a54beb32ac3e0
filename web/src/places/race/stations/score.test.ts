import type { RosterAnimal, ScoreSettings } from '@yaylak/contract';
import { aRosterAnimal, TODAY } from '../../../tests/builders';
import { FRESH, type Draft } from '../draft';
import { fieldsAt, finishAnimal, togglesAt, type AtHand } from '.';
import { pressToggle } from './StationList';
import { anAtHand } from './testAtHand';

const SETTINGS: ScoreSettings = {
  stage: 'mating',
  scorers: ['Aylin'],
  sprays: [{ mob: 'thin', colour: 'red' }],
  place: 'shoulder',
};
const ewe = aRosterAnimal('22-0001', { scores: [['2026-09-14', 2.5]] });
const atHand = (score: Partial<ScoreSettings> = {}, animal: RosterAnimal = ewe, more: string[] = []): AtHand =>
  anAtHand({
    job: {
      stations: ['score', ...(more as never[])],
      settings: { score: { ...SETTINGS, ...score } },
      on: TODAY,
      gates: [],
    },
    animal,
  });
const draft = (score: string, change: Partial<Draft> = {}): Draft => ({
  ...FRESH,
  animalId: ewe.tag.animalId,
  fields: { score },
  ...change,
});
const facts = (of: Draft, at: AtHand) => {
  const done = finishAnimal(of, at);
  return done.kind === 'write' ? done.facts.slice(1) : done.message;
};

it('a thin one is scored, put to the thin mob and sprayed', () => {
  expect(facts(draft('2.'), atHand())).toEqual([
    { type: 'score', score: 2.5, scoredBy: 'Aylin' },
    { type: 'mob', mob: 'thin', suggested: 'thin' },
    { type: 'mark', colour: 'red', place: 'shoulder', purpose: 'thin mob' },
  ]);
});

it('of whom more is wanted is thin earlier', () => {
  // A rearer of three is wanted at 3.5, so 3 is half a score under it.
  expect(facts(draft('3'), atHand({}, { ...ewe, femaleKind: 'many-reared' }))).toContainEqual({
    type: 'mob',
    mob: 'thin',
    suggested: 'thin',
  });
  expect(facts(draft('3'), atHand())).toContainEqual({ type: 'mob', mob: 'fit', suggested: 'fit' });
});

it('a letter sends it to another mob than the score says, and both are written', () => {
  const at = atHand();
  const toggle = togglesAt(at).find((t) => t.words === 'Fit');
  if (!toggle) throw new Error('no key for the fit');
  const pressed = pressToggle(draft('2'), at, toggle);
  expect(facts(pressed, at)).toEqual([
    { type: 'score', score: 2, scoredBy: 'Aylin' },
    { type: 'mob', mob: 'fit', suggested: 'thin' },
  ]);
  expect(pressToggle(pressed, at, toggle).mob).toBeUndefined();
});

it.each([
  ['7', '“7” is off the scale. Scores go from 1 to 5.'],
  ['3.3', '“3.3” is finer than a hand can feel. Use halves or quarters.'],
  ['x', '“x” is not a score. Type 1 to 5, such as 2.5; a point alone after it is a half.'],
  ['', 'Type the score, 1 to 5; a point after it is a half. Or say why it passes without a score.'],
])('%s is refused with what to do', (typed, message) => {
  expect(facts(draft(typed), atHand())).toBe(message);
});

it('a score no body could have come to is asked about, and kept when said again', () => {
  const at = atHand({}, { ...ewe, scores: [['2026-11-10', 2]] });
  const first = finishAnimal(draft('4'), at);
  expect(first).toMatchObject({ kind: 'held', message: expect.stringMatching(/^Feel again: 4 after 2 13 days ago/) });
  expect(finishAnimal(draft('4', { asked: ['score-doubt'] }), at).kind).toBe('write');
});

it('may be left out where there is more to do', () => {
  expect(facts(draft(''), atHand({}, ewe, ['note']))).toBe('No score. Enter again goes on without one.');
});

it('with two hands each types his own, and the mean says the mob', () => {
  const at = atHand({ scorers: ['Aylin', 'Kerem'] });
  expect(fieldsAt(at)).toEqual(['score', 'score2']);
  expect(facts({ ...draft('2.5'), fields: { score: '2.5', score2: '3' } }, at)).toEqual([
    { type: 'score', score: 2.5, scoredBy: 'Aylin' },
    { type: 'score', score: 3, scoredBy: 'Kerem' },
    { type: 'mob', mob: 'fit', suggested: 'fit' }, // 2.75
  ]);
  expect(facts(draft('2.5'), at)).toBe('No score by Kerem. Enter again goes on without one.');
});

it('where nobody was named, whoever works the job feels', () => {
  expect(facts(draft('3'), atHand({ scorers: [] }))).toContainEqual({ type: 'score', score: 3, scoredBy: 'Kerem' });
});
