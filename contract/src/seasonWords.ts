import { SPECIES_WORDS, type ConditionStage, type PlanStep, type quarterOf, type Species } from '@yaylak/core';
import type { PlanFacts } from './season';
import type { DueWho, DueWork } from './today';

/** `Spring 2026`; a winter has two years: `Winter 2026–27`. */
export const quarterText = ({ year, quarter }: ReturnType<typeof quarterOf>): string =>
  quarter === 'winter' ? `Winter ${year - 1}–${String(year).slice(2)}` : `${capital(quarter)} ${year}`;

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** A step of a plan as people name it: "Rams in", "Score before lambing". */
export function stepName(
  step: Pick<PlanStep, 'key' | 'kind' | 'stage' | 'dose'>,
  { species, doses }: Pick<PlanFacts, 'species' | 'doses'>,
): string {
  const { birth, grown, isTakenToMale, toldBy, young } = SPECIES_WORDS[species];
  switch (step.kind) {
    case 'male-check':
      return `Check the ${grown.male[1]}`;
    case 'weaned':
      return `Last ${young.unknown[1]} off the ${grown.female[1]}`;
    case 'scoring':
      return `Score ${stageWords(step.stage ?? 'mating', species)}`;
    case 'flushing':
      return `Feed the ${grown.female[1]} up`;
    case 'minerals':
      return step.key === 'minerals' ? 'Minerals before mating' : `Minerals before ${birth}`;
    case 'mating':
      return isTakenToMale ? `${capital(grown.female[1])} to the ${grown.male[0]}` : `${capital(grown.male[1])} in`;
    case 'test':
      return 'Blood test';
    case 'count':
      return toldBy === 'palpation' ? 'Feel for young' : 'Scan and count';
    case 'dose':
      return doses?.[step.dose ?? 0]?.name ?? 'Vaccinate';
    case 'nest':
      return 'Nest boxes in';
    case 'births':
      return capital(birth);
    case 'processing':
      return `First handling of the ${young.unknown[1]}`;
    case 'weaning':
      return 'Weaning';
    case 'sale':
      return 'Sale';
  }
}

/** When in the year a scoring is. */
export function stageWords(stage: ConditionStage, species: Species): string {
  if (stage === 'birth') return `before ${SPECIES_WORDS[species].birth}`;
  return { weaning: 'at weaning', mating: 'before mating', carrying: 'in mid-pregnancy' }[stage];
}

const takesOn = (verb: string): boolean => / (to|of)$/.test(verb);

/** To whom work is done: "31 ewes". */
export const whoText = (who: DueWho): string =>
  'called' in who
    ? who.called
    : `${who.count} ${who.words[who.count === 1 ? 0 : 1]}${who.of === undefined ? '' : ` of ${who.of}`}`;

/** Work in a line: "Weigh, score and give White drench to 31 ewes". */
export function workTitle({ does, who }: Pick<DueWork, 'does' | 'who'>): string {
  // What takes a "to" or an "of" comes last, so that the sentence runs on into whom.
  const inOrder = [...does].sort((a, b) => Number(takesOn(a)) - Number(takesOn(b)));
  const words = inOrder.map((verb, i) => {
    const plain = i < inOrder.length - 1 ? verb.replace(/ (to|of)$/, '') : verb;
    return i === 0 ? plain : plain.charAt(0).toLowerCase() + plain.slice(1);
  });
  const last = words.pop() ?? '';
  const all = words.length === 0 ? last : `${words.join(', ')} and ${last}`;
  return who === null ? all : `${all} ${whoText(who)}`;
}
