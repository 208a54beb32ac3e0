/** Tubes come in lots: a number further back than this has nothing to say of the next. */
export const SAMPLE_LOOKBACK_DAYS = 365;

/**
 * The tube after another: its last run of digits one higher, its width kept (`B-099` then `B-100`, `A9` then `A10`).
 * Counted in whole numbers of any length. @returns undefined for a number without digits
 */
export function nextTube(tube: string): string | undefined {
  const found = /^(.*?)(\d+)(\D*)$/s.exec(tube);
  if (!found) return undefined;
  const [, before, digits, after] = found as unknown as [string, string, string, string];
  return `${before}${String(BigInt(digits) + 1n).padStart(digits.length, '0')}${after}`;
}
