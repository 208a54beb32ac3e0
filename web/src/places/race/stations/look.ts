import { nextGrade, standardsFor, type LookGrade, type Standard } from '@yaylak/core';
import type { Draft } from '../draft';
import type { AtHand, StationRules } from './atHand';

/** The standards asked of the animal at hand. */
export const standardsAt = (at: AtHand): Standard[] => standardsFor(at.standards, at);

/** What was found of a standard: a go-or-no-go one nobody pressed is passed. */
export const gradeOf = (draft: Draft, { id, kind }: Standard): LookGrade | undefined =>
  draft.grades[id] ?? (kind === 'go' ? 'pass' : undefined);

export const failedAt = (draft: Draft, at: AtHand): Standard[] =>
  standardsAt(at).filter((s) => gradeOf(draft, s) === 'fail');

export const pressed = (draft: Draft, { id, kind }: Standard): Draft['grades'] => ({
  ...draft.grades,
  [id]: nextGrade(kind, draft.grades[id]),
});

export const look: StationRules = {
  facts(draft, at) {
    const grades = standardsAt(at).flatMap((s): [string, LookGrade][] => {
      const grade = gradeOf(draft, s);
      return grade === undefined ? [] : [[s.id, grade]];
    });
    return grades.length === 0 ? [] : [{ type: 'look', grades: Object.fromEntries(grades) }];
  },
  toggles: (at) => standardsAt(at).map((s) => ({ key: s.id, words: s.name })),
};
