import { say } from '@yaylak/contract';
import type { WeekStart } from '@yaylak/core';

/** The day a week begins on, in words. */
export const WEEK_START_WORDS: Readonly<Record<WeekStart, string>> = {
  monday: say('Monday'),
  sunday: say('Sunday'),
  saturday: say('Saturday'),
};

/** The same as a calendar is told. */
export const CALENDAR_STARTS = { monday: 'mon', sunday: 'sun', saturday: 'sat' } as const;
