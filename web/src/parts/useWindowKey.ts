import { useEffect } from 'react';

/** A choice goes by its first letters, open and shut. */
const FIELDS =
  'textarea, select, input:not([type=checkbox], [type=radio]), [contenteditable=true], [aria-haspopup=listbox], [data-choice] *';

/** Whether keys belong to a field just now. */
export const isTyping = (target: EventTarget | null): boolean => target instanceof Element && target.matches(FIELDS);

/** A field that always has the keyboard, and while it is empty has no use of its own for some keys. */
const isWaiting = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.dataset.waiting !== undefined && target.value === '';

/** Listens to keys wherever the focus is, outside fields. A key held with Ctrl, Alt or the system key is passed on too. */
export function useWindowKey(onKey: (event: KeyboardEvent) => void): void {
  // The keyboard is outside React.
  useEffect(() => {
    const listener = (event: KeyboardEvent): void => {
      if (!isTyping(event.target) || (event.ctrlKey && isWaiting(event.target))) onKey(event);
    };
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, [onKey]);
}

/** N begins something new in this place, unless a sheet lies over it. */
export function useNewKey(onNew: () => void): void {
  useWindowKey((event) => {
    if (event.key.toLowerCase() !== 'n' || event.ctrlKey || event.altKey || event.metaKey) return;
    if ((event.target as Partial<HTMLElement>).closest?.('[role=dialog]')) return;
    event.preventDefault();
    onNew();
  });
}
