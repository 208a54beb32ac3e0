import { createContext, useContext, useEffect } from 'react';
import type { FieldErrors } from 'react-hook-form';

/** Names of the fields of a form that say themselves what is wrong with them. */
export const ShownFields = createContext<Set<string> | undefined>(undefined);

/** Tells the form around it that this field shows what is wrong with it. */
export function useShown(name: string): void {
  const shown = useContext(ShownFields);
  useEffect(() => {
    shown?.add(name);
    return () => void shown?.delete(name);
  }, [shown, name]);
}

/** What is wrong with a form that none of its fields shows: without a word its button would do nothing. */
export function unseenOf(errors: FieldErrors, shown: ReadonlySet<string>, path = ''): string[] {
  return Object.entries(errors).flatMap(([key, error]): string[] => {
    const name = path === '' ? key : `${path}.${key}`;
    if (!error || name === 'root' || key === 'ref') return [];
    if (typeof error.message === 'string') return shown.has(name) ? [] : [error.message];
    return typeof error === 'object' ? unseenOf(error as FieldErrors, shown, name) : [];
  });
}
