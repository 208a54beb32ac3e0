import type { IdentifierKind } from './identifier';

/** Highest national number of ISO 11784: 38 bits. */
export const HIGHEST_NATIONAL = 274877906943n;

export type ElectronicNumber =
  | {
      readonly kind: 'number';
      /** Fifteen digits without spaces; never held as a floating-point number. */
      readonly digits: string;
      readonly prefix: 'country' | 'maker' | 'test';
    }
  | {
      readonly kind: 'refused';
      readonly reason: ElectronicRefusal;
      readonly typed: string;
      readonly length?: number;
    };

export type ElectronicRefusal =
  'empty' | 'letters' | 'wrong-length' | 'national-too-high' | 'no-such-prefix' | 'not-an-animals';

/**
 * Reads a 15-digit full-duplex electronic number (ISO 11784/11785): 3 digits country (001-899) or maker (900-998; 999
 * test), 12 digits national number up to 2^38-1. Blanks, dots and hyphens are dropped, as is a reader's `A0000000`
 * prefix. The raw 64-bit frame is read only as `0x` and 16 hexadecimal digits: without it a digit typed twice would be
 * another animal's number; a frame whose animal bit is 0 is "not an animal's".
 */
export function readElectronicNumber(typed: string): ElectronicNumber {
  const refused = (reason: ElectronicRefusal, length?: number): ElectronicNumber =>
    length === undefined ? { kind: 'refused', reason, typed } : { kind: 'refused', reason, typed, length };
  let digits = typed
    .trim()
    .replace(/^A0{7}(?=[\s\d])/i, '')
    .replace(/[\s.\-_]/g, '');
  if (digits === '') return refused('empty');
  const frame = /^0x([0-9a-f]{16})$/i.exec(digits);
  if (frame) {
    const bits = BigInt(`0x${frame[1]}`);
    if (bits >> 63n === 0n) return refused('not-an-animals');
    const country = (bits >> 38n) & 0x3ffn;
    digits = `${String(country).padStart(3, '0')}${String(bits & HIGHEST_NATIONAL).padStart(12, '0')}`;
  }
  if (/\D/.test(digits)) return refused('letters');
  if (digits.length !== 15) return refused('wrong-length', digits.length);
  if (BigInt(digits.slice(3)) > HIGHEST_NATIONAL) return refused('national-too-high');
  const country = digits.slice(0, 3);
  if (country === '000') return refused('no-such-prefix');
  return { kind: 'number', digits, prefix: country === '999' ? 'test' : country >= '900' ? 'maker' : 'country' };
}

/** A number as it is kept and compared: an electronic one as its 15 digits, however it was typed or read. */
export function keptText(kind: IdentifierKind, text: string): string {
  const read = kind === 'electronic' ? readElectronicNumber(text) : undefined;
  return read?.kind === 'number' ? read.digits : text;
}

/** `792000000126031` as people read it: `792 000 000 126 031`. */
export const spacedDigits = (digits: string): string => digits.replace(/(\d{3})(?=\d)/g, '$1 ');
