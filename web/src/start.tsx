import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import { spokenLanguage } from '@yaylak/contract';
import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { onlineManager, QueryClient } from '@tanstack/react-query';
import { READ_HERE } from './api/forget';
import { readAgain } from './api/readAgain';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { registerSW } from 'virtual:pwa-register';
import { App } from './app/App';
import { KEPT_OFFLINE } from './app/keptOffline';
import { createOutbox } from './outbox/outbox';
import { indexedDbStore } from './outbox/store';
import { OutboxContext } from './outbox/useOutbox';
import { UndoProvider } from './parts/Undo';
import { GlobalStyle } from './theme/GlobalStyle';
import { applyTheme } from './theme/useTheme';

applyTheme();
registerSW({ immediate: true });
onlineManager.setOnline(navigator.onLine);

/** A fortnight without a server. Longer than 24 days overflows the browser's timers, and all would be thrown away at once. */
const KEPT_MS = 14 * 86_400_000;
/** A pause between two animals that is longer than most. */
const QUIET_MS = 2_000;
/** Writing the roster of thousands away takes a moment; not after every small thing. */
const PERSIST_MS = 5_000;
const client = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 10_000, gcTime: KEPT_MS, retry: 1, networkMode: 'always', refetchOnWindowFocus: true },
  },
});
const persister = createAsyncStoragePersister({
  storage: { getItem: (k) => get<string>(k), setItem: (k, v: string) => set(k, v), removeItem: (k) => del(k) },
  key: READ_HERE,
  throttleTime: PERSIST_MS,
});
const outbox = createOutbox(indexedDbStore());
// The race works from its roster and its own log: re-reading anything after each animal would be work on the hot path.
// What else is shown is read again when no animal has come for a moment.
let reading: ReturnType<typeof setTimeout> | undefined;
outbox.onKept(() => {
  clearTimeout(reading);
  reading = setTimeout(
    () => void readAgain(client, { predicate: (q) => q.queryKey[0] !== 'roster' && q.queryKey[0] !== 'job' }),
    QUIET_MS,
  );
});
// What waits for the server is not to be cleared away when the disk is full. Asked once; a browser may say no.
void navigator.storage?.persist?.().catch(() => undefined);
window.addEventListener('online', () => void outbox.flush());

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <GlobalStyle />
    <PersistQueryClientProvider
      client={client}
      persistOptions={{
        persister,
        maxAge: KEPT_MS,
        // What the server said is of the language it was asked in.
        buster: `8-${spokenLanguage()}`,
        dehydrateOptions: {
          shouldDehydrateQuery: (q) => q.state.data !== undefined && KEPT_OFFLINE.has(String(q.queryKey[0])),
        },
      }}
      // However young what was kept is: whether the server is there is known only by asking.
      onSuccess={() => void client.invalidateQueries({ refetchType: 'none' })}
    >
      <OutboxContext value={outbox}>
        <UndoProvider>
          <App />
        </UndoProvider>
      </OutboxContext>
    </PersistQueryClientProvider>
  </StrictMode>,
);
