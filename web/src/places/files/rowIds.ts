import { v5 } from 'uuid';

const NAMESPACE = '2f1b1c9e-6a0b-4d55-9a39-1f60c9b1d7aa';

/** An id that follows from what a row says: the same row again has the same one. */
export const idOf = (...parts: readonly (string | number | undefined)[]): string => v5(parts.join('|'), NAMESPACE);

export const isBlank = (cells: readonly string[]): boolean => cells.every((c) => c.trim() === '');

/** Line of the file that a row stands on: the headings are line 1. */
export const lineOf = (index: number): number => index + 2;
