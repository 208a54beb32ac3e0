import { dayOf, isoOf } from '@yaylak/core';

/** What day it is by the clock of this device, as a date. */
export function deviceDay(now = new Date()): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/**
 * The day by the server's clock, carried on by the device's own since they last met: a tablet that was away for three
 * days dates by the third. A device clock that was set back meanwhile does not carry it back.
 * @param today   the server's day when it was read
 * @param readOn  the device's day when it was read
 */
export function carriedOn(today: string, readOn: string, deviceToday: string): string {
  return isoOf((dayOf(today) + Math.max(0, dayOf(deviceToday) - dayOf(readOn))) as ReturnType<typeof dayOf>);
}
