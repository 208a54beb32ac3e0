import { careCaution, type CareCaution, type CareKind } from '@yaylak/core';
import type { CareChoice } from '@yaylak/contract';
import { CARE_WORDS } from '../../../words/stations';
import type { AtHand, Problem, StationRules } from './atHand';

export const careKey = (kind: CareKind): string => `care ${kind}`;

/** Works of the job that fit the animal at hand: nobody castrates a female, or docks a goat. */
export const careFor = (at: AtHand): CareChoice[] =>
  (at.job.settings.care?.kinds ?? []).filter(({ kind }) => {
    const caution = careCaution(kind, at);
    return caution?.kind !== 'wrong-sex' && caution?.kind !== 'not-usual';
  });

const overAge = (caution: CareCaution | undefined) => (caution?.kind === 'over-age' ? caution : undefined);

export const mark: StationRules = {
  facts: (draft, at) =>
    at.job.settings.mark && !draft.leftOut.includes('mark') ? [{ type: 'mark', ...at.job.settings.mark }] : [],
  toggles: () => [{ key: 'mark', words: 'Spray' }],
};

export const move: StationRules = {
  facts: (draft, at) =>
    at.job.settings.move && !draft.leftOut.includes('move')
      ? [{ type: 'move', groupId: at.job.settings.move.groupId }]
      : [],
  toggles: () => [{ key: 'move', words: 'Goes over' }],
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
      const caution = overAge(careCaution(kind, at));
      if (!caution || draft.leftOut.includes(careKey(kind))) return [];
      return [
        {
          kind: 'ask',
          key: careKey(kind),
          message: `${CARE_WORDS[kind]} at ${caution.ageDays} days: over ${caution.limitDays} days it is in many places only for a vet, with pain relief. Your local rules decide. Enter again writes it down.`,
        },
      ];
    }),
  facts: (draft, at) =>
    careFor(at).flatMap(({ kind, method }) =>
      draft.leftOut.includes(careKey(kind)) ? [] : [{ type: 'care', kind, ...(method ? { method } : {}) } as const],
    ),
  toggles: (at) => careFor(at).map(({ kind }) => ({ key: careKey(kind), words: CARE_WORDS[kind] })),
};
