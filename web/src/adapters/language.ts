import { LANGUAGES, learn, speak, type Catalogue, type Language } from '@yaylak/contract';

const KEY = 'yaylak-language';

/** What each language calls itself, for whoever does not read the one that stands there. */
export const LANGUAGE_NAMES: Readonly<Record<Language, string>> = { en: 'English', tr: 'Türkçe' };

/** The language of whoever sits at this device: the one chosen here, else the first of the browser's that the book speaks. */
export function readersLanguage(): Language {
  const chosen = localStorage.getItem(KEY);
  const read = [chosen ?? '', ...navigator.languages].map((tag) => tag.slice(0, 2).toLowerCase());
  return read.flatMap((tag) => LANGUAGES.filter((l) => l === tag))[0] ?? 'en';
}

/** The files of the languages, each fetched only by who reads it. */
const FILES: Readonly<Record<Exclude<Language, 'en'>, () => Promise<{ readonly default: Catalogue }>>> = {
  tr: () => import('@yaylak/contract/languages/tr.json'),
};

/**
 * Lets the page speak its reader's language. To be done before any text is read: tables of texts are read once.
 * Without its file, as when the server is away on the first day, it speaks English.
 */
export async function speakReadersLanguage(): Promise<void> {
  const language = readersLanguage();
  document.documentElement.lang = language;
  speak(() => language);
  if (language !== 'en')
    await FILES[language]().then(
      (file) => learn(language, file.default),
      () => undefined,
    );
}

/** Chooses the language of this device; the page opens anew, as its texts were read in the old one. */
export function chooseLanguage(language: Language): void {
  localStorage.setItem(KEY, language);
  window.location.reload();
}
