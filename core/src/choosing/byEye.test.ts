import fc from 'fast-check';
import {
  byEye,
  countedOn,
  genesOf,
  letterKeys,
  nextGrade,
  standardsFor,
  suggestionByEye,
  USUAL_STANDARDS,
  type Look,
  type LookGrade,
  type Standard,
} from '..';
import { day } from '../tests/builders';

const standard = (id: string, change: Partial<Standard> = {}): Standard => ({
  id,
  species: 'sheep',
  sexes: ['female'],
  name: id,
  fails: '',
  kind: 'go',
  ...change,
});
const look = (on: string, grades: Record<string, LookGrade>): Look => ({
  entryId: on,
  on: day(on),
  by: 'Ayla',
  grades,
});
const [mouth, feet, frame] = [standard('mouth'), standard('feet'), standard('frame', { kind: 'points', least: 2 })];
const BORN = day('2026-02-01');
const TODAY = day('2026-11-20');
const judged = (looks: readonly Look[], standards = [mouth, feet, frame]) =>
  byEye(standards, looks, countedOn(BORN, TODAY));

describe('by eye', () => {
  it('the first standard failed in the holding’s order decides, go or no-go and points alike', () => {
    const found = judged([look('2026-10-01', { frame: 1, feet: 'fail', mouth: 'pass' })]);
    expect(found.state).toBe('fails');
    expect(found.failed.map((f) => f.standard.id)).toEqual(['feet', 'frame']);
    expect(found.failed[0]).toMatchObject({ on: day('2026-10-01'), by: 'Ayla', grade: 'fail' });
  });
  it('points at the least pass', () => {
    expect(judged([look('2026-10-01', { frame: 2, feet: 'pass', mouth: 'pass' })]).state).toBe('passes');
  });
  it.each([
    ['not looked at', [], 'not-looked'],
    ['some without a grade', [look('2026-10-01', { mouth: 'pass' })], 'in-part'],
    // 42 days after 1 February is 15 March.
    ['41 days old', [look('2026-03-14', { mouth: 'fail' })], 'not-looked'],
    ['42 days old', [look('2026-03-15', { mouth: 'fail' })], 'fails'],
    [
      'of one day the later counts',
      [look('2026-10-01', { mouth: 'fail' }), look('2026-10-01', { mouth: 'pass' })],
      'in-part',
    ],
  ] as const)('%s', (_, looks, state) => {
    expect(judged(looks).state).toBe(state);
  });
  it('a grade is good for a year, the last day of it included', () => {
    const old = (on: string) =>
      byEye([mouth], [look(on, { mouth: 'fail' })], countedOn(day('2024-02-01'), TODAY)).state;
    expect(old('2025-11-20')).toBe('fails');
    expect(old('2025-11-19')).toBe('not-looked');
  });
  it('a standard that is no longer there decides nothing', () => {
    expect(judged([look('2026-10-01', { mouth: 'fail', feet: 'pass' })], [feet]).state).toBe('passes');
  });
  it('points are the mean of the point standards at the last look that has any', () => {
    const depth = standard('depth', { kind: 'points' });
    const looks = [look('2026-09-01', { frame: 5, depth: 5 }), look('2026-10-01', { frame: 2, depth: 4 })];
    expect(judged([...looks, look('2026-10-05', { mouth: 'pass' })], [mouth, frame, depth]).points?.mean).toBe(3);
  });
});

it('a male that carries a gene fails for it, a female only where she is affected', () => {
  const test = (result: 'free' | 'carrier' | 'affected', on = '2024-03-01') => ({
    gene: 'Hairless',
    result,
    on: day(on),
    by: 'Lab',
    entryId: result,
  });
  const fails = (sex: 'male' | 'female', ...tests: readonly ReturnType<typeof test>[]) => {
    const found = byEye([], [], countedOn(BORN, TODAY), genesOf(tests, { species: 'sheep', sex }));
    return [found.state, found.failed.map((f) => f.standard.name)];
  };
  expect(fails('male', test('carrier'))).toEqual(['fails', ['Hairless: carrier']]);
  expect(fails('female', test('carrier'))).toEqual(['not-looked', []]);
  expect(fails('female', test('affected'))).toEqual(['fails', ['Hairless: affected']]);
  // Of two tests the later counts.
  expect(fails('male', test('carrier'), test('free', '2024-05-01'))).toEqual(['not-looked', []]);
});

it('what fails for the herd book alone is of the second string, anything else is sold', () => {
  const colour = standard('colour', { rule: 'pedigree' });
  const failing = (...ids: readonly string[]) =>
    suggestionByEye(
      judged([look('2026-10-01', Object.fromEntries(ids.map((id) => [id, 'fail'])))], [colour, feet]).failed,
    );
  expect([failing('colour'), failing('feet'), failing('colour', 'feet')]).toEqual(['second', 'sell', 'second']);
});

describe('keys of the look-over', () => {
  it('are the first letter, or the next that is free', () => {
    expect(letterKeys(['Mouth', 'Markings', 'Mo', 'Çene', '77'])).toEqual(['m', 'a', 'o', 'c', 'b']);
    expect(letterKeys(['Mouth', 'Legs'], ['M'])).toEqual(['o', 'l']);
  });
  it('are all different', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 26 }), (names) => {
        const keys = letterKeys(names);
        expect(new Set(keys).size).toBe(names.length);
      }),
    );
  });
  it('pass, fail and pass again; points go round from the middle', () => {
    expect(nextGrade('go', undefined)).toBe('fail');
    expect(nextGrade('go', 'fail')).toBe('pass');
    expect(nextGrade('go', 'pass')).toBeUndefined();
    expect([undefined, 3, 5, 0].map((g) => nextGrade('points', g))).toEqual([3, 4, 0, 1]);
  });
});

it('asks of an animal what its species and sex are asked, by keys that differ', () => {
  expect(new Set(USUAL_STANDARDS.map((s) => s.id)).size).toBe(USUAL_STANDARDS.length);
  const names = (sex: 'female' | 'male') => standardsFor(USUAL_STANDARDS, { species: 'sheep', sex }).map((s) => s.name);
  expect(names('female')).toContain('Udder');
  expect(names('female')).not.toContain('Testicles');
  expect(names('male')).toContain('Testicles');
});

it('asks for no standard that was taken out', () => {
  const all = [standard('mouth', { isOut: true }), standard('feet')];
  expect(standardsFor(all, { species: 'sheep', sex: 'female' }).map((s) => s.id)).toEqual(['feet']);
});
