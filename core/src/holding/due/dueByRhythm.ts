import type { AnimalFacts } from '../../book';
import type { Day } from '../../calendar';
import { nextScoring } from '../../condition';
import type { WeighingDue } from '../../growth';
import { isByLitter } from '../../rearing';
import type { Species, SpeciesSettings } from '../../species';
import { dueRows, type DueRow } from './dueRow';

/** A round of a plan and one of the rhythm closer than this are one. */
const SAME_ROUND_DAYS = 45;

/** What the rhythms of the holding ask of. */
export interface RhythmContext {
  readonly today: Day;
  readonly settings: (species: Species) => SpeciesSettings;
  /** As `weighingsOf` tells. */
  readonly weighings: (facts: AnimalFacts) => readonly WeighingDue[];
  /** Days a plan of hers has a round of scoring from. */
  readonly plannedScorings: (facts: AnimalFacts) => readonly Day[];
}

/** Weighings by the holding's schedule. One of a litter that wears nothing yet is weighed with its litter. */
export function dueWeighings(present: readonly AnimalFacts[], { today, settings, weighings }: RhythmContext): DueRow[] {
  const due = present.flatMap((facts) => {
    if (facts.identifiers.length === 0 && isByLitter(settings(facts.record.species))) return [];
    return weighings(facts).map(({ step, window }) => ({ facts, what: step, window }));
  });
  return dueRows(due, today, (step) => ({ key: 'weigh', task: { kind: 'weigh', step }, joins: 'measures' }));
}

/** Scorings of females by the usual rhythm, of those no plan has a round for. */
export function dueScorings(
  present: readonly AnimalFacts[],
  { today, settings, plannedScorings }: RhythmContext,
): DueRow[] {
  const due = present.flatMap((facts) => {
    const { bornOn, species, sex } = facts.record;
    if (sex !== 'female') return [];
    const window = nextScoring(bornOn, facts.scores.at(-1)?.on, settings(species).scoring, today, facts.arrivedOn);
    if (!window) return [];
    const isPlanned = plannedScorings(facts).some(
      (on) => Math.abs(on - Math.max(today, window.bestFrom)) <= SAME_ROUND_DAYS,
    );
    return isPlanned ? [] : [{ facts, what: 'score', window }];
  });
  return dueRows(due, today, () => ({ key: 'score', task: { kind: 'score' }, joins: 'measures' }));
}
