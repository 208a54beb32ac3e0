import { expect, type Page } from '@playwright/test';
import { BAND_KINDS } from './axe';

/** Pixels a finger needs, and a gloved one at the race. */
export const TOUCH = 44;
export const TOUCH_RACE = 64;

/** Half a pixel is the browser's rounding. */
const NEARLY = 0.5;

/**
 * Everything that can be pressed is so big, or has so much room around it that answers. Left out: blocks of the year
 * band, which have their equal elsewhere (see `BAND_KINDS`); links within a sentence (WCAG 2.5.8, "inline"); and what
 * stands in a dense row, where it fills the height of the row.
 * @param within what is looked at, as a selector
 */
export async function expectTouchable(page: Page, least = TOUCH, within = 'body'): Promise<void> {
  const small = await page.evaluate(
    ([size, root, bandKinds]) => {
      const PRESSED =
        'a[href],button,input:not([type=hidden]):not([type=file]),select,textarea,summary,[role=button],[role=checkbox],[role=radio],[role=tab],[role=option],[role=switch],[role=slider]';
      const areaOf = (element: Element): { width: number; height: number } => {
        const box = (element.closest('label') ?? element) as HTMLElement;
        const { width, height } = box.getBoundingClientRect();
        const around = getComputedStyle(box, '::after');
        const isAround = around.content !== 'none' && around.position === 'absolute';
        const beyond = (side: 'top' | 'bottom' | 'left' | 'right'): number =>
          isAround ? Math.max(0, -Number.parseFloat(around[side])) || 0 : 0;
        return { width: width + beyond('left') + beyond('right'), height: height + beyond('top') + beyond('bottom') };
      };
      const isInSentence = (element: Element): boolean => {
        const sentence = element.closest('a') && element.closest('p, small, em, caption, dd');
        return Boolean(sentence) && sentence?.textContent?.trim() !== element.textContent?.trim();
      };
      return [...document.querySelectorAll(`${root} :is(${PRESSED})`)].flatMap((element) => {
        if (!element.checkVisibility({ visibilityProperty: true, opacityProperty: true })) return [];
        if (element.closest('[inert], [aria-hidden=true], .skip')) return [];
        if (bandKinds.split('|').includes((element as HTMLElement).dataset['kind'] ?? '')) return [];
        const { width, height } = areaOf(element);
        // Not drawn: the box of a browser's own that another stands for, and what is there for a screen reader alone.
        const room = element.parentElement?.getBoundingClientRect();
        if (width <= 1 || height <= 1 || (room?.width === 1 && room.height === 1) || isInSentence(element)) return [];
        const row = element.closest('tr, li, [role=row]')?.getBoundingClientRect().height ?? Infinity;
        if (height >= Math.min(size, row) && width >= size) return [];
        const says = element.getAttribute('aria-label') ?? element.textContent ?? '';
        return [`${element.tagName} “${says.trim().slice(0, 40)}” ${Math.round(width)} x ${Math.round(height)}`];
      });
    },
    [least - NEARLY, within, BAND_KINDS] as const,
  );
  expect([...new Set(small)].slice(0, 12)).toEqual([]);
}
