import { expect, type Browser, type Page } from '@playwright/test';
import { quietOf, type Quiet } from './quiet';

export const LAPTOP = { width: 1280, height: 800 };
/** What can be touched is looked at on the laptop too, with everything else. */
export const SMALLER = [
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
];

/** One window that goes from place to place, as people do: the application is loaded once. */
export class Walker {
  private constructor(
    readonly page: Page,
    private readonly url: string,
    private readonly quiet: Quiet,
  ) {}

  /** @param locale of the browser, which the application speaks */
  static async of(browser: Browser, url: string, locale = 'en-GB'): Promise<Walker> {
    const page = await browser.newPage({ locale });
    return new Walker(page, url, quietOf(page));
  }

  /** Opens a place on a laptop, in the light theme, and waits until all of it is there. */
  async open(path: string): Promise<void> {
    const { page } = this;
    await page.setViewportSize(LAPTOP);
    if (page.url().startsWith(this.url))
      await page.evaluate((to) => {
        delete document.documentElement.dataset['theme'];
        history.pushState(null, '', to);
        dispatchEvent(new PopStateEvent('popstate'));
      }, path);
    else await page.goto(`${this.url}${path}`);
    await this.wait();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }

  wait(): Promise<void> {
    return this.quiet.wait();
  }

  async inTheBarn(): Promise<void> {
    await this.page.evaluate(() => {
      document.documentElement.dataset['theme'] = 'barn';
    });
  }
}

/** Nothing of the page, or of the sheet that is open on it, has to be scrolled sideways. */
export async function expectNothingBeside(page: Page): Promise<void> {
  const beside = await page.evaluate(() => {
    const around = (sheet: Element): Element[] => {
      const parents: Element[] = [];
      for (let e: Element | null = sheet; e; e = e.parentElement) parents.push(e);
      return parents.filter((e) => /auto|scroll/.test(getComputedStyle(e).overflowX));
    };
    const scrolled = [...document.querySelectorAll('[role=dialog]')].flatMap(around);
    return [
      document.documentElement.scrollWidth - window.innerWidth,
      ...scrolled.map((e) => e.scrollWidth - e.clientWidth),
    ];
  });
  expect(Math.max(...beside)).toBeLessThanOrEqual(0);
}
