import type { CullEventView, CullHitView } from '@yaylak/contract';
import type { CullFact, CullWeight } from '@yaylak/core';
import { shortDate, fullDate } from './dates';
import { figureText } from './format';
import { say, lower } from '@yaylak/contract';

/** A rule by the name a keeper calls it. */
export const CULL_FACT_WORDS: Readonly<Record<CullFact, string>> = {
  empty: say('Empty at the season’s end'),
  age: say('Age'),
  mouth: say('Bad mouth'),
  udder: say('Bad udder'),
  feet: say('Bad feet or legs, in a year'),
  prolapse: say('Prolapse'),
  mothering: say('Bad mother'),
  'hard-birth': say('Hard birth'),
  'no-response': say('No response to feed'),
  'litters-falling': say('Litters getting smaller'),
  'rears-few': say('Rears fewer than the others'),
  'weight-alarm': say('Under her usual weight'),
  temper: say('Dangerous'),
  conception: say('Females not holding to him'),
  'male-check': say('Failed his check'),
  treated: say('Treated for one thing, in a year'),
  affected: say('Affected by a gene'),
};

export const CULL_WEIGHT_WORDS: Readonly<Record<CullWeight, string>> = {
  now: say('go now'),
  'season-end': say('at season’s end'),
  watch: say('watch'),
};

const days = (evidence: readonly CullEventView[]): string => evidence.map((e) => shortDate(e.on)).join(', ');
const whats = (evidence: readonly CullEventView[]): string =>
  lower([...new Set(evidence.flatMap((e) => e.what ?? []))].join(', '));
const times = (n: number): string => (n === 1 ? say('once') : n === 2 ? say('twice') : say('{n} times', { n }));

/** What a rule found, in a line: `Bad feet or legs twice in a year: 12 Feb, 3 Oct`. */
export function hitText({ fact, evidence }: Pick<CullHitView, 'fact' | 'evidence'>, herd: number | null): string {
  const last = evidence.at(-1);
  const figure = last?.figure ?? 0;
  const n = evidence.length;
  switch (fact) {
    case 'empty':
      return say('Empty {times}: last service {days}', { times: times(n), days: days(evidence.slice(-3)) });
    case 'age':
      return say('{figure} years old on {value}', {
        figure: figureText(figure, figure % 1 === 0 ? 0 : 1),
        value: last ? fullDate(last.on) : '',
      });
    case 'mouth':
    case 'udder':
      return `${CULL_FACT_WORDS[fact]}, ${last ? fullDate(last.on) : ''}`;
    case 'feet':
      return say('Bad feet or legs {times} in a year: {days}', { times: times(n), days: days(evidence) });
    case 'prolapse':
    case 'mothering':
    case 'hard-birth':
      return `${CULL_FACT_WORDS[fact]} ${n === 1 ? '' : `${times(n)} `}(${evidence.map((e) => fullDate(e.on)).join(', ')})`;
    case 'no-response':
      return say('Fed extra for {figure} {figure, plural, one {day} other {days}} to {value} and no better', {
        figure,
        value: last ? shortDate(last.on) : '',
      });
    case 'litters-falling':
      return say('Litters getting smaller, by {figure} a litter', { figure: figureText(Math.abs(figure), 2) });
    case 'rears-few':
      return say('Rears {figure} a year, the others {figure2}', {
        figure: figureText(figure, 1),
        figure2: figureText(herd ?? 0, 1),
      });
    case 'weight-alarm':
      return say('Under her usual weight for two months, since {value}', { value: last ? shortDate(last.on) : '' });
    case 'temper':
      return say('Dangerous to people, {list}', { list: evidence.map((e) => fullDate(e.on)).join(', ') });
    case 'conception':
      return say('Only {n} % of the females he served in a year held', { n: Math.round(100 * figure) });
    case 'male-check':
      return say('Failed his check on {value}: {whats}', {
        value: last ? fullDate(last.on) : '',
        whats: whats(evidence),
      });
    case 'treated':
      return say('Treated {times} in a year for {whats}: {days}', {
        times: times(n),
        whats: whats(evidence),
        days: days(evidence),
      });
    case 'affected':
      return say('Affected: {list}', { list: [...new Set(evidence.flatMap((e) => e.what ?? []))].join(', ') });
  }
}

/** What would clear it, and the chances. */
export function clearsText({ clears, chancesUsed, chances }: CullHitView): string {
  const used = chances > 0 ? `${say('chances used: {chancesUsed} of {chances};', { chancesUsed, chances })} ` : '';
  switch (clears.kind) {
    case 'never':
      return say('{used}nothing clears it', { used });
    case 'good-record':
      return say('{used}a good record clears it', { used });
    case 'on':
      return say('{used}clears on {date}', { used, date: fullDate(clears.on) });
  }
}
