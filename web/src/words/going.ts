import type { CullEventView, CullHitView } from '@yaylak/contract';
import type { CullFact, CullWeight } from '@yaylak/core';
import { countText, figureText, shortDate, fullDate } from './format';

/** A rule by the name a keeper calls it. */
export const CULL_FACT_WORDS: Readonly<Record<CullFact, string>> = {
  empty: 'Empty at the season’s end',
  age: 'Age',
  mouth: 'Bad mouth',
  udder: 'Bad udder',
  feet: 'Bad feet or legs, in a year',
  prolapse: 'Prolapse',
  mothering: 'Bad mother',
  'hard-birth': 'Hard birth',
  'no-response': 'No response to feed',
  'litters-falling': 'Litters getting smaller',
  'rears-few': 'Rears fewer than the others',
  'weight-alarm': 'Under her usual weight',
  temper: 'Dangerous',
  conception: 'Females not holding to him',
  'male-check': 'Failed his check',
  treated: 'Treated for one thing, in a year',
  affected: 'Affected by a gene',
};

export const CULL_WEIGHT_WORDS: Readonly<Record<CullWeight, string>> = {
  now: 'go now',
  'season-end': 'at season’s end',
  watch: 'watch',
};

const days = (evidence: readonly CullEventView[]): string => evidence.map((e) => shortDate(e.on)).join(', ');
const whats = (evidence: readonly CullEventView[]): string =>
  [...new Set(evidence.flatMap((e) => e.what ?? []))].join(', ').toLowerCase();
const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

/** What a rule found, in a line: `Bad feet or legs twice in a year: 12 Feb, 3 Oct`. */
export function hitText({ fact, evidence }: Pick<CullHitView, 'fact' | 'evidence'>, herd: number | null): string {
  const last = evidence.at(-1);
  const figure = last?.figure ?? 0;
  const n = evidence.length;
  switch (fact) {
    case 'empty':
      return `Empty ${times(n)}: last service ${days(evidence.slice(-3))}`;
    case 'age':
      return `${figureText(figure, figure % 1 === 0 ? 0 : 1)} years old on ${last ? fullDate(last.on) : ''}`;
    case 'mouth':
    case 'udder':
      return `${CULL_FACT_WORDS[fact]}, ${last ? fullDate(last.on) : ''}`;
    case 'feet':
      return `Bad feet or legs ${times(n)} in a year: ${days(evidence)}`;
    case 'prolapse':
    case 'mothering':
    case 'hard-birth':
      return `${CULL_FACT_WORDS[fact]} ${n === 1 ? '' : `${times(n)} `}(${evidence.map((e) => fullDate(e.on)).join(', ')})`;
    case 'no-response':
      return `Fed up for ${countText(figure, 'day', 'days')} to ${last ? shortDate(last.on) : ''} and no better`;
    case 'litters-falling':
      return `Litters getting smaller, by ${figureText(Math.abs(figure), 2)} a litter`;
    case 'rears-few':
      return `Rears ${figureText(figure, 1)} a year, the others ${figureText(herd ?? 0, 1)}`;
    case 'weight-alarm':
      return `Under her usual weight for two months, since ${last ? shortDate(last.on) : ''}`;
    case 'temper':
      return `Dangerous to people, ${evidence.map((e) => fullDate(e.on)).join(', ')}`;
    case 'conception':
      return `Only ${Math.round(100 * figure)} % of the females he served in a year held`;
    case 'male-check':
      return `Failed his check on ${last ? fullDate(last.on) : ''}: ${whats(evidence)}`;
    case 'treated':
      return `Treated ${times(n)} in a year for ${whats(evidence)}: ${days(evidence)}`;
    case 'affected':
      return `Affected: ${[...new Set(evidence.flatMap((e) => e.what ?? []))].join(', ')}`;
  }
}

/** What would clear it, and the chances. */
export function clearsText({ clears, chancesUsed, chances }: CullHitView): string {
  const used = chances > 0 ? `chances used: ${chancesUsed} of ${chances}; ` : '';
  switch (clears.kind) {
    case 'never':
      return `${used}nothing clears it`;
    case 'good-record':
      return `${used}a good record clears it`;
    case 'on':
      return `${used}clears on ${fullDate(clears.on)}`;
  }
}
