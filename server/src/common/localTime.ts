import { dayOf, momentAt, type Day, type Moment } from '@yaylak/core';

const two = (n: number): string => String(n).padStart(2, '0');

/** The day of an instant where the server stands. */
export const localDay = (at: Date): Day => dayOf(`${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`);

/** The time of an instant as the clock on the wall had it. */
export const localMoment = (at: Date): Moment => momentAt(localDay(at), at.getHours() * 60 + at.getMinutes());
