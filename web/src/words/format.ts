import {
  weightWithin,
  type BiasView,
  type GainView,
  type ShareView,
  say,
  SPECIES_WORDS,
  fixedText,
  grouped,
  shortFigure,
  perCent,
} from '@yaylak/contract';
import {
  fromKg,
  halfWidth80,
  toKg,
  type Age,
  type BirthKnownTo,
  type RearedPerYear,
  type ScaleUnit,
  type Species,
  type WeightUnit,
} from '@yaylak/core';

export { weightText, weightWithin } from '@yaylak/contract';

/** All figures people read are made here: rounded once, with their unit after a space that does not break. */
// A full no-break space: the narrow one is all but invisible in the text face.
const THIN = '\u00a0';
const MINUS = '\u2212';

const signed = (text: string, value: number): string =>
  value < 0 && !/^[0.,]*$/.test(text) ? `${MINUS}${text}` : text;
const fixed = (value: number, digits: number): string => signed(fixedText(Math.abs(value), digits), value);

/** A figure without a unit, with a true minus: `−2.8`. */
export const figureText = (value: number, digits: number): string => fixed(value, digits);

/** A figure beside an axis, as short as it can be: `2.5`. */
export const axisFigure = (value: number): string => signed(shortFigure(Math.abs(value), 2), value);
/** Days beside an axis: `28 d`. */
export const axisDays = (days: number): string => say('{days}\u00a0d', { days: figureText(days, 0) });
/** Years beside an axis: `3 y`. */
export const axisYears = (years: number): string => say('{years}\u00a0y', { years: figureText(years, 0) });

/** A weight with how wide the guess is, four times out of five: `39.0 kg ± 1.2 kg`. */
export const sureWeightText = (kg: number, standardError: number, unit: WeightUnit): string =>
  weightWithin(kg, halfWidth80(standardError), unit);

/** Points with how wide the guess is, four times out of five: `62.7 ± 5.9 points`. */
export const surePointsText = (points: number, standardError: number): string =>
  say('{fixed} ± {fixed2} points', { fixed: fixed(points, 1), fixed2: fixed(halfWidth80(standardError), 1) });

/** A difference with its sign: `+6.9 kg`. */
export function differenceText(kg: number, unit: ScaleUnit): string {
  const text = fixed(fromKg(kg, unit), unit === 'g' ? 0 : 1);
  return `${text.startsWith(MINUS) || /^0([.,]0)?$/.test(text) ? '' : '+'}${text}${THIN}${unit}`;
}

/** A difference with how wide the guess is: `+6.9 kg ± 1.2 kg`. */
export const differenceWithin = (kg: number, halfWidthKg: number, unit: ScaleUnit): string =>
  `${differenceText(kg, unit)} ± ${differenceText(halfWidthKg, unit).replace('+', '')}`;

/** The unit as a word: one, and many. */
export const UNIT_WORDS: Readonly<Record<WeightUnit, readonly [one: string, many: string]>> = {
  kg: [say('kilogram'), say('kilograms')],
  lb: [say('pound'), say('pounds')],
};

/** How a gain is said on a scale: grams a day beside kilograms and grams, pounds or ounces a day beside these. */
const DAILY: Readonly<Record<ScaleUnit, { readonly unit: ScaleUnit; readonly digits: number }>> = {
  kg: { unit: 'g', digits: 0 },
  g: { unit: 'g', digits: 0 },
  lb: { unit: 'lb', digits: 2 },
  oz: { unit: 'oz', digits: 2 },
};
export const dailyUnit = (scale: ScaleUnit): string => say('{unit}/day', { unit: DAILY[scale].unit });
/** A figure a day as it is shown, without its unit. */
export const dailyFigure = (kgPerDay: number, scale: ScaleUnit): number => fromKg(kgPerDay, DAILY[scale].unit);
/** Kilograms a day of a figure typed as it is shown. */
export const dailyKg = (shown: number, scale: ScaleUnit): number => toKg(shown, DAILY[scale].unit);

const daily = (kgPerDay: number, scale: ScaleUnit): string => fixed(dailyFigure(kgPerDay, scale), DAILY[scale].digits);

/** A gain: `168 g/day`, `0.37 lb/day`. */
export const perDayText = (kgPerDay: number, scale: ScaleUnit): string =>
  `${daily(kgPerDay, scale)}${THIN}${dailyUnit(scale)}`;

/** A gain with how wide the guess is: `168 ± 41 g/day`. */
export const gainText = (gain: Pick<GainView, 'kgPerDay' | 'halfWidth'>, scale: ScaleUnit): string =>
  `${gainFigures(gain, scale)}${THIN}${dailyUnit(scale)}`;

/** The same without its unit, for a column whose heading has it: `168 ± 41`. */
export const gainFigures = (gain: Pick<GainView, 'kgPerDay' | 'halfWidth'>, scale: ScaleUnit): string =>
  `${daily(gain.kgPerDay, scale)} ± ${daily(gain.halfWidth, scale)}`;

