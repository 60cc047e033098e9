import type { Entry } from '@patient-badger/core/job';
import type { JobRow } from '@patient-badger/contract';
import type { QueryClient } from '@tanstack/react-query';
import { setConnection } from './connection.ts';
import { standing } from './signedOut.ts';
import { call } from './api.ts';
import { askStanding, standingReader } from './standing.ts';
import { addEntry } from './heldJobs.ts';
import { placeRow } from './rows.ts';

const RETRY_MS = 2000;

/** What others write in this shop, as it is stored; after a lost connection from the last number on, so that nothing is missed. */
export function listenToShop(client: QueryClient): () => void {
  let source: EventSource | null = null;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let last = '';

  const on = <T>(name: string, act: (data: T) => void) =>
    source?.addEventListener(name, ({ data, lastEventId }: MessageEvent<string>) => {
      if (lastEventId) last = lastEventId;
      act(JSON.parse(data) as T);
    });
  const open = () => {
    source = new EventSource(`/api/events${last ? `?after=${last}` : ''}`);
    source.addEventListener('open', () => setConnection('up'));
    source.addEventListener('error', () => {
      setConnection('down');
      // A browser gives up for good after an answer that is none of ours: a proxy's error page, say.
      if (source?.readyState !== EventSource.CLOSED) return;
      clearTimeout(retry);
      // Or of ours: that nobody is signed in here any more.
      retry = setTimeout(() => void askStanding().then(follow), RETRY_MS);
    });
    on('here', () => undefined);
    on<Entry>('entry', (entry) => addEntry(client, entry));
    on<JobRow>('row', (row) => placeRow(client, row));
    on('anew', () => void client.invalidateQueries());
  };
  /** Listens while the device is signed in, and not otherwise. */
  const follow = () => {
    const isIn = standing.get()?.state === 'signedIn';
    if (isIn && (!source || source.readyState === EventSource.CLOSED)) open();
    if (isIn || !source) return;
    source.close();
    source = null;
    setConnection('up');
  };
  // The device itself knows first that it has no connection; that it is back shows by an answer.
  const cut = () => setConnection('down');
  window.addEventListener('offline', cut);
  // Where the stream was never cut nothing else would say that the line is back.
  const back = () =>
    void call('/api/standing', standingReader).then(
      () => setConnection('up'),
      () => undefined,
    );
  window.addEventListener('online', back);
  if (!navigator.onLine) cut();
  const unfollow = standing.subscribe(follow);
  follow();
  return () => {
    unfollow();
    window.removeEventListener('offline', cut);
    window.removeEventListener('online', back);
    clearTimeout(retry);
    source?.close();
  };
}
