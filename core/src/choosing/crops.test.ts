import fc from 'fast-check';
import { addDays, cropsOf, isRanked, type Day } from '..';
import { day } from '../tests/builders';

const born = (...days: readonly string[]) => days.map((d) => ({ bornOn: day(d) }));
const spans = (young: readonly { readonly bornOn: Day }[], widest = 120) =>
  cropsOf(young, widest).map((c) => [c.members.length, c.to - c.from]);

describe('crops', () => {
  it('part where more than 35 days lie between two births; 35 do not part', () => {
    // 5 April is 35 days after 1 March, 11 May 36 after that.
    expect(spans(born('2026-05-11', '2026-03-01', '2026-04-05'))).toEqual([
      [2, 35],
      [1, 0],
    ]);
  });
  it('that span too far part once more at the widest gap, the first of equals', () => {
    const days = [0, 30, 60, 95, 125, 160].map((n) => ({ bornOn: addDays(day('2026-01-01'), n) }));
    // 160 days: gaps 30 30 35 30 35. The first 35 parts it into 60 and 65 days.
    expect(spans(days)).toEqual([
      [3, 60],
      [3, 65],
    ]);
  });
  it('hold everybody once, none spans too far, and the order given changes nothing', () => {
    const young = fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(young, fc.integer({ min: 20, max: 150 }), (days, widest) => {
        const made = days.map((n) => ({ bornOn: addDays(day('2024-01-01'), n) }));
        const crops = cropsOf(made, widest);
        expect(crops.flatMap((c) => c.members).length).toBe(made.length);
        for (const c of crops) expect(c.to - c.from).toBeLessThanOrEqual(widest);
        crops.slice(1).forEach((c, i) => expect(c.from).toBeGreaterThan(crops[i]?.to ?? Infinity));
        expect(spans([...made].reverse(), widest)).toEqual(spans(made, widest));
      }),
    );
  });
});

it.each([
  ['two days old, parents known', { ageDays: 2, hasParentsMean: true, weighedAtDays: 0 }, false],
  ['41 days', { ageDays: 41, hasParentsMean: true, weighedAtDays: 40 }, false],
  ['42 days with parents', { ageDays: 42, hasParentsMean: true, weighedAtDays: undefined }, true],
  ['weighed at birth alone', { ageDays: 60, hasParentsMean: false, weighedAtDays: 20 }, false],
  ['weighed at 21 days', { ageDays: 42, hasParentsMean: false, weighedAtDays: 21 }, true],
] as const)('is ranked, %s: %s', (_, young, expected) => {
  expect(isRanked(young)).toBe(expected);
});
