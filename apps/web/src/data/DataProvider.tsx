import { entry } from '@patient-badger/core';
import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { createStore, del, get, set } from 'idb-keyval';
import { useEffect, useState, type ReactNode } from 'react';
import { openOutbox, outbox, remove, type Waiting } from './outbox.ts';
import { addEntry } from './queries.ts';
import { sendWaiting, setConnection } from './send.ts';

const DAY_MS = 86_400_000;
const RETRY_MS = 3000;

/**
 * Everything read is kept on the device for a week, so that the bench opens without a connection too.
 * What was kept may lack the last second before a reload, so it is shown at once and asked for again.
 */
export function DataProvider({ children }: { children: ReactNode }) {
  const [client] = useState(
    () => new QueryClient({ defaultOptions: { queries: { gcTime: 7 * DAY_MS, staleTime: 5000, retry: 1, networkMode: 'always' } } }),
  );
  const [persister] = useState(() => {
    const store = createStore('patient-badger-read', 'queries');
    return createAsyncStoragePersister({
      throttleTime: 200,
      storage: {
        getItem: async (key: string) => (await get<string>(key, store)) ?? null,
        setItem: (key: string, value: string) => set(key, value, store),
        removeItem: (key: string) => del(key, store),
      },
    });
  });
  useSending(client);
  useOthersEntries(client);
  return (
    <PersistQueryClientProvider
      client={client}
      persistOptions={{ persister, maxAge: 7 * DAY_MS, buster: '2' }}
      onSuccess={() => client.invalidateQueries()}
    >
      {children}
    </PersistQueryClientProvider>
  );
}

/** Sends whatever waits: at once, when the connection comes back, and every few seconds while something is left. */
function useSending(client: QueryClient) {
  useEffect(() => {
    const onSent = async (item: Waiting) => {
      if (item.kind === 'entry') {
        // First into what is held, then out of the outbox: the entry is never missing from the screen.
        addEntry(client, item.entry);
        await remove(item.key);
      }
      if (item.kind === 'shelf') void client.invalidateQueries({ queryKey: ['shelf'] });
      if (item.kind === 'machine') void client.invalidateQueries({ queryKey: ['machines'] });
    };
    const send = () => void sendWaiting(onSent);
    const stop = outbox.subscribe(send);
    const timer = setInterval(send, RETRY_MS);
    window.addEventListener('online', send);
    void openOutbox().then(send);
    return () => {
      stop();
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [client]);
}

/** Entries that other people or windows wrote, as they are stored. */
function useOthersEntries(client: QueryClient) {
  useEffect(() => {
    const stream = new EventSource('/api/events');
    stream.addEventListener('entry', (event) => addEntry(client, entry.parse(JSON.parse((event as MessageEvent<string>).data))));
    stream.addEventListener('open', () => {
      setConnection('up');
      // What was written while we heard nothing has to be asked for.
      void client.invalidateQueries();
    });
    stream.addEventListener('error', () => {
      setConnection('down');
    });
    return () => stream.close();
  }, [client]);
}
