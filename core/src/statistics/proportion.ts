import { Z_80 } from './intervals';

export interface Proportion {
  readonly of: number;
  readonly share: number;
  /** 80 % interval. */
  readonly low: number;
  readonly high: number;
}

/**
 * A share of a count with its 80 % interval (Wilson 1927, JASA 22: 209-212), which stays between 0 and 1 and is
 * honest for a handful.
 * @returns undefined of none
 */
export function proportion(count: number, of: number): Proportion | undefined {
  if (of === 0) return undefined;
  const share = count / of;
  const z2 = Z_80 * Z_80;
  const centre = (share + z2 / (2 * of)) / (1 + z2 / of);
  const half = (Z_80 / (1 + z2 / of)) * Math.sqrt((share * (1 - share)) / of + z2 / (4 * of * of));
  return { of, share, low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}
