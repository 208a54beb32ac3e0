import type { Day, Window } from '../calendar';

/** Days a female is past the window of her birth; 0 within it. */
export const daysOver = ({ closes }: Pick<Window, 'closes'>, asOf: Day): number => Math.max(0, asOf - closes);
