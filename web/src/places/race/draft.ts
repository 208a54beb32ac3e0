import type { RosterAnimal } from '@yaylak/contract';
import { dayOf, readingBefore, type Match, type SpeciesSettings, type WeightUnit } from '@yaylak/core';
import { weightText } from '../../words/format';
import { answerTag, answerWeight, rosterReadings, type RaceNumber } from './answers';
import type { Passage } from './raceLog';

/** Stands for the animal of a number nobody wears. */
export const STRANGER = 'unknown';

/** What is being typed at the race. `asked` is what a second Enter would confirm. */
export interface Draft {
  readonly number: string;
  readonly marked: number | undefined;
  readonly animalId: string | undefined;
  readonly weight: string;
  readonly gate: string | undefined;
  readonly message: string | undefined;
  readonly asked: 'unknown' | 'doubt' | undefined;
}

export const FRESH: Draft = {
  number: '',
  marked: undefined,
  animalId: undefined,
  weight: '',
  gate: undefined,
  message: undefined,
  asked: undefined,
};

/** The draft after something was typed or chosen: what was said before no longer holds. */
export const typed = (draft: Draft, change: Partial<Draft>): Draft => ({
  ...draft,
  message: undefined,
  asked: undefined,
  ...change,
});

const refused = (draft: Draft, message: string, asked?: Draft['asked']): Draft => ({ ...draft, message, asked });

/** What one Enter led to; a refused one is heard as well as read. */
export type Entered =
  | { readonly kind: 'draft'; readonly draft: Draft; readonly isRefused: boolean }
  | { readonly kind: 'write'; readonly kg: number };

const goOn = (draft: Draft): Entered => ({ kind: 'draft', draft, isRefused: false });
const refuse = (draft: Draft, message: string, asked?: Draft['asked']): Entered => ({
  kind: 'draft',
  draft: refused(draft, message, asked),
  isRefused: true,
});

export interface Through {
  readonly passages: readonly Passage[];
  readonly listedIds: ReadonlySet<string>;
  readonly unit: WeightUnit;
}

/** The draft with its animal known: seen before or not on the list, it says so. */
export function chooseAnimal(draft: Draft, animalId: string, { passages, listedIds, unit }: Through): Draft {
  const again = passages.findLast((p) => p.animalId === animalId);
  if (again) {
    const at = again.kg === undefined ? '' : ` at ${weightText(again.kg, unit)}`;
    return refused({ ...draft, animalId }, `Seen before${at}. Enter writes a second weight.`);
  }
  if (!listedIds.has(animalId)) return refused({ ...draft, animalId }, 'Not on the list. It is taken in all the same.');
  return typed(draft, { animalId });
}

/** Enter on a number. */
export function enterNumber(draft: Draft, matches: readonly Match<RaceNumber>[], through: Through): Entered {
  const answer = answerTag(matches, draft.number, draft.marked);
  switch (answer.kind) {
    case 'animal':
      return goOn(chooseAnimal(draft, answer.animalId, through));
    case 'several':
      return refuse(
        draft,
        `${answer.animalIds.length} animals fit “${draft.number}”. Type more, or choose with the arrow keys.`,
      );
    case 'unknown':
      return draft.asked === 'unknown'
        ? goOn({ ...FRESH, number: answer.number, animalId: STRANGER })
        : refuse(
            draft,
            `No animal here wears “${answer.number}”. Enter again takes it in and asks later who it is.`,
            'unknown',
          );
    case 'nothing-typed':
      return goOn(draft);
  }
}

export interface Weighed {
  /** Undefined for a stranger. */
  readonly animal: RosterAnimal | undefined;
  readonly species: RosterAnimal['species'];
  readonly settings: SpeciesSettings;
  readonly unit: WeightUnit;
  readonly on: string;
  readonly isSorting: boolean;
}

/** Enter on a weight: refused, doubted once, waiting for its gate, or to be written. */
export function enterWeight(draft: Draft, { animal, species, settings, unit, on, isSorting }: Weighed): Entered {
  const before = animal && readingBefore(rosterReadings(animal), dayOf(on));
  const answer = answerWeight({ typed: draft.weight, unit, species, before, on, settings });
  if (answer.kind === 'refused') return refuse(draft, answer.message);
  if (answer.kind === 'doubt' && draft.asked !== 'doubt') {
    const { fromKg, days } = answer.doubt;
    return refuse(
      draft,
      `Check the reading: ${weightText(answer.kg, unit)} after ${weightText(fromKg, unit)} ${days} days ago. Enter again keeps it, marked.`,
      'doubt',
    );
  }
  if (isSorting && draft.gate === undefined) return refuse(draft, 'Choose a gate: ← ↓ →, then Enter.');
  return { kind: 'write', kg: answer.kg };
}
