import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { persistQueryClientRestore, persistQueryClientSubscribe } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { use, useEffect, type ReactNode } from 'react';
import { rest } from '../lazy/rest.ts';
import { takeKept } from './early.ts';
import { listenToShop } from './listen.ts';
import { acknowledge, onSentElsewhere, openOutbox, outbox, remove } from './outbox.ts';
import { addEntry } from './heldJobs.ts';
import { onForgotten, readStore } from './forget.ts';
import { isKept, keptOf } from './kept.ts';
import { rowsQuery } from './rows.ts';
import type { Delivery } from './send.ts';
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
      getItem: async (key: string) => takeKept() ?? (await get<string>(key, readStore)) ?? null,
      setItem: (key: string, value: string) => set(key, value, readStore),
      removeItem: (key: string) => del(key, readStore),
    },
  }),
  maxAge: 7 * DAY_MS,
  buster: '3',
  dehydrateOptions: { shouldDehydrateQuery: isKept(client), serializeData: keptOf },
};

/** Whether anybody was here before: such a device draws what it holds and asks right after; a new one has nothing to draw yet. */
const wasHere = standing.get() !== null;

const within = (work: Promise<unknown>) =>
  Promise.race([work.catch(() => undefined), new Promise<void>((resolve) => setTimeout(resolve, RESTORE_MS))]);

let isReady = false;
let ready = Promise.resolve();

/**
 * What the first screen shows is at hand before it is drawn, where that takes no time: on a slow phone an empty bench
 * drawn before the full one costs half a second. Whoever is not signed in is told so, and nothing comes of what was asked.
 */
export function askEarly(): void {
  const work = wasHere ? persistQueryClientRestore(keeping) : askAll();
  ready = within(work).then(() => {
    isReady = true;
  });
}

async function askAll(): Promise<void> {
  const rows = globalThis.location?.pathname === '/' ? client.prefetchInfiniteQuery(rowsQuery({ state: 'open' })) : undefined;
  const shop = client.prefetchQuery(shopQuery());
  await askStanding();
  // Who must sign in first does not wait for answers to what was asked before.
  await (standing.get()?.state === 'signedIn' ? Promise.all([shop, rows]) : client.cancelQueries());
}

/**
 * What was read last is kept on the device for a week, so that the bench opens without a connection too.
 * What was kept may lack the last second before a reload, so it is shown at once and asked for again.
 */
export function DataProvider({ children }: { children: ReactNode }) {
  // Awaited only where it is not there: what was waited for is drawn in slices, and takes longer.
  if (!isReady) use(ready);
  useSending();
  useEffect(() => listenToShop(client), []);
  useEffect(() => onForgotten(client), []);
  useEffect(() => {
    const stop = persistQueryClientSubscribe(keeping);
    if (wasHere) void client.invalidateQueries();
    return stop;
  }, []);
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

/** Sends whatever waits: at once, when the connection comes back, and every few seconds while something is left. */
function useSending() {
  useEffect(() => {
    const onSent = async ({ item, seq }: Delivery) => {
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
