import { readMoney, readTypedNumber } from '@yaylak/core';
import { say } from '@yaylak/contract';

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

/** Why a field of money cannot be taken; one left empty can. */
function moneyFault(text: string): string | undefined {
  const read = readMoney(text);
  if (read === 'not-a-number')
    return say('“{text}” is not an amount. Type it as 240 or 240.50, or leave it empty.', { text });
  return read === 'below-zero' ? say('“{text}” is under 0. Type 0 or more, or leave it empty.', { text }) : undefined;
}

/** The fields of money that cannot be taken, by name. */
export const moneyFaults = (fields: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([name, text]) => {
      const fault = moneyFault(text);
      return fault === undefined ? [] : [[name, fault]];
    }),
  );
