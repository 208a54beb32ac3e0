import type { Entry } from '@yaylak/contract';
import { spacedDigits, type LookGrade, type Species, type Standard, type WeightUnit } from '@yaylak/core';
import { amountText, countText, fullDate, weightText } from './format';
import { CHECK_WORDS, MOB_WORDS, scoreText } from './condition';
import { birthWords, departureWords } from './births';
import { carryingWords } from './carrying';
import { matingWords } from './mating';
import { DECISION_WORDS } from './reasons';
import { CARE_WORDS, PURPOSE_WORDS, ROUTE_WORDS } from './stations';

interface Told {
  readonly species: Species | undefined;
  readonly unit: WeightUnit;
  readonly standards: readonly Standard[];
  readonly groupName?: string | undefined;
  readonly productName?: string | undefined;
  /** How a male is called. */
  readonly nameOf?: ((animalId: string) => string | undefined) | undefined;
}

/** An entry in a line of words. */
export function entryWords(entry: Entry, { species, unit, standards, groupName, productName, nameOf }: Told): string {
  switch (entry.type) {
    case 'arrival':
      return entry.how === 'born' ? 'Born here' : entry.how === 'bought' ? 'Bought' : 'Found and taken in';
    case 'weight':
      return `${weightText(entry.kg, unit, species)}, ${entry.method}`;
    case 'identifier':
      return entry.kind === 'electronic'
        ? `Electronic ${spacedDigits(entry.text)} fitted`
        : `${entry.colour ? `${entry.colour} ` : ''}${entry.kind === 'name' ? 'named' : 'tag'} ${entry.text}`;
    case 'identifier-end':
      return `Tag ${entry.how}${entry.reason ? `: ${entry.reason}` : ''}`;
    case 'move':
      return `Moved to ${groupName ?? 'a group'}`;
    case 'mark':
      return `Marked ${entry.colour} on the ${entry.place}: ${entry.purpose}${entry.until ? `, to ${fullDate(entry.until)}` : ''}`;
    case 'passage':
      return passageWords(entry.gate, entry.suggested);
    case 'choice':
      return `Chosen: ${DECISION_WORDS[entry.decision].toLowerCase()}${entry.reason ? ` (${entry.reason})` : ''}`;
    case 'departure':
      return departureWords(entry);
    case 'note':
      return entry.text;
    case 'treatment': {
      const withheld = entry.meatDays ? `, meat withheld ${countText(entry.meatDays, 'day', 'days')}` : '';
      return `${productName ?? 'A remedy'}, ${amountText(entry.amount)} ${entry.unit} ${ROUTE_WORDS[entry.route]}${entry.reason ? ` (${entry.reason})` : ''}${withheld}`;
    }
    case 'look':
      return lookWords(entry.grades, standards);
    case 'sample':
      return `Sample: ${PURPOSE_WORDS[entry.purpose]}, tube ${entry.tube}${entry.reason === undefined ? '' : ` (too soon: ${entry.reason})`}`;
    case 'care':
      return `${CARE_WORDS[entry.kind]}${entry.method ? `: ${entry.method}` : ''}`;
    case 'litter-weight':
      return `Litter of ${entry.count}: ${weightText(entry.totalKg, unit, species)} together`;
    case 'score':
      return `Scored ${scoreText(entry.score)} by ${entry.scoredBy}`;
    case 'mob':
      return `To the ${MOB_WORDS[entry.mob]} mob${entry.suggested && entry.suggested !== entry.mob ? ` (suggested: ${MOB_WORDS[entry.suggested]})` : ''}`;
    case 'check':
      return `${CHECK_WORDS[entry.what][entry.isFound ? 'found' : 'clear']}${entry.words ? `: ${entry.words}` : ''}`;
    case 'heat':
    case 'service':
    case 'stay':
    case 'stay-end':
    case 'harness':
    case 'male-check':
    case 'gene-test':
      return matingWords(entry, { groupName, nameOf });
    case 'pregnancy-test':
    case 'loss':
    case 'way-on':
    case 'carrying-step':
      return carryingWords(entry, species);
    case 'birth':
    case 'afterbirth':
    case 'colostrum':
    case 'fostering':
    case 'weaning':
    case 'feed':
    case 'pen-stage':
      return birthWords(entry, { species, unit, nameOf });
    case 'strike':
      return 'Struck out';
  }
}

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
