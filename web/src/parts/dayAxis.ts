import { isoOf, type Day } from '@yaylak/core';
import { colour } from '../theme/tokens';
import { shortDate } from '../words/dates';

/** A chart's axis of days: what stands at `day` is a day of the calendar. */
export const dayAxis = {
  dataKey: 'day',
  type: 'number',
  domain: ['dataMin', 'dataMax'],
  tickFormatter: (day: Day): string => shortDate(isoOf(day)),
  stroke: colour('inkSoft'),
  fontSize: 11,
} as const;
