import { say, speaker } from './say';

/** Texts as a table holds them, and all that is not text as it is. */
type Table = { readonly [key: string]: unknown } | readonly unknown[];

/** A word that other languages have several of, by what it is said of: `doe (rabbit)`, in English one word. */
export const keyIn = (of: string, word: string): string => `${word} (${of})`;

/** A word as it is said of something, a species above all; where a language has one for all, that one. */
export function sayOf(of: string, word: string): string {
  const said = speaker().messages[keyIn(of, word)];
  return typeof said === 'string' ? said : say(word);
}

/**
 * A table of texts, each said in the language of who reads it: read at once on a page, and anew for each who asks on
 * a server. What a table within it holds is said as well. @param of what all of them are said of
 *
 * @example told({ vet: 'vet' }).vet // "veteriner" in Turkish
 */
export function told<T extends object>(table: T, of?: string): T {
  const made = (Array.isArray(table) ? [] : {}) as Record<string, unknown>;
  for (const [key, value] of Object.entries(table as Table)) {
    const get = (): string => (of === undefined ? say(String(value)) : sayOf(of, String(value)));
    if (typeof value === 'string') Object.defineProperty(made, key, { get, enumerable: true });
    else made[key] = typeof value === 'object' && value !== null ? told(value, of) : value;
  }
  return made as T;
}
