import type { Entry } from '@yaylak/contract';
import { BODY_MEASURES, spacedDigits, type ArrivalWay, type LookGrade, type Standard } from '@yaylak/core';
import { amountText, countText, figureText, fullDate, weightText } from './format';
import { CHECK_WORDS, MOB_WORDS, scoreText } from './condition';
import { BIRTH_LINES, departureWords } from './births';
import { CARRYING_LINES } from './carrying';
import { MATING_LINES } from './mating';
import type { Lines, Told } from './lines';
import { carcassText, finishText } from './selling';
import { DECISION_WORDS } from './reasons';
import { CARE_WORDS, MEASURE_WORDS, PURPOSE_WORDS, ROUTE_WORDS } from './stations';

const ARRIVAL_WORDS: Readonly<Record<ArrivalWay, string>> = {
  born: 'Born here',
  bought: 'Bought',
  found: 'Found and taken in',
  named: 'Known by its number, as a parent',
};

const LINES: Lines = {
  arrival: (entry) => ARRIVAL_WORDS[entry.how],
  weight: (entry, told) => `${weightText(entry.kg, told.unit, told.species)}, ${entry.method}`,
  identifier: (entry) =>
    entry.kind === 'electronic'
      ? `Electronic ${spacedDigits(entry.text)} fitted`
      : `${entry.colour ? `${entry.colour} ` : ''}${entry.kind === 'name' ? 'named' : 'tag'} ${entry.text}`,
  'identifier-end': (entry) => `Tag ${entry.how}${entry.reason ? `: ${entry.reason}` : ''}`,
  move: (_, told) => `Moved to ${told.groupName ?? 'a group'}`,
  mark: (entry) =>
    `Marked ${entry.colour} on the ${entry.place}: ${entry.purpose}${entry.until ? `, to ${fullDate(entry.until)}` : ''}`,
  passage: (entry) => `${passageWords(entry.gate, entry.suggested)}${entry.why ? `, passed by: ${entry.why}` : ''}`,
  choice: (entry) =>
    `Chosen: ${DECISION_WORDS[entry.decision].toLowerCase()}${entry.reason ? ` (${entry.reason})` : ''}`,
  departure: (entry, told) => departureWords(entry, told),
  note: (entry) => entry.text,
  treatment(entry, told) {
    const withheld = entry.meatDays ? `, meat withheld ${countText(entry.meatDays, 'day', 'days')}` : '';
    return `${told.productName ?? 'A remedy'}, ${amountText(entry.amount)} ${entry.unit} ${ROUTE_WORDS[entry.route]}${entry.reason ? ` (${entry.reason})` : ''}${withheld}`;
  },
  measure: (entry) =>
    `Measured: ${BODY_MEASURES.flatMap((m) => (entry[m] === undefined ? [] : [`${MEASURE_WORDS[m].toLowerCase()} ${figureText(entry[m], 1)} cm`])).join(', ')}`,
  finish: (entry) => finishText(entry),
  carcass: (entry, told) => carcassText(entry, told),
  look: (entry, told) => lookWords(entry.grades, told.standards),
  sample: (entry) =>
    `Sample: ${PURPOSE_WORDS[entry.purpose]}, tube ${entry.tube}${entry.reason === undefined ? '' : ` (too soon: ${entry.reason})`}`,
  care: (entry) => `${CARE_WORDS[entry.kind]}${entry.method ? `: ${entry.method}` : ''}`,
  'litter-weight': (entry, told) =>
    `Litter of ${entry.count}: ${weightText(entry.totalKg, told.unit, told.species)} together`,
  score: (entry) => `Scored ${scoreText(entry.score)} by ${entry.scoredBy}`,
  mob: (entry) =>
    `To the ${MOB_WORDS[entry.mob]} mob${entry.suggested && entry.suggested !== entry.mob ? ` (suggested: ${MOB_WORDS[entry.suggested]})` : ''}`,
  check: (entry) =>
    `${CHECK_WORDS[entry.what][entry.isFound ? 'found' : 'clear']}${entry.words ? `: ${entry.words}` : ''}`,
  reservation: (entry) => `Reserved for ${entry.buyer}${entry.until ? `, to ${fullDate(entry.until)}` : ''}`,
  release: () => 'Reservation let go',
  strike: () => 'Struck out',
  ...MATING_LINES,
  ...CARRYING_LINES,
  ...BIRTH_LINES,
};

/** An entry in a line of words. */
export const entryWords = (entry: Entry, told: Told): string =>
  (LINES[entry.type] as (entry: Entry, told: Told) => string)(entry, told);

const passageWords = (gate: string | undefined, suggested: string | undefined): string =>
  gate === undefined
    ? 'Through the race'
    : `Through the race, out by ${gate}${suggested && suggested !== gate ? ` (suggested: ${suggested})` : ''}`;

/** What failed of a look-over, and the points given. */
export function lookWords(grades: Readonly<Record<string, LookGrade>>, standards: readonly Standard[]): string {
  const nameOf = (id: string): string => (standards.find((s) => s.id === id)?.name ?? id).toLowerCase();
  const failed = Object.entries(grades).flatMap(([id, grade]) => (grade === 'fail' ? [nameOf(id)] : []));
  const points = Object.entries(grades).flatMap(([id, grade]) =>
    typeof grade === 'number' ? [`${nameOf(id)} ${grade} of 5`] : [],
  );
  const verdict = failed.length > 0 ? `fails ${failed.join(', ')}` : 'nothing failed';
  return `Looked over: ${[verdict, ...points].join(', ')}`;
}
