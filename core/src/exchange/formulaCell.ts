/**
 * A cell that a spreadsheet would run as a formula gets a quote before it (OWASP, CSV injection): text beginning with
 * = + - @, tab or carriage return. Plain numbers, negative ones too, stay as they are.
 */
export const neutralCell = (text: string): string =>
  /^[=+\-@\t\r]/.test(text) && !/^[+-]?\d+([.,]\d+)?$/.test(text) ? `'${text}` : text;

/** Takes the quote off again, so that a file of ours reads back as what was written. */
export const plainCell = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);
