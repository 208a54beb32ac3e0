import { dayOfMoment, isoMoment, isoOf, momentAt, momentOf, dayOf, type Moment } from '@yaylak/core';

/** The clocks of server and device when the device last heard of the server, each as `2026-11-23T07:30` on its wall. */
export interface ClocksRead {
  /** The server's day; a demo may be days ahead of its own clock. */
  readonly today: string;
  readonly now: string;
  /** The device's clock at that moment. */
  readonly readAt: string;
}

/** What the clock of this device shows. */
export function deviceMoment(now = new Date()): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  const day = dayOf(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
  return isoMoment(momentAt(day, now.getHours() * 60 + now.getMinutes()));
}

/** The server's clock carried on by the device's own since they last met; one set back meanwhile does not carry back. */
function carriedTo({ now, readAt }: ClocksRead, device: string): Moment {
  return (momentOf(now) + Math.max(0, momentOf(device) - momentOf(readAt))) as Moment;
}

/** The day a device goes by: a tablet that was away for three days dates by the third. */
export const carriedOn = (read: ClocksRead, device: string): string => {
  const carried = isoOf(dayOfMoment(carriedTo(read, device)));
  return carried > read.today ? carried : read.today;
};

/** The server's clock as this device carries it on: `2026-11-23T07:30`. */
export const clockAt = (read: ClocksRead, device: string): string => isoMoment(carriedTo(read, device));

/** A device that had gone by another day than the server, found out when they met again. */
export interface DayApart {
  /** When they had met before. */
  readonly since: string;
  /** The day the device went by, and the one it was. */
  readonly carried: string;
  readonly today: string;
}

/** Clocks that differ by less agree: nobody's day is wrong for long. */
const AGREE_MINUTES = 30;

/** @returns what is to be told of two clocks that meet again, or nothing when they agree on the day */
export function dayApart(before: ClocksRead, { today, now, readAt }: ClocksRead): DayApart | undefined {
  const carried = carriedOn(before, readAt);
  const apart = Math.abs(carriedTo(before, readAt) - momentOf(now));
  return carried !== today && apart > AGREE_MINUTES ? { since: before.today, carried, today } : undefined;
}

/** A clock that is out by more is to be set; by less nobody's hour is wrong. */
const TOLD_MINUTES = 5;
const DAY_MINUTES = 1440;

/**
 * How many minutes the device's clock was ahead of the server's when they last met, where it is more than a few; below 0
 * it was behind. Whole days are left out: they are told by `dayApart`, and a demo may be days ahead of its own clock.
 */
export function minutesAhead({ now, readAt }: ClocksRead): number | undefined {
  const apart = momentOf(readAt) - momentOf(now);
  const within = apart - Math.round(apart / DAY_MINUTES) * DAY_MINUTES;
  return Math.abs(within) > TOLD_MINUTES ? within : undefined;
}
