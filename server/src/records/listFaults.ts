import type { BlankTags, FieldFault, ResourcesSetting, StandardSetting } from '@yaylak/contract';
import { areOverlapping, blanksIn, normalised } from '@yaylak/core';

/** Standards in use whose names cannot be told apart, or that share an id. */
export function standardFaults(standards: readonly StandardSetting[]): FieldFault[] {
  const seen = new Set<string>();
  return standards.flatMap(({ id, species, name, isOut }): FieldFault[] => {
    const keys = isOut ? [id] : [id, `${species} ${normalised(name)}`];
    const isTwice = keys.some((k) => seen.has(k));
    keys.forEach((k) => seen.add(k));
    return isTwice
      ? [{ field: 'standards', message: `“${name}” stands twice among the standards of ${species}.` }]
      : [];
  });
}

/** Ranges of blank tags that are none, and bags of one colour that hold the same tags. */
export function blankFaults(blanks: readonly BlankTags[]): FieldFault[] {
  const none = blanks.flatMap(({ first, last }): FieldFault[] =>
    blanksIn(first, last) === undefined
      ? [
          {
            field: 'blankTags',
            message: `${first} to ${last} is not a range: the text before the running number must be the same, the last not lower, and not more than 10 000 tags.`,
          },
        ]
      : [],
  );
  const twice = blanks.flatMap((bag, i): FieldFault[] => {
    const other = blanks
      .slice(0, i)
      .find((b) => b.colour === bag.colour && areOverlapping([b.first, b.last], [bag.first, bag.last]));
    return other
      ? [
          {
            field: 'blankTags',
            message: `${bag.first} to ${bag.last} overlaps the ${other.colour} bag ${other.first} to ${other.last}. Give the first number that is not in it.`,
          },
        ]
      : [];
  });
  return [...none, ...twice];
}

/** Days away that end before they begin, and a species whose pens are given twice. */
export function resourceFaults(resources: ResourcesSetting | undefined): FieldFault[] {
  if (!resources) return [];
  const turned = [...resources.away, ...(resources.hot ?? [])]
    .filter((a) => a.to < a.from)
    .map((a) => ({ field: 'resources.away', message: `“${a.why}” ends on ${a.to}, before it begins on ${a.from}.` }));
  const species = resources.birthPens.map((p) => p.species);
  const twice = species.find((s, i) => species.indexOf(s) !== i);
  return twice === undefined
    ? turned
    : [...turned, { field: 'resources.birthPens', message: `The pens of ${twice} stand there twice.` }];
}
