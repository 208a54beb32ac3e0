import {
  EVIDENCE_WAY_WORDS,
  FINDING_WORDS,
  LOSS_WORDS,
  WAY_ON_WORDS,
  type ChanceView,
  say,
  SPECIES_WORDS,
  capital,
  lower,
  uncapital,
} from '@yaylak/contract';
import type { TestResult } from '@yaylak/core';
import { shortDate } from './dates';
import { countText } from './format';
import type { Lines } from './lines';

export const TEST_RESULT_WORDS: Readonly<Record<TestResult, string>> = {
  carrying: say('in young'),
  empty: say('empty'),
  doubtful: say('doubtful'),
};

/** Entries of carrying. */
export const CARRYING_LINES: Lines<'pregnancy-test' | 'loss' | 'way-on' | 'carrying-step'> = {
  'pregnancy-test'(entry, told) {
    const [one, many] = told.species ? SPECIES_WORDS[told.species].young.unknown : [say('young'), say('young')];
    const parts = [
      entry.young === undefined ? TEST_RESULT_WORDS[entry.result] : countText(entry.young, one, many),
      ...(entry.ageDays === undefined
        ? []
        : [say('{ageDays} {ageDays, plural, one {day old} other {days old}}', { ageDays: entry.ageDays })]),
      ...(entry.findings ?? []).map((f) => FINDING_WORDS[f]),
      ...(entry.testedBy === undefined ? [] : [say('by {testedBy}', { testedBy: entry.testedBy })]),
      ...(entry.laboratory === undefined ? [] : [entry.laboratory]),
    ];
    const why = entry.reason === undefined ? '' : ` ${say('(too soon: {reason})', { reason: entry.reason })}`;
    return `${capital(EVIDENCE_WAY_WORDS[entry.way])}: ${parts.join(', ')}${why}`;
  },
  loss: (entry) => `${capital(LOSS_WORDS[entry.how])}${entry.words === undefined ? '' : `: ${entry.words}`}`,
  'way-on'(entry) {
    const over =
      entry.suggested !== undefined && entry.suggested !== entry.decision
        ? ` ${say('(suggested: {word})', { word: lower(WAY_ON_WORDS[entry.suggested]) })}`
        : '';
    return say('Decided: {word}{over}{value}', {
      word: lower(WAY_ON_WORDS[entry.decision]),
      over,
      value: entry.reason === undefined ? '' : `, ${entry.reason}`,
    });
  },
  'carrying-step': (entry) => say('Done before the birth: {step}', { step: say(entry.step) }),
};

type Sign = ChanceView['story'][number];

/** One thing known of her, in words without its day. */
export function signText(sign: Sign): string {
  switch (sign.kind) {
    case 'served':
      return say('Served: so many of such take');
    case 'no-return':
      return say('Not seen back on heat');
    case 'returned':
      return say('Seen back on heat');
    case 'refused':
      return say('Refused the male when offered again');
    case 'no-birth':
      return say('No birth yet, though some of her days are past');
    case 'lost':
      return say('Lost what she carried');
    case 'tested': {
      const { test } = sign;
      if (!test) return say('Tested');
      const words = `${capital(EVIDENCE_WAY_WORDS[test.way])}: ${TEST_RESULT_WORDS[test.result]}`;
      return test.isTooSoon ? say('{words}, but too soon to tell', { words }) : words;
    }
  }
}

/** Two things that cannot both be right: "Blood test: in young (6 Nov) and seen back on heat (18 Nov) contradict …". */
export const contradictionText = ({ earlier, later }: ChanceView['contradictions'][number]): string => {
  const said = (s: Sign): string => `${signText(s)} (${shortDate(s.on)})`;
  return say('{said} and {later} contradict each other: one of the two is wrong.', {
    said: said(earlier),
    later: uncapital(said(later)),
  });
};
