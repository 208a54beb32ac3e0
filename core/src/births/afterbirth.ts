import { addDays, momentAt, hoursBetween, type Day, type Moment } from '../calendar';
import type { Birth } from './birthsOf';
import type { Afterbirth } from './kinds';
import type { Hours } from '../units';

export interface AfterbirthNow {
  readonly state: Afterbirth;
  /** Since when it is held back, whether somebody said so or nobody saw it pass in time. */
  readonly heldSince: Day | undefined;
}

/**
 * What is known of the afterbirth of a female's last birth. One that was waited for and was not seen to pass within its
 * hours counts as held back; where the hour of the birth is not known, from the end of that day. One that was held back
 * once is so until her womb was looked at and clear, also when it has passed since.
 * @param later written down since the birth, in order
 * @returns undefined where nothing was written down of it
 */
export function afterbirthNow(
  birth: Pick<Birth, 'written'> & { readonly at: Moment | undefined },
  later: readonly { readonly on: Day; readonly state: Afterbirth }[],
  { hours, now }: { readonly hours: Hours; readonly now: Moment },
): AfterbirthNow | undefined {
  const { written, at } = birth;
  if (!written) return undefined;
  const told = [
    ...(written.afterbirth === undefined ? [] : [{ on: written.on, state: written.afterbirth }]),
    ...later.filter((l) => l.on >= written.on),
  ];
  const last = told.at(-1);
  if (!last) return undefined;
  const retainedOn = told.find((t) => t.state === 'retained')?.on;
  if (retainedOn !== undefined) return { state: last.state, heldSince: retainedOn };
  if (last.state === 'passed') return { state: 'passed', heldSince: undefined };
  const from = at ?? momentAt(addDays(written.on, 1));
  return hoursBetween(from, now) > hours
    ? { state: 'retained', heldSince: written.on }
    : { state: 'waiting', heldSince: undefined };
}
