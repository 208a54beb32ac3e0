import { MOST_PICTURE_BYTES } from './photos';
import { LOOK_POINTS } from '@yaylak/core';
import { capital } from './say/letters';
import { message, say } from './say/say';
import { told } from './say/told';

/** A rule of a contract's class that a value breaks. */
export interface BrokenRule {
  /** As class-validator names it. */
  readonly rule: string;
  /** Where it stands: `species.sheep.girthCm`, `entries.3.on`. */
  readonly field: string;
  readonly value: unknown;
  /** What the rule was made with: the least, the list, the pattern. */
  readonly args: readonly unknown[];
}

/** Fields whose names do not say it in plain words. */
const FIELD_WORDS: Readonly<Record<string, string>> = told({
  on: 'day',
  at: 'time',
  by: 'by whom',
  bornOn: 'birth date',
  text: 'text',
  kg: 'weight (kg)',
  how: 'how',
  id: 'id',
  animalIds: 'animals',
  birthKnownTo: 'how far the birth is known',
  onDay: 'day',
});
/** Ends of names that are units, with how they are written. */
const UNITS: readonly (readonly [end: string, unit: string])[] = [
  ['KgPerDay', message('kg a day')],
  ['Minor', message('hundredths of the money')],
  ['PerDay', message('a day')],
  ['Kg', 'kg'],
  ['Cm', 'cm'],
  ['Ml', 'ml'],
  ['Days', message('days')],
  ['Hours', message('hours')],
  ['Months', message('months')],
  ['Years', message('years')],
];

