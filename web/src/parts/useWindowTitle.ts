import { useEffect } from 'react';
import { say } from '@yaylak/contract';

/** What the window of a page is called: in a row of tabs, in the history, and as the name of a printed file. */
export const windowTitle = (title: string): string => say('{title} · Yaylak', { title });

/** Names the window after what it shows; nothing where that has no plain words. */
export function useWindowTitle(title: string | undefined): void {
  // The window is the document's, outside React.
  useEffect(() => {
    if (title !== undefined) document.title = windowTitle(title);
  }, [title]);
}
