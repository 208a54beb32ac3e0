import { EVIDENCE_WAY_WORDS, FINDING_WORDS, LOSS_WORDS, WAY_ON_WORDS, type ChanceView } from '@yaylak/contract';
import { SPECIES_WORDS, type TestResult } from '@yaylak/core';
import { countText, shortDate } from './format';
import type { Lines } from './lines';

export const TEST_RESULT_WORDS: Readonly<Record<TestResult, string>> = {
  carrying: 'in young',
  empty: 'empty',
  doubtful: 'doubtful',
};

/** Entries of carrying. */
export const CARRYING_LINES: Lines<'pregnancy-test' | 'loss' | 'way-on' | 'carrying-step'> = {
  'pregnancy-test'(entry, told) {
    const [one, many] = told.species ? SPECIES_WORDS[told.species].young.unknown : ['young', 'young'];
    const parts = [
      entry.young === undefined ? TEST_RESULT_WORDS[entry.result] : countText(entry.young, one, many),
      ...(entry.ageDays === undefined ? [] : [countText(entry.ageDays, 'day old', 'days old')]),
      ...(entry.findings ?? []).map((f) => FINDING_WORDS[f]),
      ...(entry.testedBy === undefined ? [] : [`by ${entry.testedBy}`]),
      ...(entry.laboratory === undefined ? [] : [entry.laboratory]),
    ];
    const why = entry.reason === undefined ? '' : ` (too soon: ${entry.reason})`;
    return `${capital(EVIDENCE_WAY_WORDS[entry.way])}: ${parts.join(', ')}${why}`;
  },
  loss: (entry) => `${capital(LOSS_WORDS[entry.how])}${entry.words === undefined ? '' : `: ${entry.words}`}`,
  'way-on'(entry) {
    const over =
      entry.suggested !== undefined && entry.suggested !== entry.decision
        ? ` (suggested: ${WAY_ON_WORDS[entry.suggested].toLowerCase()})`
        : '';
    return `Decided: ${WAY_ON_WORDS[entry.decision].toLowerCase()}${over}${entry.reason === undefined ? '' : `, ${entry.reason}`}`;
  },
  'carrying-step': (entry) => `Done before the birth: ${entry.step}`,
};

type Sign = ChanceView['story'][number];

/** One thing known of her, in words without its day. */
export function signText(sign: Sign): string {
  switch (sign.kind) {
    case 'served':
      return 'Served: so many of such take';
    case 'no-return':
      return 'Not seen back on heat';
    case 'returned':
      return 'Seen back on heat';
    case 'refused':
      return 'Refused the male when offered again';
    case 'no-birth':
      return 'No birth yet, though some of her days are past';
    case 'lost':
      return 'Lost what she carried';
    case 'tested': {
      const { test } = sign;
      if (!test) return 'Tested';
      const words = `${capital(EVIDENCE_WAY_WORDS[test.way])}: ${TEST_RESULT_WORDS[test.result]}`;
      return test.isTooSoon ? `${words}, but too soon to tell` : words;
    }
  }
}

/** Two things that cannot both be right: "Blood test: in young (6 Nov) and seen back on heat (18 Nov) contradict …". */
export const contradictionText = ({ earlier, later }: ChanceView['contradictions'][number]): string => {
  const said = (s: Sign): string => `${signText(s)} (${shortDate(s.on)})`;
  const second = said(later);
  return `${said(earlier)} and ${second.charAt(0).toLowerCase()}${second.slice(1)} contradict each other: one of the two is wrong.`;
};

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
