import { isFailedGrade, nextGrade, standardsFor, type LookGrade, type Standard } from '@yaylak/core';
import type { Draft } from '../draft';
import type { AtHand, Problem, StationRules } from './atHand';
import { say } from '@yaylak/contract';

/** The standards asked of the animal at hand. */
export const standardsAt = (at: AtHand): Standard[] => standardsFor(at.standards, at);

/** What was found of a standard; nothing of one that nobody looked at. */
export const gradeOf = (draft: Draft, { id }: Standard): LookGrade | undefined => draft.grades[id];

/** Whether every go-or-no-go standard was looked at. */
export const isLookedOver = (draft: Draft, at: AtHand): boolean =>
  standardsAt(at).every((s) => s.kind !== 'go' || gradeOf(draft, s) !== undefined);

/** Standards failed today, or failed before and not looked at today. */
export function failedStandards(draft: Draft, at: AtHand): Standard[] {
  return standardsAt(at).filter((s) => {
    const grade = gradeOf(draft, s) ?? at.animal?.grades?.[s.id];
    return grade !== undefined && isFailedGrade(s, grade);
  });
}

/** Their names. */
export const failedAt = (draft: Draft, at: AtHand): string[] => failedStandards(draft, at).map((s) => say(s.name));

/** Those that a choice written since did not know of: it has overruled the others, with its reason. */
export function failedSinceChosen(draft: Draft, at: AtHand): string[] {
  const over = new Set(at.animal?.chosenOver);
  return failedStandards(draft, at).flatMap((s) =>
    over.has(s.id) && gradeOf(draft, s) === undefined ? [] : [say(s.name)],
  );
}

/** Says that all that nobody pressed were looked at and pass. */
export const OTHERS_PASS = 'others-pass';

export function pressed(draft: Draft, at: AtHand, key: string): Draft['grades'] {
  if (key === OTHERS_PASS) {
    const others = standardsAt(at).filter((s) => s.kind === 'go' && gradeOf(draft, s) === undefined);
    return { ...draft.grades, ...Object.fromEntries(others.map((s) => [s.id, 'pass'] as const)) };
  }
  const standard = standardsAt(at).find((s) => s.id === key);
  if (!standard) return draft.grades;
  const { [key]: before, ...others } = draft.grades;
  const grade = nextGrade(standard.kind, before);
  return grade === undefined ? others : { ...others, [key]: grade };
}

export const look: StationRules = {
  problems(draft, at): Problem[] {
    return standardsAt(at).some((s) => gradeOf(draft, s) !== undefined) || standardsAt(at).length === 0
      ? []
      : [
          {
            kind: 'ask',
            key: 'look',
            message: say(
              'Not looked over yet. “All others pass” says that you looked and it is sound; Enter again records that it was not looked at.',
            ),
          },
        ];
  },
  facts(draft, at) {
    const grades = standardsAt(at).flatMap((s): [string, LookGrade][] => {
      const grade = gradeOf(draft, s);
      return grade === undefined ? [] : [[s.id, grade]];
    });
    return grades.length === 0 ? [] : [{ type: 'look', grades: Object.fromEntries(grades) }];
  },
  toggles(at) {
    const all = standardsAt(at).map((s) => ({ key: s.id, words: say(s.name) }));
    return all.length === 0 ? [] : [...all, { key: OTHERS_PASS, words: say('All others pass'), always: 'a' }];
  },
};
