import {
  dayOf,
  fatGroupOf,
  FAT_PLACES,
  feltFat,
  inBoxToday,
  NO_HABITS,
  readFat,
  readingSd,
  readShape,
  thoughtClasses,
  type BoxToday,
  type FatPlace,
  type Habits,
} from '@yaylak/core';
import { outletOf, say } from '@yaylak/contract';
import { FAT_PLACE_WORDS } from '../../../words/selling';
import type { Draft, FieldName } from '../draft';
import type { AtHand, Problem, StationRules } from './atHand';
import { trueKg } from './weigh';

/** Shape by eye, then fat from the tail forward. */
export const FINISH_FIELDS = ['shape', ...FAT_PLACES] as const satisfies readonly FieldName[];

const textOf = (draft: Draft, field: FieldName): string => (draft.fields[field] ?? '').trim();

/** Shape and fat as they were typed; what cannot be read is left out. */
export function typedFinish(draft: Draft): { shape?: number; fat: Partial<Record<FatPlace, number>> } {
  const shape = readShape(textOf(draft, 'shape'));
  const fat = Object.fromEntries(
    FAT_PLACES.flatMap((p) => {
      const step = readFat(textOf(draft, p));
      return step === undefined ? [] : [[p, step]];
    }),
  );
  return { ...(shape === undefined ? {} : { shape }), fat };
}

export interface AtOutletToday {
  readonly id: string;
  readonly name: string;
  /** Undefined where the outlet wants a class and none was felt, or is not of the age it takes. */
  readonly box: BoxToday | undefined;
}

/** What each outlet of the species says of the animal at hand; nothing before it was weighed. */
export function outletsToday(draft: Draft, at: AtHand): AtOutletToday[] {
  const kg = trueKg(draft, at) ?? at.animal?.weights.findLast(([on]) => on === at.job.on)?.[1];
  if (kg === undefined) return [];
  const { shape, fat } = typedFinish(draft);
  const felt = feltFat(fat);
  const fatGroup = fatGroupOf({ strain: at.animal?.strain }, at.settings);
  const on = dayOf(at.job.on);
  const seen = {
    shape: shape === undefined ? undefined : { step: shape },
    felt: felt === undefined ? [] : [{ on, fat: felt }],
  };
  const habitsOf = (id: string): Habits =>
    at.roster.habits.find((h) => h.outletId === id && h.group === fatGroup) ?? NO_HABITS;
  return at.roster.outlets
    .filter((o) => o.facts.species === at.species)
    .map((o) => ({
      id: o.id,
      name: o.facts.name,
      box: inBoxToday(
        outletOf(o),
        {
          weight: { mean: kg, sd: readingSd(kg, at.settings) },
          killingOut: at.roster.killingOut[o.facts.species],
          classes: thoughtClasses(seen, on, fatGroup, habitsOf(o.id)),
        },
        at.ageDays,
      ),
    }));
}

const nameOf = (field: (typeof FINISH_FIELDS)[number]): string =>
  field === 'shape' ? say('Shape') : say('Fat, {fat},', { fat: FAT_PLACE_WORDS[field] });

export const finish: StationRules = {
  problems(draft): Problem[] {
    const wrong = FINISH_FIELDS.find((f) => {
      const text = textOf(draft, f);
      return text !== '' && (f === 'shape' ? readShape(text) : readFat(text)) === undefined;
    });
    if (wrong)
      return [
        {
          kind: 'refuse',
          field: wrong,
          message: say('{name} “{text}” is not a class. Type {value}, with + or − where you can tell.', {
            name: nameOf(wrong),
            text: textOf(draft, wrong),
            value: wrong === 'shape' ? say('P, O, R, U or E') : say('1 to 5'),
          }),
        },
      ];
    return FINISH_FIELDS.some((f) => textOf(draft, f) !== '')
      ? []
      : [{ kind: 'ask', key: 'no-finish', message: say('Not felt. Enter again goes on without.') }];
  },
  facts(draft) {
    const { shape, fat } = typedFinish(draft);
    const isFelt = Object.keys(fat).length > 0;
    if (shape === undefined && !isFelt) return [];
    return [{ type: 'finish', ...(shape === undefined ? {} : { shape }), ...(isFelt ? { fat } : {}) }];
  },
};
