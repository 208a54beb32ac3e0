import { careCaution, careLimitDays, PAINFUL_CARE, type CareCaution, type CareKind, type Species } from '@yaylak/core';
import type { CareChoice } from '@yaylak/contract';
import { CARE_WORDS } from '../../../words/stations';
import type { Draft } from '../draft';

import type { AtHand, Problem, StationRules } from './atHand';
import { say } from '@yaylak/contract';

export const careKey = (kind: CareKind): string => `care ${kind}`;

/** Works of the job that fit the animal at hand: nobody castrates a female, or docks a goat. */
export const careFor = (at: AtHand): CareChoice[] =>
  (at.job.settings.care?.kinds ?? []).filter(({ kind }) => {
    const caution = careCaution(kind, at);
    return caution?.kind !== 'wrong-sex' && caution?.kind !== 'not-usual';
  });

const overAge = (caution: CareCaution | undefined) => (caution?.kind === 'over-age' ? caution : undefined);

/** Whether a work of the job is done to the animal at hand: what hurts only where it was pressed for this one. */
export const isDone = (draft: Draft, kind: CareKind): boolean =>
  PAINFUL_CARE.includes(kind) ? draft.pressed.includes(careKey(kind)) : !draft.leftOut.includes(careKey(kind));

/** What is said when a work that hurts is pressed, or left. */
export function pressedText({ kind, method }: CareChoice, { species, ageDays }: AtHand, isOn: boolean): string {
  const what = `${CARE_WORDS[kind]}${method ? ` (${say(method)})` : ''}`;
  if (!isOn) return say('{what}: not done to this one.', { what });
  const age =
    ageDays === undefined
      ? say('age not known')
      : say('{ageDays} {ageDays, plural, one {day} other {days}} old', { ageDays });
  return `${what}: ${age}. ${limitText(kind, species)}`;
}

/** `Over 7 days old it is a vet’s work, with pain relief, in many places. Your local law decides.` */
const limitText = (kind: CareKind, species: Species): string =>
  say(
    'Over {n} {n, plural, one {day} other {days}} old it is a vet’s work in many places, with pain relief. Your local law decides.',
    { n: careLimitDays(kind, species) ?? 0 },
  );

export const mark: StationRules = {
  facts: (draft, at) =>
    at.job.settings.mark && !draft.leftOut.includes('mark') ? [{ type: 'mark', ...at.job.settings.mark }] : [],
  toggles: () => [{ key: 'mark', words: say('Spray') }],
};

export const move: StationRules = {
  facts: (draft, at) =>
    at.job.settings.move && !draft.leftOut.includes('move')
      ? [{ type: 'move', groupId: at.job.settings.move.groupId }]
      : [],
  toggles: () => [{ key: 'move', words: say('Goes over') }],
};

export const note: StationRules = {
  facts(draft) {
    const text = (draft.fields.note ?? '').trim();
    return text === '' ? [] : [{ type: 'note', text }];
  },
};

export const care: StationRules = {
  problems: (draft, at) =>
    careFor(at).flatMap(({ kind }): Problem[] => {
      if (!isDone(draft, kind)) return [];
      const caution = overAge(careCaution(kind, at));
      const isAgeUnknown = PAINFUL_CARE.includes(kind) && at.ageDays === undefined;
      if (!caution && !isAgeUnknown) return [];
      const age = caution
        ? say('at {ageDays} {ageDays, plural, one {day} other {days}}', { ageDays: caution.ageDays })
        : say('at an age that is not known');
      return [
        {
          kind: 'ask',
          key: careKey(kind),
          message: say('{care} {age}: {limit} Enter again to record it.', {
            care: CARE_WORDS[kind],
            age,
            limit: limitText(kind, at.species),
          }),
        },
      ];
    }),
  facts: (draft, at) =>
    careFor(at).flatMap(({ kind, method }) =>
      isDone(draft, kind) ? [{ type: 'care', kind, ...(method ? { method } : {}) } as const] : [],
    ),
  toggles: (at) => careFor(at).map(({ kind }) => ({ key: careKey(kind), words: CARE_WORDS[kind] })),
};
