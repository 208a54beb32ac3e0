import type { Days } from '../units';
import type { DaysMore } from './daysMore';
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

/** Days within which one that is ready now and will be too fat counts as closing. */
export const SOON_DAYS: Days = 21;

interface Standing {
  readonly clearIn: Days;
  readonly oldEnoughIn: Days;
  readonly isPlateau: boolean;
  readonly at: readonly { readonly readiness: BoxReadiness; readonly days: DaysMore }[];
}

/**
 * What to say of an animal first: held before all; on a plateau, where the days only cost; ready now, and whether its
 * best stretch ends soon; ready later; not felt where only that is missing; never.
 */
export function saleState({ clearIn, oldEnoughIn, isPlateau, at }: Standing): {
  readonly state: SaleState;
  readonly inDays: Days | undefined;
} {
  if (clearIn > 0 || oldEnoughIn > 0) return { state: 'held', inDays: Math.max(clearIn, oldEnoughIn) };
  if (at.length === 0) return { state: 'not-known', inDays: undefined };
  if (isPlateau) return { state: 'plateau', inDays: undefined };
  const ready = at.filter((o) => o.readiness.kind === 'ready');
  if (ready.length > 0) {
    const closes = Math.max(
      ...ready.map(({ days }) => (days.kind === 'days' && days.run.from === 0 ? days.run.to : SOON_DAYS)),
    );
    return closes < SOON_DAYS ? { state: 'closing', inDays: closes } : { state: 'ready', inDays: undefined };
  }
  const later = at.flatMap((o) => (o.readiness.kind === 'in-days' ? [o.readiness.days] : []));
  if (later.length > 0) return { state: 'in-days', inDays: Math.min(...later) };
  return { state: at.some((o) => o.readiness.kind === 'not-felt') ? 'not-felt' : 'never', inDays: undefined };
}
