import { say } from './say';

/** Texts as a table holds them, and all that is not text as it is. */
type Table = { readonly [key: string]: unknown } | readonly unknown[];

/**
 * A table of texts, each said in the language of who reads it: read at once on a page, and anew for each who asks on
 * a server. What a table within it holds is said as well.
 *
 * @example told({ vet: 'vet' }).vet // "veteriner" in Turkish
 */
export function told<T extends object>(table: T): T {
  const made = (Array.isArray(table) ? [] : {}) as Record<string, unknown>;
  for (const [key, value] of Object.entries(table as Table)) {
    if (typeof value === 'string') Object.defineProperty(made, key, { get: () => say(value), enumerable: true });
    else made[key] = typeof value === 'object' && value !== null ? told(value) : value;
  }
  return made as T;
}
