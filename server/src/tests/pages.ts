import { SPECIES } from '@yaylak/core';
import type { ApiDocument } from './fuzzer';

/** Addresses of everything that is only read, as the interface asks it: once, and for each species. */
export const pagesOf = (document: ApiDocument): string[] =>
  Object.entries(document.paths).flatMap(([path, methods]): string[] => {
    if (!('get' in methods) || path.includes('{id}')) return [];
    if (path.includes('{species}')) return SPECIES.map((s) => `${path.replace('{species}', s)}?count=3`);
    return [path, ...SPECIES.map((s) => `${path}?species=${s}`)];
  });
