import type { ScaleUnit } from '../units';
import { readTypedNumber, type DecimalMark, type TypedNumber } from './readNumber';

const OUNCES_A_POUND = 16;
/** `8 lb 4 oz`, `8lb 4.5oz`, or the two figures alone with a space between: `8 4`. */
const POUNDS_AND_OUNCES = /^(\d{1,4}) ?(?:lbs?)?[ ,]? ?(\d{1,2}(?:[.,]\d+)?) ?oz$|^(\d{1,4}) (\d{1,2}(?:[.,]\d+)?)$/i;
const POUNDS = /^(.*\d) ?lbs?$/i;

/**
 * Reads a weight as people type it, in the unit of the scale. Where that has pounds or ounces, pounds and ounces are
 * read too; sixteen ounces and more beside pounds are a slip and are refused.
 * @returns the figure in the scale's own unit
 */
export function readTypedWeight(text: string, scale: ScaleUnit, mark?: DecimalMark): TypedNumber {
  if (scale !== 'lb' && scale !== 'oz') return readTypedNumber(text, mark);
  const clean = text.trim().replace(/[\s\u00a0\u202f]+/g, ' ');
  const both = POUNDS_AND_OUNCES.exec(clean);
  if (both) {
    const pounds = Number(both[1] ?? both[3]);
    const ounces = Number((both[2] ?? both[4] ?? '').replace(',', '.'));
    if (ounces >= OUNCES_A_POUND) return { kind: 'refused', reason: 'not-a-number' };
    return {
      kind: 'number',
      value: scale === 'lb' ? pounds + ounces / OUNCES_A_POUND : pounds * OUNCES_A_POUND + ounces,
    };
  }
  const pounds = POUNDS.exec(clean)?.[1];
  const read = readTypedNumber(pounds ?? clean, mark);
  return pounds !== undefined && scale === 'oz' && read.kind === 'number'
    ? { kind: 'number', value: read.value * OUNCES_A_POUND }
    : read;
}
