import { LOOK_POINTS, parseDay, parseMoment, STEPS, weighsSomething } from '@yaylak/core';
import { buildMessage, ValidateBy, type ValidationOptions } from 'class-validator';
import { say } from './say/say';

/** A date of the calendar as `YYYY-MM-DD`; 29 February of a common year is none. */
export const IsCalendarDate = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isCalendarDate',
      validator: {
        validate: (value): boolean => typeof value === 'string' && parseDay(value) !== undefined,
        defaultMessage: buildMessage(() => say('$property is not a real date; write it as 2026-03-31'), options),
      },
    },
    options,
  );

/** A time by the clock on the wall as `YYYY-MM-DDTHH:mm`. */
export const IsLocalTime = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isLocalTime',
      validator: {
        validate: (value): boolean => typeof value === 'string' && parseMoment(value) !== undefined,
        defaultMessage: buildMessage(
          () => say('$property is not a date with a time; write it as 2026-03-31T07:30'),
          options,
        ),
      },
    },
    options,
  );

const MAX_DEAD_YOUNG = 30;
/** A list of sex and, where weighed, kilograms of young born dead. */
export const IsDeadYoung = (sexes: readonly string[], options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isDeadYoung',
      constraints: [sexes],
      validator: {
        validate: (value): boolean =>
          Array.isArray(value) &&
          value.length <= MAX_DEAD_YOUNG &&
          value.every((one: unknown) => {
            if (typeof one !== 'object' || one === null) return false;
            const { sex, kg, ...rest } = one as Record<string, unknown>;
            const isKg = kg === undefined || (typeof kg === 'number' && kg > 0 && kg <= 100);
            return Object.keys(rest).length === 0 && sexes.includes(sex as string) && isKg;
          }),
        defaultMessage: buildMessage(
          () =>
            say('$property must be at most {most} of a sex ({list}) and kg up to 100', {
              most: MAX_DEAD_YOUNG,
              list: sexes.join(', '),
            }),
          options,
        ),
      },
    },
    options,
  );

/** A grade each for some of these parts, at least one. */
export const IsGrades = (
  parts: readonly string[],
  grades: readonly string[],
  options?: ValidationOptions,
): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isGrades',
      constraints: [parts, grades],
      validator: {
        validate: (value): boolean =>
          typeof value === 'object' &&
          value !== null &&
          !Array.isArray(value) &&
          Object.keys(value).length > 0 &&
          Object.entries(value).every(([part, grade]) => parts.includes(part) && grades.includes(grade as string)),
        defaultMessage: buildMessage(
          () => say('$property must be {list} for {list2}', { list: grades.join(', '), list2: parts.join(', ') }),
          options,
        ),
      },
    },
    options,
  );

/** The field of a price grid: at most fifteen rows of at most fifteen figures, none missing. */
export const IsGridCells = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isGridCells',
      validator: {
        validate: (value): boolean =>
          Array.isArray(value) &&
          value.length <= STEPS &&
          value.every(
            (row: unknown) =>
              Array.isArray(row) &&
              row.length <= STEPS &&
              row.every((cell) => typeof cell === 'number' && Number.isFinite(cell) && Math.abs(cell) <= GRID_MOST),
          ),
        defaultMessage: buildMessage(() => say('$property must be rows of figures, none missing'), options),
      },
    },
    options,
  );
/** Hundredths for a kilogram. */
const GRID_MOST = 1_000_000;

/** Weights of which one at least is not 0. */
export const WeighsSomething = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'weighsSomething',
      validator: {
        validate: (value): boolean =>
          typeof value === 'object' && value !== null && weighsSomething(value as Record<string, number>),
        defaultMessage: buildMessage(
          () => say('$property: one trait at least has to count. Give one a weight'),
          options,
        ),
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
        defaultMessage: buildMessage(
          () => say('$property must be pass, fail or 0 to {most} by standard', { most: LOOK_POINTS }),
          options,
        ),
      },
    },
    options,
  );

const MAX_STEPS = 200;
/** No step is moved further than this: it would belong to another year. */
const MOST_SHIFT_DAYS = 400;

/** Days to move (`shift`) or dates by the key of a step. */
export const IsDayMap = (of: 'shift' | 'date', options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isDayMap',
      constraints: [of, MOST_SHIFT_DAYS],
      validator: {
        validate: (value): boolean =>
          typeof value === 'object' &&
          value !== null &&
          !Array.isArray(value) &&
          Object.keys(value).length <= MAX_STEPS &&
          Object.entries(value).every(
            ([key, v]: [string, unknown]) =>
              /^[a-z0-9 -]{1,40}$/.test(key) &&
              (of === 'date'
                ? typeof v === 'string' && parseDay(v) !== undefined
                : Number.isInteger(v) && Math.abs(v as number) <= MOST_SHIFT_DAYS),
          ),
        defaultMessage: buildMessage(
          () =>
            of === 'date'
              ? say('$property must be dates by step')
              : say('$property must be up to {most} days by step', { most: MOST_SHIFT_DAYS }),
          options,
        ),
      },
    },
    options,
  );

/** Longest text of a name, number or reason. */
export const MAX_TEXT = 120;
/** A million of the money, in hundredths. */
export const MAX_MINOR = 100_000_000;
export const MAX_NOTE = 2000;
