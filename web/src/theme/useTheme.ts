import { useSyncExternalStore } from 'react';

export type Theme = 'light' | 'barn';
const KEY = 'yaylak-theme';
const listeners = new Set<() => void>();

const read = (): Theme => (localStorage.getItem(KEY) === 'barn' ? 'barn' : 'light');

/** Puts the chosen theme on the document; called once before the first render and at each change. */
export function applyTheme(): void {
  document.documentElement.dataset.theme = read();
}

/** The theme of this device, and how to change it. */
export function useTheme(): [Theme, (theme: Theme) => void] {
  const theme = useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);
  return [
    theme,
    (next) => {
      localStorage.setItem(KEY, next);
      applyTheme();
      listeners.forEach((l) => l());
    },
  ];
}
