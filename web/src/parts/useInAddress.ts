import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What of a page's address is another; nothing, or an empty text, takes a name out. */
type Change = Readonly<Record<string, string | undefined>>;

/**
 * What a page shows, kept in its address: sent to somebody, opened anew or gone back to it shows the same.
 * @returns the names in the address, and a function that changes some of them; the history gets no step for it
 */
export function useAddress(): readonly [URLSearchParams, (change: Change) => void] {
  const [params, setParams] = useSearchParams();
  const put = useCallback(
    (change: Change): void =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [name, value] of Object.entries(change)) {
            if (value === undefined || value === '') next.delete(name);
            else next.set(name, value);
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return [params, put];
}

/** One of these; see `useAddress`. */
export function useInAddress(name: string): readonly [string | undefined, (value: string | undefined) => void] {
  const [params, put] = useAddress();
  const set = useCallback((value: string | undefined): void => put({ [name]: value }), [name, put]);
  return [params.get(name) ?? undefined, set];
}
