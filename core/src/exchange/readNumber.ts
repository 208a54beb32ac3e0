export type DecimalMark = '.' | ',';

export type TypedNumber =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'refused'; readonly reason: 'empty' | 'not-a-number' | 'two-readings' };

/** `12`, `12.5`, `,5`: one mark at most. */
const PLAIN = /^[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;
/** `1 234`, `1.234.567`, `1,234.5`: thousands in threes by one and the same sign, and another for the decimals. */
const GROUPED = /^[+-]?\d{1,3}(?:([ .,])\d{3}(?:\1\d{3})*)(?:(?!\1)[.,]\d*)?$/;
const ONE_GROUP = /^[+-]?\d{1,3}[.,]\d{3}$/;

/**
 * Reads a figure as people type it: `12.5`, `12,5`, `1 234.5`, `1.234,5`. One comma or one point is the decimal mark;
 * where both stand the last one is. `1,234` could be either and is read with `mark`. A figure that is neither, such as
 * `1.2.5` or `41..5`, is a slip and is refused: what was meant is not guessed.
 */
export function readTypedNumber(text: string, mark?: DecimalMark): TypedNumber {
  const clean = text.trim().replace(/[\s\u00a0\u202f]+/g, ' ');
  if (clean === '') return { kind: 'refused', reason: 'empty' };
  const isThousands = mark !== undefined && ONE_GROUP.test(clean) && !clean.includes(mark);
  if (PLAIN.test(clean) && !isThousands) return { kind: 'number', value: Number(clean.replace(',', '.')) };
  const groups = GROUPED.exec(clean);
  if (!groups) return { kind: 'refused', reason: 'not-a-number' };
  return { kind: 'number', value: Number(clean.replaceAll(groups[1] as string, '').replace(',', '.')) };
}

/**
 * Money as it is typed, in hundredths.
 * @returns undefined of an empty cell, else why it is no sum
 */
export function readMoney(text: string): number | undefined | 'not-a-number' | 'below-zero' {
  if (text.trim() === '') return undefined;
  const read = readTypedNumber(text);
  if (read.kind === 'refused') return 'not-a-number';
  return read.value < 0 ? 'below-zero' : Math.round(read.value * 100);
}
