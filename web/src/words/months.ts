import { say } from '@yaylak/contract';

/** The months in short, January first. */
export const MONTHS: readonly string[] = [
  say('Jan'),
  say('Feb'),
  say('Mar'),
  say('Apr'),
  say('May'),
  say('Jun'),
  say('Jul'),
  say('Aug'),
  say('Sep'),
  say('Oct'),
  say('Nov'),
  say('Dec'),
];
