import { spokenLocale } from './figures';

/** The first letter made a capital, as the language has it: `ilk` is `İlk` in Turkish. */
export const capital = (text: string): string => text.charAt(0).toLocaleUpperCase(spokenLocale()) + text.slice(1);

/** The first letter made small, for a text that goes on in a sentence. */
export const uncapital = (text: string): string => text.charAt(0).toLocaleLowerCase(spokenLocale()) + text.slice(1);

/** All letters small, for words of a list in a sentence. */
export const lower = (text: string): string => text.toLocaleLowerCase(spokenLocale());
