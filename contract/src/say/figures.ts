import { spokenLanguage, type Language } from './say';

/** How a language writes dates and figures. */
const LOCALES: Readonly<Record<Language, string>> = { en: 'en-GB', tr: 'tr-TR' };
export const spokenLocale = (): string => LOCALES[spokenLanguage()];

const POINTS: Readonly<Record<Language, string>> = { en: '.', tr: ',' };

/** Days in words as the language writes them; `style` as the platform's own formatting takes it. */
export function dateWords(style: Intl.DateTimeFormatOptions): (date: Date) => string {
  const made = new Map<string, Intl.DateTimeFormat>();
  return (date) => {
    const locale = spokenLocale();
    let words = made.get(locale);
    if (!words) made.set(locale, (words = new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...style })));
    return words.format(date);
  };
}

/** A whole figure in groups of three, as thousands are read: `1,240`, `1.240`. */
export const grouped = (value: number, digits = 0): string =>
  new Intl.NumberFormat(spokenLocale(), { minimumFractionDigits: digits, maximumFractionDigits: digits }).format(value);

/** A figure with so many digits behind the point, which a language may write as a comma: `7.30`, `7,30`. */
export const fixedText = (value: number, digits: number): string =>
  value.toFixed(digits).replace('.', POINTS[spokenLanguage()]);

/** The same without zeros at its end: `7.3`. */
export const shortFigure = (value: number, digits: number): string =>
  String(Number(value.toFixed(digits))).replace('.', POINTS[spokenLanguage()]);
