import { dayOfMoment, isoMoment, isoOf, momentOf, type Day } from '../../calendar';
import type { Refusal } from '../refusals';

/** An hour that is written down lies on the entry's own day. */
export function onItsDay({ at, day }: { readonly at?: string | undefined; readonly day: Day }): Refusal | undefined {
  if (at === undefined) return undefined;
  const moment = momentOf(at);
  return dayOfMoment(moment) === day
    ? undefined
    : { code: 'time-of-other-day', field: 'at', value: isoMoment(moment), on: isoOf(day) };
}
