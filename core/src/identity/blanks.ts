import { normalised } from './identifier';

const MOST_BLANKS = 10_000;

interface Range {
  readonly before: string;
  readonly from: bigint;
  readonly count: number;
  readonly width: number;
  readonly after: string;
}

function rangeOf(first: string, last: string): Range | undefined {
  const [a, b] = [first, last].map((text) => /^(.*?)(\d+)(\D*)$/s.exec(text.trim()));
  if (!a || !b || a[1] !== b[1] || a[3] !== b[3]) return undefined;
  const from = BigInt(a[2] as string);
  const count = Number(BigInt(b[2] as string) - from) + 1;
  if (count < 1 || count > MOST_BLANKS) return undefined;
  return { before: a[1] as string, from, count, width: (a[2] as string).length, after: a[3] as string };
}

/**
 * How many tags a bag from one number to another holds: the same text before (and after) a running number.
 * @returns undefined where the two are no such range, or of more than 10,000 tags
 */
export const blanksIn = (first: string, last: string): number | undefined => rangeOf(first, last)?.count;

/** Whether two bags hold a number in common: the same text around it, and ranges that meet. */
export function areOverlapping(
  a: readonly [first: string, last: string],
  b: readonly [first: string, last: string],
): boolean {
  const [x, y] = [rangeOf(...a), rangeOf(...b)];
  if (!x || !y || normalised(x.before) !== normalised(y.before) || normalised(x.after) !== normalised(y.after))
    return false;
  return x.from < y.from + BigInt(y.count) && y.from < x.from + BigInt(x.count);
}

/** The tags of a bag that nobody ever wore, in order. @param used normalised texts */
export function blanksLeft(first: string, last: string, used: ReadonlySet<string>): string[] {
  const range = rangeOf(first, last);
  if (!range) return [];
  const { before, from, count, width, after } = range;
  return Array.from(
    { length: count },
    (_, i) => `${before}${String(from + BigInt(i)).padStart(width, '0')}${after}`,
  ).filter((text) => !used.has(normalised(text)));
}
