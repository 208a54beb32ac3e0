import { createStore, del, delMany, entries, setMany } from 'idb-keyval';
import type { DiscardJob, Entry, JobFacts, StartJob } from '@yaylak/contract';

/** What is to be sent: an entry, a picture, or what was done with a job. */
export type Outgoing =
  | { readonly kind: 'entry'; readonly entry: Entry }
  /** Goes before the photo that speaks of it; a JPEG in base64. */
  | { readonly kind: 'picture'; readonly id: string; readonly picture: string }
  | { readonly kind: 'job'; readonly job: StartJob }
  | { readonly kind: 'change'; readonly jobId: string; readonly facts: JobFacts }
  | { readonly kind: 'finish'; readonly jobId: string; readonly finishedAt: string }
  | { readonly kind: 'resume'; readonly jobId: string }
  | { readonly kind: 'discard'; readonly jobId: string; readonly discard: DiscardJob };

/** What was done with a job as such. */
export type OfJob = Exclude<Outgoing, { kind: 'entry' | 'picture' }>;

export interface OutboxItem {
  /** UUID v7: keys in rising order are in order of writing. */
  readonly key: string;
  readonly out: Outgoing;
  /** `kept` ones stay while their job is open: they are the job's log on this device. */
  readonly state: 'waiting' | 'kept' | 'refused';
  readonly message?: string;
  /** When the server said that it has it, in ms: what was read before that does not know of it. */
  readonly keptAt?: number;
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
