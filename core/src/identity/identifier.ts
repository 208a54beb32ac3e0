export const IDENTIFIER_KINDS = ['visual', 'electronic', 'tattoo', 'name'] as const;
export type IdentifierKind = (typeof IDENTIFIER_KINDS)[number];

export const TAG_COLOURS = ['yellow', 'blue', 'orange', 'green', 'pink', 'white', 'red'] as const;
export type TagColour = (typeof TAG_COLOURS)[number];

export const TAG_SHAPES = ['flag', 'button', 'loop', 'band'] as const;
export type TagShape = (typeof TAG_SHAPES)[number];

export const EARS = ['left', 'right'] as const;
export type Ear = (typeof EARS)[number];

/** What an identifier says without the way it was written: case, spaces and separators do not matter. */
export const normalised = (text: string): string =>
  // Most numbers are plain letters and digits, where the alphabet's own rules cost tenfold and change nothing.
  (PLAIN.test(text) ? text.toLowerCase() : text.toLocaleLowerCase('tr').replace(/ı/g, 'i')).replace(SEPARATORS, '');

const PLAIN = /^[\x20-\x7e]*$/;
const SEPARATORS = /[\s\-_./]/g;