const inWords = (name: string): string =>
  name
    .replace(/^is(?=[A-Z])/, '')
    .replace(/Id(s?)$/, '$1')
    .replace(/([a-z0-9])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
    .toLowerCase();

/** What a field is called: `Girth (cm)`; of a list its place beside it, `Day of number 4`. */
export function fieldName(field: string): string {
  const parts = field.split('.');
  const last = parts.at(-1) ?? '';
  const place = /^\d+$/.test(last) ? last : parts.findLast((p) => /^\d+$/.test(p));
  const name = /^\d+$/.test(last) ? (parts.at(-2) ?? say('the list')) : last;
  const unit = UNITS.find(([end]) => name.endsWith(end) && name.length > end.length);
  const words =
    FIELD_WORDS[name] ?? (unit ? `${inWords(name.slice(0, -unit[0].length))} (${say(unit[1])})` : inWords(name));
  const said = place === undefined ? words : say('{words} of number {n}', { words, n: Number(place) + 1 });
  return capital(said);
}

const LONGEST_SHOWN = 60;
/** What was given, as it may be shown; nothing of what is no single value. */
const given = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? `“${String(value).slice(0, LONGEST_SHOWN)}”`
    : say('this');
const isMissing = (value: unknown): boolean => value === undefined || value === null || value === '';
const listed = (of: unknown): string =>
  (Array.isArray(of) ? of : Object.values((of ?? {}) as object)).map((one) => inWords(String(one))).join(', ');

type Words = (broken: {
  readonly was: string;
  readonly name: string;
  readonly args: readonly unknown[];
  readonly value: unknown;
}) => string;

const NO_DAY_OF_YEAR = message('is not a day of the year. Write it as 07-15.');
/** What a field with a pattern of its own looks like. */
const PATTERN_WORDS: Readonly<Record<string, string>> = told({
  currency: 'is not a currency. Write three capital letters, such as EUR.',
  from: NO_DAY_OF_YEAR,
  to: NO_DAY_OF_YEAR,
  pin: 'is no PIN. Give four to eight digits.',
});
/** What is typed there is told to nobody again, nor to who typed it. */
const SECRETS: readonly string[] = ['password', 'newPassword', 'passphrase', 'pin', 'code'];

/** What is said of each rule that the contracts use, after the field's name. */
const RULE_WORDS: Readonly<Record<string, Words>> = {
  isString: ({ was }) => say('{was} is not text. Give it as text.', { was }),
  isNumber: ({ was }) => say('{was} is not a number. Give it as 12.5.', { was }),
  isInt: ({ was }) => say('{was} is not a whole number. Give one without a part behind the point.', { was }),
  isBoolean: ({ was }) => say('{was} is neither yes nor no. Give true or false.', { was }),
  isArray: ({ was }) => say('{was} is not a list. Give a list.', { was }),
  isObject: ({ was }) => say('{was} is not a set of fields. Give one.', { was }),
  isOneObject: ({ was }) => say('{was} is not one set of fields. Give one, and no list.', { was }),
  isListOfObjects: ({ was }) => say('{was} is not a list of sets of fields. Give such a list.', { was }),
  isIn: ({ was, args: [of] }) =>
    say('{was} is none of these: {listed}. Choose one of them.', { was, listed: listed(of) }),
  isUuid: ({ was }) => say('{was} is not an id. Choose it again.', { was }),
  isLength: ({ value, args: [least, most] }) => lengthText(value, least as number, most as number),
  maxLength: ({ value, args: [most] }) => lengthText(value, 0, most as number),
  min: ({ was, args: [least] }) => say('{was} is too small. The least is {n}.', { was, n: String(least) }),
  max: ({ was, args: [most] }) => say('{was} is too large. The most is {n}.', { was, n: String(most) }),
  arrayMinSize: ({ args: [least] }) => say('there are too few. Give at least {n}.', { n: String(least) }),
  arrayMaxSize: ({ args: [most] }) => say('there are too many. Give up to {n} at a time.', { n: String(most) }),
  arrayUnique: () => say('something stands there twice. Leave one of them out.'),
  matches: ({ was, name }) =>
    `${was} ${PATTERN_WORDS[name] ?? say('is not written as it is taken here. Compare it with the example.')}`,
  isIso8601: ({ was }) => say('{was} is not a date and time. Write it as 2026-03-31T07:30:00.000Z.', { was }),
  isCalendarDate: ({ was }) => say('{was} is not a real date. Write it as 2026-03-31.', { was }),
  isLocalTime: ({ was }) => say('{was} is not a date with a time. Write it as 2026-03-31T07:30.', { was }),
  isPicture: () =>
    say('a photo is a JPEG of up to {n} kilobytes, as base64. Choose it again.', { n: MOST_PICTURE_BYTES / 1_000 }),
  isDeadYoung: () => say('this cannot be read. Give for each one born dead how it was found.'),
  isGrades: ({ args: [parts, grades] }) =>
    say('give {listed} for each of these: {listed2}.', { listed: listed(grades), listed2: listed(parts) }),
  isLookGrades: () => say('give pass, fail or 0 to {most} points for each standard.', { most: LOOK_POINTS }),
  isGridCells: () =>
    say('give a figure for every cell, row by row: a carcass that falls in an empty one would have no price.'),
  weighsSomething: () => say('one trait at least has to count. Give one a weight that is not 0.'),
  isDayMap: ({ args: [of, most] }) =>
    of === 'date' ? say('give a date for each step.') : say('give up to {n} days for each step.', { n: String(most) }),
  whitelistValidation: () => say('nothing of this name is known here. Leave it out.'),
  unknownValue: () => say('this is not a record. Give a set of fields.'),
};

function lengthText(value: unknown, least: number, most: number): string {
  const length = typeof value === 'string' ? value.length : 0;
  return length > most
    ? say('{n} characters are too many. Give up to {most}.', { n: length, most })
    : say('{n} characters are too few. Give at least {least}.', { n: length, least });
}

/** Rules that only say whether others are asked at all. */
export const SILENT_RULES: ReadonlySet<string> = new Set(['conditionalValidation', 'isOptional', 'nestedValidation']);

/** Whether there are words for a rule. */
export const hasWords = (rule: string): boolean => rule in RULE_WORDS;

/** A broken rule in words: the field, the value and the remedy. */
export function faultText({ rule, field, value, args }: BrokenRule): string {
  const name = fieldName(field);
  if (isMissing(value) && rule !== 'whitelistValidation') return say('{name}: enter it, it is missing.', { name });
  const words = RULE_WORDS[rule];
  const last = field.split('.').at(-1) ?? '';
  const was = SECRETS.includes(last) ? say('this') : given(value);
  return `${name}: ${words ? words({ was, name: last, args, value }) : say('{given} cannot be taken as it is.', { given: was })}`;
}
