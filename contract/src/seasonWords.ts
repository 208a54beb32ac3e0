import type { ConditionStage, PlanStep, QuarterOfYear, Species } from '@yaylak/core';
import type { PlanFacts } from './season';
import type { DueWho, DueWork } from './today';
import { say } from './say/say';
import { SPECIES_WORDS } from './speciesWords';
import { capital, uncapital } from './say/letters';

/** `Spring 2026`; a winter has two years: `Winter 2026–27`. */
export const quarterText = ({ year, quarter }: QuarterOfYear): string =>
  quarter === 'winter'
    ? say('Winter {n}–{part}', { n: year - 1, part: String(year).slice(2) })
    : `${capital(quarter)} ${year}`;

/** A step of a plan as people name it: "Rams in", "Score before lambing". */
export function stepName(
  step: Pick<PlanStep, 'key' | 'kind' | 'stage' | 'dose'>,
  { species, doses }: Pick<PlanFacts, 'species' | 'doses'>,
): string {
  const { birth, grown, isTakenToMale, toldBy, young } = SPECIES_WORDS[species];
  switch (step.kind) {
    case 'male-check':
      return say('Check the {value}', { value: grown.male[1] });
    case 'weaned':
      return say('Last {value} off the {value2}', { value: young.unknown[1], value2: grown.female[1] });
    case 'scoring':
      return say('Score {stage}', { stage: stageWords(step.stage ?? 'mating', species) });
    case 'flushing':
      return say('Feed the {value} up', { value: grown.female[1] });
    case 'minerals':
      return step.key === 'minerals' ? say('Minerals before mating') : say('Minerals before {birth}', { birth });
    case 'mating':
      return isTakenToMale
        ? say('{word} to the {value}', { word: capital(grown.female[1]), value: grown.male[0] })
        : say('{word} in', { word: capital(grown.male[1]) });
    case 'test':
      return say('Blood test');
    case 'count':
      return toldBy === 'palpation' ? say('Feel for young') : say('Scan and count');
    case 'dose':
      return doses?.[step.dose ?? 0]?.name ?? say('Vaccinate');
    case 'nest':
      return say('Nest boxes in');
    case 'births':
      return capital(birth);
    case 'processing':
      return say('First handling of the {value}', { value: young.unknown[1] });
    case 'weaning':
      return say('Weaning');
    case 'sale':
      return say('Sale');
  }
}

/** When in the year a scoring is. */
export function stageWords(stage: ConditionStage, species: Species): string {
  if (stage === 'birth') return say('before {birth}', { birth: SPECIES_WORDS[species].birth });
  return { weaning: say('at weaning'), mating: say('before mating'), carrying: say('in mid-pregnancy') }[stage];
}

const takesOn = (verb: string): boolean => / (to|of)$/.test(verb);

/** To whom work is done: "31 ewes". */
export const whoText = (who: DueWho): string =>
  'called' in who
    ? who.called
    : `${who.count} ${who.words[who.count === 1 ? 0 : 1]}${who.of === undefined ? '' : ` ${say('of {of}', { of: who.of })}`}`;

/** Work in a line: "Weigh, score and give White drench to 31 ewes". */
export function workTitle({ does, who }: Pick<DueWork, 'does' | 'who'>): string {
  // What takes a "to" or an "of" comes last, so that the sentence runs on into whom.
  const inOrder = [...does].sort((a, b) => Number(takesOn(a)) - Number(takesOn(b)));
  const words = inOrder.map((verb, i) => {
    const plain = i < inOrder.length - 1 ? verb.replace(/ (to|of)$/, '') : verb;
    return i === 0 ? plain : uncapital(plain);
  });
  const last = words.pop() ?? '';
  const all = words.length === 0 ? last : say('{list} and {last}', { list: words.join(', '), last });
  return who === null ? all : say('{work} {who}', { work: all, who: whoText(who) });
}
