import { setupI18n, type I18n } from '@lingui/core';
import { compileMessage } from '@lingui/message-utils/compileMessage';

/** The languages people can read the book in. English is what the sources are written in. */
export const LANGUAGES = ['en', 'tr'] as const;
export type Language = (typeof LANGUAGES)[number];

/** A language's file: what stands in the sources, and how this language says it. */
export type Catalogue = Readonly<Record<string, string>>;

/** What stands in the place of `{name}` in a message. */
export type Values = Readonly<Record<string, string | number>>;

/** A message is read once, however often it is said. */
const compiled = new Map<string, ReturnType<typeof compileMessage>>();
function compiledOnce(message: string): ReturnType<typeof compileMessage> {
  const known = compiled.get(message);
  if (known) return known;
  const now = compileMessage(message);
  compiled.set(message, now);
  return now;
}

const speakerOf = (language: Language, messages: Catalogue): I18n =>
  setupI18n({ locale: language, messages: { [language]: { ...messages } } }).setMessagesCompiler(compiledOnce);

const english = speakerOf('en', {});
const speakers = new Map<Language, I18n>([['en', english]]);
let languageNow: () => Language = () => 'en';

/** Takes a language's file in. */
export const learn = (language: Language, messages: Catalogue): void =>
  void speakers.set(language, speakerOf(language, messages));

/** Whose language counts: one on a page, that of who asks on a server. */
export function speak(language: () => Language): void {
  languageNow = language;
}

export const spokenLanguage = (): Language => languageNow();

/** Who says it in the language of now; English where that one's file is not there. */
export const speaker = (): I18n => speakers.get(languageNow()) ?? english;

/** A text of a list that is kept as it is and said where it is shown. */
export const message = (text: string): string => text;

/**
 * A text for people in their language: the English of the sources is its key, and what is read where a file lacks it.
 * With `values` it is an ICU message: `{n} {n, plural, one {ewe} other {ewes}}`.
 */
export function say(message: string, values?: Values): string {
  const by = speaker();
  if (values !== undefined) return by._(message, values);
  const said = by.messages[message];
  return typeof said === 'string' ? said : message;
}
