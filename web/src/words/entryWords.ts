import type { Entry } from '@yaylak/contract';
import { BODY_MEASURES, spacedDigits, type ArrivalWay, type LookGrade, type Standard } from '@yaylak/core';
import { fullDate } from './dates';
import { amountText, figureText, weightText } from './format';
import { CHECK_WORDS, MOB_WORDS, scoreText } from './condition';
import { BIRTH_LINES, departureWords } from './births';
import { CARRYING_LINES } from './carrying';
import { MATING_LINES } from './mating';
import type { Lines, Told } from './lines';
import { carcassText, finishText } from './selling';
import { DECISION_WORDS } from './reasons';
import { CARE_WORDS, MEASURE_WORDS, PURPOSE_WORDS, ROUTE_WORDS } from './stations';
import { say, lower } from '@yaylak/contract';

const ARRIVAL_WORDS: Readonly<Record<ArrivalWay, string>> = {
  born: say('Born here'),
  bought: say('Bought'),
  found: say('Found and taken in'),
  named: say('Known by its number, as a parent'),
};

const LINES: Lines = {
  arrival: (entry) => ARRIVAL_WORDS[entry.how],
  weight: (entry, told) => `${weightText(entry.kg, told.unit, told.species)}, ${say(entry.method)}`,
  identifier: (entry) =>
    entry.kind === 'electronic'
      ? say('Electronic {spacedDigits} fitted', { spacedDigits: spacedDigits(entry.text) })
      : `${entry.colour ? `${entry.colour} ` : ''}${entry.kind === 'name' ? say('named') : say('tag')} ${entry.text}`,
  'identifier-end': (entry) =>
    say('Tag {how}{value}', { how: say(entry.how), value: entry.reason ? `: ${entry.reason}` : '' }),
  move: (_, told) => say('Moved to {n}', { n: told.groupName ?? say('a group') }),
  mark: (entry) =>
    say('Marked {colour} on the {place}: {purpose}{value}', {
      colour: say(entry.colour),
      place: say(entry.place),
      purpose: entry.purpose,
      value: entry.until ? say(', to {date}', { date: fullDate(entry.until) }) : '',
    }),
  passage: (entry) =>
    `${passageWords(entry.gate, entry.suggested)}${entry.why ? say(', passed by: {why}', { why: entry.why }) : ''}`,
  choice: (entry) =>
    say('Chosen: {word}{value}', {
      word: lower(DECISION_WORDS[entry.decision]),
      value: entry.reason ? ` (${entry.reason})` : '',
    }),
  departure: (entry, told) => departureWords(entry, told),
  note: (entry) => entry.text,
  photo: (entry) => (entry.shows === undefined ? say('Photo') : say('Photo: {shows}', { shows: entry.shows })),
  treatment(entry, told) {
    const withheld = entry.meatDays
      ? say(', meat withheld {meatDays} {meatDays, plural, one {day} other {days}}', { meatDays: entry.meatDays })
      : '';
    return `${told.productName ?? say('A remedy')}, ${amountText(entry.amount)} ${entry.unit} ${ROUTE_WORDS[entry.route]}${entry.reason ? ` (${entry.reason})` : ''}${withheld}`;
  },
  measure: (entry) =>
    say('Measured: {list}', {
      list: BODY_MEASURES.flatMap((m) =>
        entry[m] === undefined
          ? []
          : [say('{word} {figure} cm', { word: lower(MEASURE_WORDS[m]), figure: figureText(entry[m], 1) })],
      ).join(', '),
    }),
  finish: (entry) => finishText(entry),
  carcass: (entry, told) => carcassText(entry, told),
  look: (entry, told) => lookWords(entry.grades, told.standards),
  sample: (entry, { answeredOn }) =>
    say('Sample: {purpose}, tube {tube}{value}', {
      purpose: PURPOSE_WORDS[entry.purpose],
      tube: entry.tube,
      value: [
        entry.reason === undefined ? '' : ` ${say('(too soon: {reason})', { reason: entry.reason })}`,
        answeredOn === undefined
          ? ''
          : answeredOn === null
            ? say(', no result yet')
            : say(', result on {date}', { date: fullDate(answeredOn) }),
      ].join(''),
    }),
  care: (entry) => `${CARE_WORDS[entry.kind]}${entry.method ? `: ${say(entry.method)}` : ''}`,
  'litter-weight': (entry, told) =>
    say('Litter of {count}: {weight} together', {
      count: entry.count,
      weight: weightText(entry.totalKg, told.unit, told.species),
    }),
  score: (entry) => say('Scored {score} by {scoredBy}', { score: scoreText(entry.score), scoredBy: entry.scoredBy }),
  mob: (entry) =>
    say('To the {mob} mob{value}', {
      mob: MOB_WORDS[entry.mob],
      value:
        entry.suggested && entry.suggested !== entry.mob
          ? ` ${say('(suggested: {mob})', { mob: MOB_WORDS[entry.suggested] })}`
          : '',
    }),
  check: (entry) =>
    `${CHECK_WORDS[entry.what][entry.isFound ? 'found' : 'clear']}${entry.words ? `: ${entry.words}` : ''}`,
  reservation: (entry) =>
    say('Reserved for {buyer}{value}', {
      buyer: entry.buyer,
      value: entry.until ? say(', to {date}', { date: fullDate(entry.until) }) : '',
    }),
  release: () => say('Reservation let go'),
  strike: () => say('Struck out'),
  ...MATING_LINES,
  ...CARRYING_LINES,
  ...BIRTH_LINES,
};

/** An entry in a line of words. */
export const entryWords = (entry: Entry, told: Told): string =>
  (LINES[entry.type] as (entry: Entry, told: Told) => string)(entry, told);

const passageWords = (gate: string | undefined, suggested: string | undefined): string =>
  gate === undefined
    ? say('Through the race')
    : say('Through the race, out by {gate}{value}', {
        gate,
        value: suggested && suggested !== gate ? ` ${say('(suggested: {suggested})', { suggested })}` : '',
      });

/** What failed of a look-over, and the points given. */
export function lookWords(grades: Readonly<Record<string, LookGrade>>, standards: readonly Standard[]): string {
  const nameOf = (id: string): string => lower(standards.find((s) => s.id === id)?.name ?? id);
  const failed = Object.entries(grades).flatMap(([id, grade]) => (grade === 'fail' ? [nameOf(id)] : []));
  const points = Object.entries(grades).flatMap(([id, grade]) =>
    typeof grade === 'number' ? [say('{name} {grade} of 5', { name: nameOf(id), grade })] : [],
  );
  const verdict = failed.length > 0 ? say('fails {list}', { list: failed.join(', ') }) : say('nothing failed');
  return say('Looked over: {list}', { list: [verdict, ...points].join(', ') });
}
