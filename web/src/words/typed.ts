import { readMoney, readTypedNumber } from '@yaylak/core';

/** A figure as it is typed; not a number where it is none. */
export function figureTyped(text: string): number {
  const read = readTypedNumber(text);
  return read.kind === 'number' ? read.value : Number.NaN;
}

/** Money as it is typed, in hundredths; not a number where it is none or nothing. */
export function minorTyped(text: string): number {
  const read = readMoney(text);
  return typeof read === 'number' ? read : Number.NaN;
}
