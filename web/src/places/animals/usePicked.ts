import { useCallback } from 'react';
import { useInAddress } from '../../parts/useInAddress';
import { useKeptState } from '../../parts/useKeptState';

/** An address holds so many ids; more are there again when one comes back to the page, but are not sent with it. */
const MOST_IN_ADDRESS = 40;
/** The name in the address. */
export const PICKED = 'picked';

/** Who is picked in the list, and a function that picks others: at once here, and in the address while they are few. */
export function usePicked(): readonly [ReadonlySet<string>, (picked: ReadonlySet<string>) => void] {
  const [inAddress = '', put] = useInAddress(PICKED);
  // Undefined until somebody is picked here: until then those of the address are.
  const [kept, keep] = useKeptState<ReadonlySet<string> | undefined>('picked', undefined);
  const pick = useCallback(
    (picked: ReadonlySet<string>): void => {
      keep(picked);
      put(picked.size <= MOST_IN_ADDRESS ? [...picked].join('.') : undefined);
    },
    [keep, put],
  );
  return [kept ?? new Set(inAddress.split('.').filter(Boolean)), pick];
}
