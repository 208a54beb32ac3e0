import { addDays, failingByYear, ofFailedDams, type LookGrade, type Standard, type YoungJudged } from '..';
import { day } from '../tests/builders';

const MOUTH: Standard = { id: 'mouth', species: 'sheep', sexes: ['female'], name: 'Mouth', fails: '', kind: 'go' };
const BORN = day('2024-02-01');
let next = 0;
function young(
  grade: LookGrade | undefined,
  change: Partial<YoungJudged> & { readonly ageDays?: number } = {},
): YoungJudged {
  const { ageDays = 200, ...rest } = change;
  const bornOn = rest.bornOn ?? BORN;
  const looks =
    grade === undefined ? [] : [{ entryId: 'e', on: addDays(bornOn, ageDays), by: 'Ayla', grades: { mouth: grade } }];
  return { id: String(next++), bornOn, bornIn: 2024, damId: undefined, standards: [MOUTH], looks, ...rest };
}
const many = (n: number, grade: LookGrade, change: Partial<YoungJudged> = {}) =>
  Array.from({ length: n }, () => young(grade, change));

describe('the share failing by year of birth', () => {
  it('counts those looked at, with Wilson’s interval', () => {
    const found = failingByYear([
      ...many(3, 'fail'),
      ...many(9, 'pass'),
      young(undefined),
      young('fail', { bornIn: 2023 }),
    ]);
    expect(found.map((y) => [y.year, y.failed, y.of, y.share])).toEqual([
      [2023, 1, 1, 1],
      [2024, 3, 12, 0.25],
    ]);
    // Wilson by hand, z 1.2816, z2 1.6424: (0.25 + .0684) / 1.1369 +- 1.1273 sqrt(.015625 + .0028514).
    expect(found[1]?.low).toBeCloseTo(0.1268, 3);
    expect(found[1]?.high).toBeCloseTo(0.4334, 3);
  });
  it.each([
    [41, 0],
    [42, 1],
    [729, 1],
    [730, 0],
  ])('a grade at %i days of age counts %i times', (ageDays, times) => {
    expect(failingByYear([young('fail', { ageDays })])).toHaveLength(times);
  });
});

describe('young of dams that failed', () => {
  const [bad, good] = [young('fail', { id: 'bad' }), young('pass', { id: 'good' })];
  it('are told apart from 10 of each', () => {
    const nine = [bad, good, ...many(9, 'pass', { damId: 'bad' }), ...many(12, 'pass', { damId: 'good' })];
    expect(ofFailedDams(nine)).toEqual({ kind: 'too-few', ofFailed: 9, ofPassed: 12, needed: 10 });
  });
  it('fail so many times as often', () => {
    const herd = [
      bad,
      good,
      ...many(6, 'fail', { damId: 'bad' }),
      ...many(6, 'pass', { damId: 'bad' }),
      ...many(5, 'fail', { damId: 'good' }),
      ...many(15, 'pass', { damId: 'good' }),
    ];
    const found = ofFailedDams(herd);
    if (found.kind !== 'compared') throw new Error('there are enough');
    expect([found.ofFailed, found.ofPassed]).toEqual([
      { failed: 6, of: 12 },
      { failed: 5, of: 20 },
    ]);
    // .5 / .25 = 2; SE of the logarithm sqrt(1/6 - 1/12 + 1/5 - 1/20) = .48305.
    expect(found.ratio?.value).toBeCloseTo(2, 12);
    expect(found.ratio?.low).toBeCloseTo(2 * Math.exp(-1.2815515655446 * Math.sqrt(0.2333333333333)), 9);
    expect(found.ratio?.high).toBeCloseTo(2 * Math.exp(1.2815515655446 * Math.sqrt(0.2333333333333)), 9);
  });
  it('have no ratio where nobody fails in one of the two', () => {
    const herd = [bad, good, ...many(10, 'fail', { damId: 'bad' }), ...many(10, 'pass', { damId: 'good' })];
    expect(ofFailedDams(herd)).toMatchObject({ kind: 'compared', ratio: undefined });
  });
});
