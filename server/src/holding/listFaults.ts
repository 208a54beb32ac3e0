import type { BlankTags, FieldFault, StandardSetting } from '@yaylak/contract';
import { blanksIn, normalised } from '@yaylak/core';

/** Standards whose names cannot be told apart, or that share an id. */
export function standardFaults(standards: readonly StandardSetting[]): FieldFault[] {
  const seen = new Set<string>();
  return standards.flatMap(({ id, species, name }): FieldFault[] => {
    const keys = [id, `${species} ${normalised(name)}`];
    const isTwice = keys.some((k) => seen.has(k));
    keys.forEach((k) => seen.add(k));
    return isTwice
      ? [{ field: 'standards', message: `“${name}” stands twice among the standards of ${species}.` }]
      : [];
  });
}

/** Ranges of blank tags that are none. */
export const blankFaults = (blanks: readonly BlankTags[]): FieldFault[] =>
  blanks.flatMap(({ first, last }): FieldFault[] =>
    blanksIn(first, last) === undefined
      ? [
          {
            field: 'blankTags',
            message: `${first} to ${last} is no range: the text before the running number must be the same, the last not lower, and not more than 10 000 tags.`,
          },
        ]
      : [],
  );