/** The size of a file: `8.4 MB`. */
export const megabytes = (bytes: number): string => `${fixedText(bytes / 1e6, 1)}${THIN}MB`;

/** An amount in a dose unit as it is read off a syringe: `8.5`, `0.25`, no zeros behind. */
export const amountText = (amount: number): string => shortFigure(amount, 3);

const percent = (ratio: number): string => perCent(fixedText(Math.abs((ratio - 1) * 100), 1));

/** How a tape or an eye reads: `reads 7.1 % high`. */
export const readsText = ({ ratio }: Pick<BiasView, 'ratio'>): string =>
  Math.abs(ratio - 1) < 0.0005
    ? say('reads true')
    : say('reads {percent} {value}', { percent: percent(ratio), value: ratio > 1 ? say('high') : say('low') });

/** A bias as a ratio with its range, four times out of five: `1.071 (1.063 to 1.080)`. */
export const biasText = ({ ratio, low, high }: Pick<BiasView, 'ratio' | 'low' | 'high'>): string =>
  `${fixedText(ratio, 3)}${low === null || high === null ? say(', from one pair') : ` ${say('({n} to {n2})', { n: fixedText(low, 3), n2: fixedText(high, 3) })}`}`;

/** What can be said of a gain. */
export function verdictText(gain: GainView): string {
  switch (gain.verdict) {
    case 'above':
      return say('growing');
    case 'below':
      return say('not growing as it should');
    case 'too-soon':
      return say('too soon to tell');
    case 'no-group':
      return say('no group to compare with');
  }
}

export function ageText(age: Age, knownTo?: BirthKnownTo): string {
  // Of one known by its year alone, months would be made up.
  const about = knownTo === undefined ? '' : `${say('about')} `;
  if (knownTo === 'year' && age.unit === 'years')
    return say('about {count} {count, plural, one {year} other {years}}', { count: age.count });
  return `${about}${exactAgeText(age)}`;
}

function exactAgeText(age: Age): string {
  const years = (n: number): string => say('{n} {n, plural, one {year} other {years}}', { n });
  const months = (n: number): string => say('{n} {n, plural, one {month} other {months}}', { n });
  const { count } = age;
  switch (age.unit) {
    case 'years':
      return age.months > 0 ? `${years(count)} ${months(age.months)}` : years(count);
    case 'months':
      return months(count);
    case 'weeks':
      return say('{count} {count, plural, one {week} other {weeks}}', { count });
    case 'days':
      return say('{count} {count, plural, one {day} other {days}}', { count });
  }
}

/** A share with its range, four times out of five: `83 % (76 to 88 %) of 29`. */
export const shareText = ({ share, low, high, of }: ShareView): string =>
  say('{share}\u00a0% ({low} to {high}\u00a0%) of {of}', {
    share: Math.round(share * 100),
    low: Math.round(low * 100),
    high: Math.round(high * 100),
    of,
  });

const BORN_AS = [say('single'), say('twin'), say('triplet'), say('quadruplet')];
/** How it was born and reared: `twin, reared single`. */
export function bornText(species: Species, birthType: number | null, rearingType: number | null): string {
  if (birthType === null) return say('not known');
  if (SPECIES_WORDS[species].isInGrams) return say('litter of {birthType}', { birthType });
  const born = BORN_AS[birthType - 1] ?? say('one of {birthType}', { birthType });
  if (rearingType === null || rearingType === birthType) return born;
  return say('{born}, reared {n}', {
    born,
    n: BORN_AS[rearingType - 1] ?? say('one of {rearingType}', { rearingType }),
  });
}

/** Money kept in hundredths, with the holding's currency code: `9.00 EUR`, `1,240 EUR` from a thousand on. */
export function moneyText(minor: number, currency: string): string {
  const digits = Math.abs(minor) >= 100_000 ? 0 : 2;
  return `${grouped(minor / 100, digits)}${THIN}${currency}`;
}

/** Whole money for a column whose heading names the currency, as estimates are no surer: `1,240`. */
export const wholeMoney = (minor: number): string => grouped(minor / 100);

/** How far two sums stand apart, from the sums as they are shown: whoever takes one from the other finds this figure. */
export const moneyApartText = (a: number, b: number, currency: string): string =>
  moneyText(Math.abs(Math.round(a) - Math.round(b)), currency);

export const countText = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** Young reared a year: "1.9 a year (1.6 to 2.2) over 3.4 years". */
export const perYearText = ({ perYear, low, high, years }: RearedPerYear): string =>
  say('{figure} a year ({range}) over {figure2} years', {
    figure: figureText(perYear, 1),
    range: rangeOf(low, high),
    figure2: figureText(years, 1),
  });

/** The same where a heading says what it is: "1.9 (1.6 to 2.2)". */
export const perYearFigures = ({ perYear, low, high }: Pick<RearedPerYear, 'perYear' | 'low' | 'high'>): string =>
  `${figureText(perYear, 1)} (${rangeOf(low, high)})`;

const rangeOf = (low: number, high: number): string =>
  say('{figure} to {figure2}', { figure: figureText(Math.max(0, low), 1), figure2: figureText(high, 1) });
