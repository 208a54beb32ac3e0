import { lazy, Suspense } from 'react';
import { useWindowKey } from '../../parts/useWindowKey';

/** Fetched when it is opened for the first time; what is typed meanwhile is heard here, and stands in its field then. */
const FinderSheet = lazy(async () => ({ default: (await import('./FinderSheet')).FinderSheet }));

interface Props {
  /** What is looked for; undefined while nothing is. */
  readonly typed: string | undefined;
  readonly onType: (change: (before: string | undefined) => string | undefined) => void;
}

/** Opens on digits typed outside a field, on `/`, or by its button; finds by any part of anything ever worn, and more. */
export function TagFinder({ typed, onType }: Props) {
  // A digit anywhere is the beginning of a tag, but where a place has keys of its own.
  useWindowKey((event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || !/^[0-9/]$/.test(event.key)) return;
    if ((event.target as Partial<HTMLElement>).closest?.('[role=dialog], [data-own-keys]')) return;
    event.preventDefault();
    // Digits typed faster than the sheet opens belong to the same number.
    onType((before = '') => before + (event.key === '/' ? '' : event.key));
  });
  const close = (): void => onType(() => undefined);
  return (
    <Suspense fallback={null}>
      {typed === undefined ? null : <FinderSheet typed={typed} onType={(next) => onType(() => next)} onClose={close} />}
    </Suspense>
  );
}
