import { createStore, del, delMany, entries, setMany } from 'idb-keyval';
import type { Entry, StartJob } from '@yaylak/contract';

/** What is to be sent: an entry, the start of a job or its end. */
export type Outgoing =
  | { readonly kind: 'entry'; readonly entry: Entry }
  | { readonly kind: 'job'; readonly job: StartJob }
  | { readonly kind: 'finish'; readonly jobId: string; readonly finishedAt: string };

export interface OutboxItem {
  /** UUID v7: keys in rising order are in order of writing. */
  readonly key: string;
  readonly out: Outgoing;
  /** `kept` ones stay while their job is open: they are the job's log on this device. */
  readonly state: 'waiting' | 'kept' | 'refused';
  readonly message?: string;
}

/** Where the items lie. Tests use their own. */
export interface OutboxStore {
  load(): Promise<OutboxItem[]>;
  save(items: readonly OutboxItem[]): Promise<void>;
  remove(keys: readonly string[]): Promise<void>;
}

/** Items in IndexedDB: they outlive a reload, a crash and a flat battery. */
export function indexedDbStore(name = 'yaylak-outbox'): OutboxStore {
  const store = createStore(name, 'items');
  return {
    load: async () => (await entries<string, OutboxItem>(store)).map(([, item]) => item),
    save: (items) =>
      setMany(
        items.map((item) => [item.key, item]),
        store,
      ),
    remove: (keys) => (keys.length === 1 ? del(keys[0] as string, store) : delMany([...keys], store)),
  };
}
