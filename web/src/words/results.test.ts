import { againstExpected, comparedText, habitText, killingOutText, mostOf, signedMoney } from './results';

const plain = (text: string): string => text.replace(/\s/g, ' ');
const habit = (mean: number | null, halfWidth: number | null, pairs: number) => ({
  mean,
  halfWidth,
  pairs,
  used: 0,
  sd: 2,
});

it('says what was paid against what was expected', () => {
  expect(plain(againstExpected(12_340, 11_100, 'EUR'))).toBe('12.40 EUR more than expected');
  expect(plain(againstExpected(11_100, 12_340, 'EUR'))).toBe('12.40 EUR less than expected');
  expect(againstExpected(1, 1, 'EUR')).toBe('as expected');
  expect([signedMoney(1_240), signedMoney(-5), signedMoney(0)]).toEqual(['+12.40', '−0.05', '0.00']);
});

it('names the part that made most of it', () => {
  const none = { expectedMinor: 0, paidMinor: 0, weightMinor: 0, priceMinor: 0, chargesMinor: 0 };
  const difference = { ...none, killingOutMinor: undefined, classMinor: -90, weightMinor: 40 };
  expect(mostOf(difference)).toBe('classMinor');
  expect(mostOf({ ...none, killingOutMinor: 0, classMinor: 0 })).toBeUndefined();
});

it('tells how a grader sees beside the own hand', () => {
  expect(habitText(habit(1.96, 0.27, 21), 'fat')).toBe('2.0 thirds fatter (1.7 to 2.2), 21 head');
  expect(habitText(habit(-1.04, 0.4, 21), 'shape')).toBe('1.0 third plainer (0.6 to 1.4), 21 head');
  expect(habitText(habit(0.2, 0.4, 9), 'shape')).toBe('as you do, within 0.4 thirds, 9 head');
  expect(habitText(habit(2, null, 1), 'shape')).toBe('2.0 thirds better shaped, 1 head');
  expect(habitText(habit(null, null, 0), 'fat')).toBe('not held against your hand yet');
});

it('tells two graders apart, or says that it cannot', () => {
  expect(comparedText({ difference: -2.7, halfWidth: 0.33 }, 'fat')).toBe('2.7 thirds leaner ± 0.3');
  expect(comparedText({ difference: 0.3, halfWidth: 0.33 }, 'fat')).toBe('nothing tells them apart');
});

it('says what killing-out is reckoned with', () => {
  expect(plain(killingOutText({ kind: 'lamb', share: 0.4681, heads: 43, usual: 0.46 }))).toBe(
    'Lambs are reckoned to kill out at 46.8 %: 43 of your own, and the usual 46.0 % counting as ten.',
  );
  expect(plain(killingOutText({ kind: 'rabbit', share: 0.55, heads: 0, usual: 0.55 }))).toContain('the usual 55.0 %');
});
