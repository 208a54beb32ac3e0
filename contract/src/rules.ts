import { parseDay } from '@yaylak/core';
import { buildMessage, ValidateBy, type ValidationOptions } from 'class-validator';

/** A date of the calendar as `YYYY-MM-DD`; 29 February of a common year is none. */
export const IsCalendarDate = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isCalendarDate',
      validator: {
        validate: (value): boolean => typeof value === 'string' && parseDay(value) !== undefined,
        defaultMessage: buildMessage(() => '$property is no date of the calendar; write it as 2026-03-31', options),
      },
    },
    options,
  );

/** Longest text of a name, number or reason. */
export const MAX_TEXT = 120;
export const MAX_NOTE = 2000;
export const MAX_BATCH = 2000;
