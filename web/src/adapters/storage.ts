import { createStore, del, set } from 'idb-keyval';

/** What this device can keep while there is no server. */
export type Storage =
  | { readonly kind: 'good' }
  /** Nothing can be written: a private window, storage shut by a setting, a broken profile. */
  | { readonly kind: 'unavailable' }
  | { readonly kind: 'short'; readonly leftMb: number };

/** A whole season at the race and the roster of thousands take less. */
const ENOUGH_BYTES = 30_000_000;
const BYTES_A_MB = 1_000_000;

/** Tries to write, and asks how much room there is. */
export async function lookAtStorage(): Promise<Storage> {
  try {
    const store = createStore('yaylak-probe', 'probe');
    await set('probe', 1, store);
    await del('probe', store);
  } catch {
    return { kind: 'unavailable' };
  }
  const { quota, usage = 0 } = (await navigator.storage?.estimate?.().catch(() => undefined)) ?? {};
  if (quota === undefined || quota - usage >= ENOUGH_BYTES) return { kind: 'good' };
  return { kind: 'short', leftMb: Math.max(0, Math.floor((quota - usage) / BYTES_A_MB)) };
}

/** Whether the browser has promised not to clear what is kept here by itself; unknown where it does not say. */
export const isStorageSafe = async (): Promise<boolean | undefined> =>
  navigator.storage?.persisted?.().catch(() => undefined);
