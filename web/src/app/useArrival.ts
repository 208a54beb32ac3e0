import { useEffect, useRef, type RefObject } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';
import { windowTitle } from '../parts/useWindowTitle';

/** How long a place may take to draw its title before the focus is left where it is. */
const PATIENCE_MS = 20_000;

/**
 * What happens when a place is come to: the window is named after its title, the title takes the focus, so that Tab and a
 * screen reader begin there, and the page stands where it stood when one comes back to it, else at its top.
 *
 * @param main what scrolls, and holds the place
 */
export function useArrival(main: RefObject<HTMLElement | null>): void {
  const { key, pathname } = useLocation();
  const isBack = useNavigationType() === NavigationType.Pop;
  const tops = useRef(new Map<string, number>());
  const isFirst = useRef(true);
  // What scrolls, has the focus and names the window is the document's, outside React.
  useEffect(() => {
    const box = main.current;
    if (!box) return undefined;
    const keep = (): void => void tops.current.set(key, box.scrollTop);
    box.addEventListener('scroll', keep, { passive: true });
    return () => box.removeEventListener('scroll', keep);
  }, [main, key]);
  useEffect(() => {
    const box = main.current;
    if (!box) return undefined;
    const wanted = isBack ? (tops.current.get(key) ?? 0) : 0;
    return whileDrawn(box, () => {
      if (box.scrollTop !== wanted) box.scrollTop = wanted;
      return Math.abs(box.scrollTop - wanted) <= 1;
    });
    // A filter that is changed keeps the page where it is: only another place begins at its top.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [main, pathname, isBack]);
  useEffect(() => {
    const box = main.current;
    if (!box) return undefined;
    const isStart = isFirst.current;
    isFirst.current = false;
    return whileDrawn(box, () => {
      const title = box.querySelector('h1');
      // What is being read yet has a title that gives way to the true one.
      if (!title || box.querySelector('[aria-busy=true]')) return false;
      document.title = windowTitle(title.dataset.title ?? title.textContent);
      // Who has put the focus into the place or a sheet already knows better; a page just loaded begins at its top.
      const at = document.activeElement;
      const isTaken = at !== null && at !== document.body && (box.contains(at) || at.closest('[role=dialog]') !== null);
      if (!isStart && !isTaken) {
        title.tabIndex = -1;
        title.focus({ preventScroll: true });
      }
      return true;
    });
  }, [main, pathname]);
}

/** Tries at once and whenever more is drawn, until it has worked, somebody scrolls, or patience is over. @returns how to stop */
function whileDrawn(box: HTMLElement, hasWorked: () => boolean): () => void {
  let stop = (): void => undefined;
  if (hasWorked()) return stop;
  const look = new MutationObserver(() => {
    if (hasWorked()) stop();
  });
  const patience = setTimeout(() => stop(), PATIENCE_MS);
  stop = () => {
    look.disconnect();
    clearTimeout(patience);
    for (const by of ['wheel', 'touchmove', 'keydown']) box.removeEventListener(by, stop);
  };
  look.observe(box, { childList: true, subtree: true });
  for (const by of ['wheel', 'touchmove', 'keydown']) box.addEventListener(by, stop, { passive: true });
  return () => stop();
}
