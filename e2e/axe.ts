import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * Blocks of the year band are lower than 24 px. Each has an equal of full size, the chips of Animals (WCAG 2.5.8,
 * exception "equivalent"), and arrow keys go along them.
 */
const isBandBlock = (rule: string, html: string): boolean =>
  rule === 'target-size' && /data-kind="(births|rearing)"/.test(html);

/** Nothing on the page that axe finds against WCAG 2.2 AA. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
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
