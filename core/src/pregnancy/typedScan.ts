import type { TestResult } from './probability';
import type { Days } from '../units';

export type TypedScan =
  | {
      readonly kind: 'scan';
      readonly result: TestResult;
      /** Undefined where none was counted. */
      readonly young: number | undefined;
      readonly ageDays: Days | undefined;
    }
  | { readonly kind: 'refused'; readonly reason: 'empty' | 'not-a-scan' | 'too-many' | 'age-of-empty' };

/** No litter of any species is larger. */
const MOST_YOUNG = 20;

/**
 * Reads a scan as it is typed in one go: how many young (0 for empty, ? for doubtful), and after a blank or a point
 * their age in days: `2`, `2 62`, `0`, `?`.
 */
export function readTypedScan(text: string): TypedScan {
  const plain = text.trim();
  if (plain === '') return { kind: 'refused', reason: 'empty' };
  const found = /^(\?|\d{1,2})(?:[\s.,]+(\d{1,3}))?$/.exec(plain);
  if (!found) return { kind: 'refused', reason: 'not-a-scan' };
  const [, count = '', age] = found;
  const ageDays = age === undefined ? undefined : Number(age);
  if (ageDays === 0) return { kind: 'refused', reason: 'not-a-scan' };
  if (count === '?') return { kind: 'scan', result: 'doubtful', young: undefined, ageDays };
  const young = Number(count);
  if (young > MOST_YOUNG) return { kind: 'refused', reason: 'too-many' };
  if (young > 0) return { kind: 'scan', result: 'carrying', young, ageDays };
  return ageDays === undefined
    ? { kind: 'scan', result: 'empty', young: undefined, ageDays }
    : { kind: 'refused', reason: 'age-of-empty' };
}
