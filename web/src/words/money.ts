import { readMoney } from '@yaylak/core';

/** Money as it is typed, in hundredths; not a number where it is none or nothing. */
export function minorTyped(text: string): number {
  const read = readMoney(text);
  return typeof read === 'number' ? read : Number.NaN;
}
