import { shortDate } from './dates';
import {
  axisDays,
  axisFigure,
  bornText,
  differenceText,
  figureText,
  gainText,
  moneyApartText,
  moneyText,
  surePointsText,
  sureWeightText,
  verdictText,
  differenceWithin,
  weightText,
  weightWithin,
} from './format';
import { ordinal } from './reasons';

it.each([
  [weightText(27.24, 'kg'), '27.2\u00a0kg'],
  [weightText(0.742, 'kg', 'rabbit'), '742\u00a0g'],
  [weightText(27.2, 'lb'), '60.0\u00a0lb'],
  // As lambs are said in pounds: to the ounce below twenty pounds, 16 of them to one.
  [weightText(3.742, 'lb', 'sheep'), '8\u00a0lb\u00a04\u00a0oz'],
  [weightText(3.62, 'lb', 'sheep'), '8\u00a0lb'],
  [weightText(3.628, 'lb', 'sheep'), '8\u00a0lb'],
  [weightText(0.34, 'lb'), '12\u00a0oz'],
  [weightText(-0.34, 'lb'), '\u221212\u00a0oz'],
  [weightText(-0.001, 'lb'), '0\u00a0oz'],
  [weightText(9.07, 'lb', 'goat'), '20\u00a0lb'],
  [weightText(9.1, 'lb', 'goat'), '20.1\u00a0lb'],
  [weightText(0.0595, 'lb', 'rabbit'), '2.1\u00a0oz'],
  [weightWithin(39, 1.2, 'lb'), '86.0\u00a0lb ± 2.6\u00a0lb'],
  [weightWithin(3.742, 0.28, 'lb'), '8\u00a0lb\u00a04\u00a0oz ± 10\u00a0oz'],
  [differenceWithin(6.9, 1.2, 'kg'), '+6.9\u00a0kg ± 1.2\u00a0kg'],
  [weightText(525.4, 'kg'), '525\u00a0kg'],
  [differenceText(-4.64, 'kg'), '\u22124.6\u00a0kg'],
  [differenceText(0.02, 'kg'), '0.0\u00a0kg'],
  [differenceText(6.9, 'kg'), '+6.9\u00a0kg'],
  [gainText({ kgPerDay: -0.05, halfWidth: 0.1234 }, 'kg'), '\u221250 ± 123\u00a0g/day'],
  [gainText({ kgPerDay: 0.168, halfWidth: 0.041 }, 'lb'), '0.37 ± 0.09\u00a0lb/day'],
  [gainText({ kgPerDay: 0.0283495, halfWidth: 0.01 }, 'oz'), '1.00 ± 0.35\u00a0oz/day'],
  [moneyText(-8050, 'EUR'), '\u221280.50\u00a0EUR'],
  // 59.91 less 52.97, as both are shown, though the two are 6.931 apart.
  [moneyApartText(5990.5, 5297.4, 'TRY'), '6.94\u00a0TRY'],
  [bornText('sheep', 2, 1), 'twin, reared single'],
  [bornText('rabbit', 8, 7), 'litter of 8'],
  [bornText('sheep', null, null), 'not known'],
  [axisFigure(2.5), '2.5'],
  [axisFigure(-1200), '\u22121200'],
  [axisFigure(0), '0'],
  [axisDays(28), '28\u00a0d'],
  [shortDate('2026-11-23'), '23 Nov'],
  [ordinal(11), '11th'],
  [ordinal(22), '22nd'],
  [verdictText({ verdict: 'too-soon' } as never), 'too soon to tell'],
])('%s', (text, expected) => {
  expect(text).toBe(expected);
});

describe('figures with how wide the guess is', () => {
  it('are four times out of five right: 1.2816 standard errors to each side', () => {
    expect(sureWeightText(39.04, 0.95, 'kg')).toBe('39.0\u00a0kg ± 1.2\u00a0kg');
    expect(surePointsText(-2.84, 4.6)).toBe('−2.8 ± 5.9 points');
  });
  it.each([
    [-2.84, 1, '−2.8'],
    [-0.04, 1, '0.0'],
    [100.5, 0, '101'],
  ])('%f with %i digits is %s', (value, digits, text) => {
    expect(figureText(value, digits)).toBe(text);
  });
});
