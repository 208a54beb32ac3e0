import type { KeyboardEvent } from 'react';

interface WalkedRow {
  readonly 'data-row': true;
  readonly tabIndex: 0 | -1;
  readonly onFocus: () => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLTableRowElement>) => void;
}

/**
 * Rows of a long list, of which the one at hand takes Tab, with what stands in it; the arrows walk to the others. What
 * stands in a row is given the row's `tabIndex`.
 * @returns what a table's row is given, by its id
 */
export const rowWalk =
  (at: string | undefined, onAt: (id: string) => void) =>
  (id: string): WalkedRow => ({
    'data-row': true,
    tabIndex: id === at ? 0 : -1,
    onFocus: () => onAt(id),
    onKeyDown: (event) => {
      if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
      event.preventDefault();
      const row = event.currentTarget;
      const rows = [...(row.parentElement?.querySelectorAll<HTMLElement>('tr[data-row]') ?? [])];
      rows[rows.indexOf(row) + (event.key === 'ArrowDown' ? 1 : -1)]?.focus();
    },
  });
