const RUNS = /^([\s\u200b-\u200f\u2060\ufeff]*[=+\-@＝＋－＠]|[\t\r\n])/;

/**
 * A cell that a spreadsheet would run as a formula gets a quote before it (OWASP, CSV injection): text whose
 * first sign is = + - @ or one of their full-width forms, blanks, line ends and invisible signs before it not counted,
 * or that begins with a tab or a line end. Plain numbers, negative ones too, stay as they are.
 */
export const neutralCell = (text: string): string =>
  RUNS.test(text) && !/^[+-]?\d+([.,]\d+)?$/.test(text) ? `'${text}` : text;

/** Takes the quote off again, so that a file of ours reads back as what was written. */
export const plainCell = (text: string): string =>
  text.startsWith("'") && RUNS.test(text.slice(1)) ? text.slice(1) : text;
