import type { Day, Window } from '../calendar';

/** Young carried over the usual range by so many days are still believed. Rule of thumb. */
export const OVERDUE_DAYS = 15;

/** Days a female is past the window of her birth; 0 within it. */
export const daysOver = ({ closes }: Pick<Window, 'closes'>, asOf: Day): number => Math.max(0, asOf - closes);
