export type DecimalMark = '.' | ',';

export type TypedNumber =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'refused'; readonly reason: 'empty' | 'not-a-number' | 'two-readings' };

/**
 * Reads a figure as people type it: `12.5`, `12,5`, `1 234.5`. One comma or one point is the decimal mark; where both
 * stand the last one is. `1,234` could be either and is read with `mark`.
 */
export function readTypedNumber(text: string, mark?: DecimalMark): TypedNumber {
  const clean = text.trim().replace(/[\s\u00a0\u202f]/g, '');
  if (clean === '') return { kind: 'refused', reason: 'empty' };
  if (!/^[+-]?[\d.,]*\d[\d.,]*$/.test(clean)) return { kind: 'refused', reason: 'not-a-number' };
  const commas = clean.split(',').length - 1;
  const points = clean.split('.').length - 1;
  let plain: string;
  if (commas > 0 && points > 0) {
    const decimal = clean.lastIndexOf(',') > clean.lastIndexOf('.') ? ',' : '.';
    if ((decimal === ',' ? commas : points) > 1) return { kind: 'refused', reason: 'not-a-number' };
    plain = clean
      .split(decimal === ',' ? '.' : ',')
      .join('')
      .replace(',', '.');
  } else if (commas + points > 1) plain = clean.replace(/[.,]/g, '');
  else if (mark && /^[+-]?\d{1,3}[.,]\d{3}$/.test(clean))
    plain = clean.includes(mark) ? clean.replace(',', '.') : clean.replace(/[.,]/, '');
  else plain = clean.replace(',', '.');
  const value = Number(plain);
  return Number.isFinite(value) ? { kind: 'number', value } : { kind: 'refused', reason: 'not-a-number' };
}
