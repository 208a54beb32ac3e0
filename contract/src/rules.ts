import { LOOK_POINTS, parseDay } from '@yaylak/core';
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

const MAX_STANDARDS = 30;
const isGrade = (grade: unknown): boolean =>
  grade === 'pass' ||
  grade === 'fail' ||
  (typeof grade === 'number' && Number.isInteger(grade) && grade >= 0 && grade <= LOOK_POINTS);

/** Grades by the standard's id: pass, fail or 0 to 5; at most thirty. */
export const IsLookGrades = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isLookGrades',
      validator: {
        validate: (value): boolean =>
          typeof value === 'object' &&
          value !== null &&
          !Array.isArray(value) &&
          Object.keys(value).length <= MAX_STANDARDS &&
          Object.entries(value).every(([id, grade]) => id.length > 0 && id.length <= MAX_TEXT && isGrade(grade)),
        defaultMessage: buildMessage(() => `$property must be pass, fail or 0 to ${LOOK_POINTS} by standard`, options),
      },
    },
    options,
  );

/** Longest text of a name, number or reason. */
export const MAX_TEXT = 120;
export const MAX_NOTE = 2000;
export const MAX_BATCH = 2000;
