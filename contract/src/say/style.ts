import type { DateOrder } from '@yaylak/core';

let order: DateOrder = 'day-month';

/**
 * The order the holding writes days in, for all texts from now on. A page and a server have one book each: it is told
 * whenever its settings are read.
 */
export function writeDatesAs(written: DateOrder): void {
  order = written;
}

export const datesAreWrittenAs = (): DateOrder => order;
