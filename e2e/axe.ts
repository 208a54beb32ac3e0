import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * Blocks of the year band are lower than 24 px. Each has an equal of full size, the chips of Animals, the lanes of the
 * year plan and what Today says of selling (WCAG 2.5.8, exception "equivalent"), and arrow keys go along them.
 */
export const BAND_KINDS = 'mating|carrying|births|rearing|load|sale';
const isBandBlock = (rule: string, html: string): boolean =>
  rule === 'target-size' && new RegExp(`data-kind="(${BAND_KINDS})"`).test(html);

/** Themes differ in their colours alone, sizes in what can be touched. */
type Looked = 'everything' | 'targets' | 'colours';

/** Rows of a long table are all of a shape: the first of them are read, the hundreds after them are not. */
const ROWS_PAST = 'tbody tr:nth-child(n + 9), svg .recharts-scatter-symbol:nth-child(n + 9)';

/** The page has read axe's half a megabyte already: it stays until the page is left. */
const IN_PAGE = { axeSource: ';' };

/**
 * Nothing on the page that axe finds against WCAG 2.2 AA. Where a sheet is open it alone is looked at: the place behind
 * it is hidden from everybody, and is looked at by itself.
 */
export async function expectAccessible(page: Page, looked: Looked = 'everything'): Promise<void> {
  const isSheet = (await page.getByRole('dialog').count()) > 0;
  // One document, no frames: asked in the page itself, without a second page opened for every look. What is good
  // needs no list.
  const builder = new AxeBuilder({ page, ...((await page.evaluate(() => 'axe' in window)) ? IN_PAGE : {}) })
    .setLegacyMode()
    .include(isSheet ? '[role=dialog]' : 'body')
    .exclude(ROWS_PAST)
    .options({ resultTypes: ['violations'], preload: false });
  if (looked === 'everything') builder.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
  else builder.withRules(looked === 'colours' ? 'color-contrast' : 'target-size');
  const { violations } = await builder.analyze();
  const found = violations.flatMap((v) => {
    const nodes = v.nodes.filter((n) => !isBandBlock(v.id, n.html));
    return nodes.length === 0
      ? []
      : [
          `${v.id}: ${nodes
            .slice(0, 3)
            .map((n) => n.html.slice(0, 160))
            .join(' | ')}`,
        ];
  });
  expect(found).toEqual([]);
}
