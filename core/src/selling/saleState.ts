import type { Days } from '../units';
import type { BoxReadiness } from './ready';

/** In one word, for the eye that looks for whom to send. */
export const SALE_STATES = [
  'ready',
  'closing',
  'plateau',
  'in-days',
  'never',
  'held',
  'not-felt',
  'not-known',
] as const;
export type SaleState = (typeof SALE_STATES)[number];

interface AtOutlet {
  readonly readiness: BoxReadiness;
  /** What it brings there today; undefined without a price. */
  readonly nowMinor: number | undefined;
}
interface Standing<T extends AtOutlet> {
  readonly clearIn: Days;
  readonly oldEnoughIn: Days;
  readonly isPlateau: boolean;
  readonly at: readonly T[];
}

/**
 * What to say of an animal first: held before all; on a plateau, where the days only cost; ready now, and whether that
 * ends soon where it brings most; ready later; not felt where only that is missing; never.
 * @returns inDays until it is free, ready, or for the last time ready at `closesAt`
 */
export function saleState<T extends AtOutlet>({
  clearIn,
  oldEnoughIn,
  isPlateau,
  at,
}: Standing<T>): { readonly state: SaleState; readonly inDays: Days | undefined; readonly closesAt?: T } {
  if (clearIn > 0 || oldEnoughIn > 0) return { state: 'held', inDays: Math.max(clearIn, oldEnoughIn) };
  if (at.length === 0) return { state: 'not-known', inDays: undefined };
  if (isPlateau) return { state: 'plateau', inDays: undefined };
  let dearest: T | undefined;
  for (const one of at)
    if (one.readiness.kind === 'ready' && (one.nowMinor ?? -Infinity) > (dearest?.nowMinor ?? -Infinity)) dearest = one;
  dearest ??= at.find((one) => one.readiness.kind === 'ready');
  if (dearest?.readiness.kind === 'ready') {
    const { closes } = dearest.readiness;
    return closes
      ? { state: 'closing', inDays: closes.days, closesAt: dearest }
      : { state: 'ready', inDays: undefined };
  }
  const later = at.flatMap((o) => (o.readiness.kind === 'in-days' ? [o.readiness.days] : []));
  if (later.length > 0) return { state: 'in-days', inDays: Math.min(...later) };
  return { state: at.some((o) => o.readiness.kind === 'not-felt') ? 'not-felt' : 'never', inDays: undefined };
}
