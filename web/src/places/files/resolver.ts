import { normalised, resolveIdentifier, type Resolve } from '@yaylak/core';
import type { BookNumber } from './importEntries';

/** A number is looked up once for each different text: a file has few animals and many rows. */
export function resolver(identifiers: readonly BookNumber[]): Resolve {
  const byText = new Map<string, BookNumber[]>();
  for (const one of identifiers) {
    const key = normalised(one.text);
    const list = byText.get(key);
    if (list) list.push(one);
    else byText.set(key, [one]);
  }
  return (number, colour) => {
    const all = byText.get(normalised(number)) ?? [];
    const coloured = colour === undefined ? [] : all.filter((one) => one.colour === colour);
    return resolveIdentifier(coloured.length > 0 ? coloured : all, number);
  };
}
