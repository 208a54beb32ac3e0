import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';

/** What was chosen or read in a page, by the step of the history it was shown at. */
const kept = new Map<string, unknown>();

/** Begins as after a reload. */
export const forgetKept = (): void => kept.clear();

/** A place of the history to keep something at, and what was kept there if one comes back to it. */
function useKept<T>(name: string): { readonly at: string; readonly before: T | undefined } {
  const { key } = useLocation();
  const isBack = useNavigationType() === NavigationType.Pop;
  const at = `${key} ${name}`;
  return { at, before: isBack ? (kept.get(at) as T | undefined) : undefined };
}

/** State that is there again when one comes back to the page. @param name its name within the page */
export function useKeptState<T>(name: string, initial: T): [T, Dispatch<SetStateAction<T>>] {
  const { at, before } = useKept<T>(name);
  const [value, setValue] = useState<T>(before ?? initial);
  // The history is outside React; a filter that is changed makes a new step of it with the same choice.
  useEffect(() => void kept.set(at, value), [at, value]);
  return [value, setValue];
}

/** Where a list within a page stood that one comes back to, else its top, in pixels; and how it is kept. */
export function useKeptOffset(): { readonly offset: number; readonly keep: (offset: number) => void } {
  const { at, before } = useKept<number>('offset');
  return { offset: before ?? 0, keep: (offset) => void kept.set(at, offset) };
}
