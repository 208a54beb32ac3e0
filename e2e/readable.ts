import { expect, type Page } from '@playwright/test';

/** What nobody should read: a date as the book keeps it, a slot nothing was put into, a program's own words. */
const RAW: readonly (readonly [what: string, pattern: RegExp])[] = [
  ['a date as the book keeps it', /(?<![\w-])\d{4}-\d{2}-\d{2}(?![\w-])/],
  // Of how a number is made the slots are shown as they are typed: `{YY}-{NNNN}`.
  ['an empty slot', /\{[a-z]\w*\}|<\/?\d+\/?>/],
  ['words of a program', /\$property|\[object|\bundefined\b|\bNaN\b|\bmust be (a|an|one|longer|shorter)\b/],
];

/** What the page says is all in words. */
export async function expectReadable(page: Page): Promise<void> {
  const text = await page.evaluate(() => document.body.innerText);
  const found = RAW.flatMap(([what, pattern]) => {
    const at = pattern.exec(text);
    return at ? [`${what}: ${text.slice(Math.max(0, at.index - 40), at.index + 40)}`] : [];
  });
  expect(found).toEqual([]);
}
