import { createContext, use, useSyncExternalStore } from 'react';
import type { Outbox, OutboxState } from './outbox';

export const OutboxContext = createContext<Outbox | undefined>(undefined);

/** The outbox of this device. */
export function useOutbox(): Outbox {
  const outbox = use(OutboxContext);
  if (!outbox) throw new Error('useOutbox wants an <OutboxContext value={...}> above it');
  return outbox;
}

/** What waits, and what needs a look. */
export function useOutboxState(): OutboxState {
  const outbox = useOutbox();
  return useSyncExternalStore(outbox.subscribe, outbox.state);
}
