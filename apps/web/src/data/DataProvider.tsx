import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { persistQueryClientRestore, persistQueryClientSubscribe } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { use, useEffect, type ReactNode } from 'react';
import { rest } from '../lazy/rest.ts';
import { listenToShop } from './listen.ts';
import { acknowledge, onSentElsewhere, openOutbox, outbox, remove } from './outbox.ts';
import { addEntry } from './heldJobs.ts';
import { onForgotten, readStore } from './forget.ts';
import { isKept, keptOf } from './kept.ts';
import { rowsQuery } from './rows.ts';
import type { Sent } from './send.ts';
import { shopQuery } from './shop.ts';
import { standing } from './signedOut.ts';
import { askStanding } from './standing.ts';

const DAY_MS = 86_400_000;
const RETRY_MS = 3000;
/** A disk that does not answer must not keep anybody from the bench. */
const RESTORE_MS = 1500;

const client = new QueryClient({
  defaultOptions: { queries: { gcTime: 7 * DAY_MS, staleTime: 5000, retry: 1, networkMode: 'always' } },
});
const keeping = {
  queryClient: client,
  persister: createAsyncStoragePersister({
    key: 'kept',
    throttleTime: 200,
    storage: {
      getItem: async (key: string) => (await get<string>(key, readStore)) ?? null,
      setItem: (key: string, value: string) => set(key, value, readStore),
      removeItem: (key: string) => del(key, readStore),
    },
  }),
  maxAge: 7 * DAY_MS,
  buster: '3',
  dehydrateOptions: { shouldDehydrateQuery: isKept(client), serializeData: keptOf },
};

/**
 * Asked for while the rest of the app is still being read in, and awaited by the first drawing: on a slow
 * phone an empty bench drawn before the full one costs a third of a second.
 */
const restored = Promise.race([
  persistQueryClientRestore(keeping).catch(() => undefined),
  new Promise<void>((resolve) => setTimeout(resolve, RESTORE_MS)),
]);

/**
 * What the first screen shows is asked for before it is drawn: on a slow line each question that waits for the drawing
 * before it costs a round trip. Whoever is not signed in is told so, and nothing comes of it.
 */
export function askEarly(): void {
  // A device that was here before draws what it holds, and asks right after.
  if (standing.get() !== null) return;
  void askStanding();
  void client.prefetchQuery(shopQuery());
  if (globalThis.location?.pathname === '/') void client.prefetchInfiniteQuery(rowsQuery({ state: 'open' }));
}

/**
 * What was read last is kept on the device for a week, so that the bench opens without a connection too.
 * What was kept may lack the last second before a reload, so it is shown at once and asked for again.
 */
export function DataProvider({ children }: { children: ReactNode }) {
  use(restored);
  useSending();
  useEffect(() => listenToShop(client), []);
  useEffect(() => onForgotten(client), []);
  useEffect(() => {
    const stop = persistQueryClientSubscribe(keeping);
    void client.invalidateQueries();
    return stop;
  }, []);
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

/** Sends whatever waits: at once, when the connection comes back, and every few seconds while something is left. */
function useSending() {
  useEffect(() => {
    const onSent = async ({ item, seq }: Sent) => {
      if (item.kind === 'entry') {
        // First into what is held, then out of the outbox: the entry is never missing from the screen.
        const entry = { ...item.entry, ...(seq !== undefined && { seq }) };
        addEntry(client, entry);
        return acknowledge({ ...item, entry });
      }
      await client.invalidateQueries({ queryKey: [item.kind === 'shelf' ? 'shelf' : 'machines'] });
      await remove(item);
    };
    const send = () => {
      // What sends comes with the rest of the app, and only when there is something to send.
      if (outbox.get().some(({ refused, sent }) => refused === undefined && !sent)) {
        rest()
          .then(({ sendWaiting }) => sendWaiting(onSent))
          .catch((error: unknown) => console.warn('what waits could not be sent', error));
      }
    };
    const stop = outbox.subscribe(send);
    const stopTaking = onSentElsewhere((entry) => addEntry(client, entry));
    const timer = setInterval(send, RETRY_MS);
    window.addEventListener('online', send);
    void openOutbox().then(send);
    return () => {
      stop();
      stopTaking();
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, []);
}
