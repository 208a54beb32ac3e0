import type { EvidenceWay, TestResult } from './probability';

interface Counted {
  readonly way: EvidenceWay;
  readonly result: TestResult;
  readonly young: number | undefined;
}

/**
 * Young a test counted: 0 of one told empty; undefined where it was doubtful, or told young and counted none. A way that
 * never counts, such as blood, says nothing here: its empty ones alone would pull the rate down.
 */
export function countedAt({ way, result, young }: Counted): number | undefined {
  if ((way !== 'scan' && way !== 'palpation') || result === 'doubtful') return undefined;
  return result === 'empty' ? 0 : young;
}

export interface ScanningRate {
  /** Counted, the empty ones among them. */
  readonly females: number;
  readonly young: number;
  /** Young to 100 females counted. */
  readonly per100: number;
}

/** The scanning rate: young to 100 females that were counted; undefined where none was. */
export function scanningRate(counts: readonly number[]): ScanningRate | undefined {
  if (counts.length === 0) return undefined;
  const young = counts.reduce((sum, n) => sum + n, 0);
  return { females: counts.length, young, per100: (100 * young) / counts.length };
}
