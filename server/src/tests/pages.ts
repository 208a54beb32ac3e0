import { SPECIES, type Species } from '@yaylak/core';
import type { ApiDocument } from './fuzzer';

/** Addresses of everything that is only read, as the interface asks it: once, and for each of the species. */
export const pagesOf = (document: ApiDocument, species: readonly Species[] = SPECIES): string[] =>
  Object.entries(document.paths).flatMap(([path, methods]): string[] => {
    if (!('get' in methods) || path.includes('{id}')) return [];
    if (path.includes('{species}')) return species.map((s) => `${path.replace('{species}', s)}?count=3`);
    return [path, ...species.map((s) => `${path}?species=${s}`)];
  });
