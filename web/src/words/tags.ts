import type { MarkInField } from '@yaylak/contract';
import type { NumberDoubt, TagColour } from '@yaylak/core';

interface Said {
  /** The number to be fitted, and its colour. */
  readonly text: string;
  readonly colour?: TagColour | undefined;
  /** How the other animal is called. */
  readonly name: string;
}

/** What is asked before a number is fitted that another wears in another colour, or wore. */
export function tagDoubtText(doubt: NumberDoubt, { text, colour, name }: Said): string {
  switch (doubt.kind) {
    case 'other-colour':
      return doubt.colour === null
        ? `${text} is already on another that is here, in a colour that is not recorded. Can the two be told apart?`
        : `${doubt.colour} ${text} is already on another that is here${colour === undefined ? ', and this tag has no colour yet' : `; this one would be ${colour}`}. Can the two be told apart?`;
    case 'lost-by':
      return `${text} is the number ${name === text ? 'another' : name} lost. Read the tag again: it may be the very one that was found.`;
    case 'worn-by-gone':
      return `${text} was worn by one that is gone. Records of the two are easily mixed up.`;
  }
}

/** A spray mark in the field: `red on the rump: second string`. */
export const markText = ({ colour, place, purpose }: Pick<MarkInField, 'colour' | 'place' | 'purpose'>): string =>
  `${colour} on the ${place}${purpose === '' ? '' : `: ${purpose}`}`;

/** How many wear a mark. */
export const wearingMark = ({ groups }: Pick<MarkInField, 'groups'>): number =>
  groups.reduce((sum, { count }) => sum + count, 0);

/** A mark as the address of the list of those who wear it names it. */
export const markKey = ({ colour, place, purpose }: Pick<MarkInField, 'colour' | 'place' | 'purpose'>): string =>
  `${colour}|${place}|${purpose}`;
