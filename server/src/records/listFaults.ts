import type { BlankTags, FieldFault, ResourcesSetting, StandardSetting } from '@yaylak/contract';
import { areOverlapping, blanksIn, normalised } from '@yaylak/core';
import { say } from '@yaylak/contract';

/** Standards in use whose names cannot be told apart, or that share an id. */
export function standardFaults(standards: readonly StandardSetting[]): FieldFault[] {
  const seen = new Set<string>();
  return standards.flatMap(({ id, species, name, isOut }): FieldFault[] => {
    const keys = isOut ? [id] : [id, `${species} ${normalised(name)}`];
    const isTwice = keys.some((k) => seen.has(k));
    keys.forEach((k) => seen.add(k));
    return isTwice
      ? [
          {
            field: 'standards',
            message: say('“{name}” stands twice among the standards of {species}.', { name, species }),
          },
        ]
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
            message: say(
              '{first} to {last} is not a range: the text before the running number must be the same, the last not lower, and not more than 10 000 tags.',
              { first, last },
            ),
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
            message: say(
              '{first} to {last} overlaps the {colour} bag {first2} to {last2}. Give the first number that is not in it.',
              { first: bag.first, last: bag.last, colour: say(other.colour), first2: other.first, last2: other.last },
            ),
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
    .map((a) => ({
      field: 'resources.away',
      message: say('“{why}” ends on {to}, before it begins on {from}.', { why: a.why, to: a.to, from: a.from }),
    }));
  const species = resources.birthPens.map((p) => p.species);
  const twice = species.find((s, i) => species.indexOf(s) !== i);
  return twice === undefined
    ? turned
    : [...turned, { field: 'resources.birthPens', message: say('The pens of {twice} stand there twice.', { twice }) }];
}
