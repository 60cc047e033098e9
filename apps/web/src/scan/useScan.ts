import type { Scan, SectorScan, WormScan } from '@patient-badger/core/gear';
import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { photoFile } from './photoFile.ts';
import type { ScanApi, ScanExtras, ScanReply } from './scan.worker.ts';
import { messageOf } from '../wording/messageOf.ts';

/** What is read off a photo: the teeth of a gear, a worm from its side, or the teeth of a sector and their arc. */
export interface Readers {
  readonly teeth: Scan;
  readonly worm: WormScan;
  readonly sector: SectorScan;
}

export type ScanState<Read> =
  | { readonly kind: 'counting'; readonly share: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly why: string }
  | ({ readonly kind: 'done' } & ScanReply<Read>);

/** Reads a photo off the main thread, tells how far it is, and can be stopped. */
export function useScan<What extends keyof Readers>(what: What, hash: string, first: ScanExtras) {
  const [state, setState] = useState<ScanState<Readers[What]>>({ kind: 'counting', share: 0 });
  const [photo, setPhoto] = useState<{ readonly blob: Blob; readonly address: string } | null>(null);
  const address = useRef<string | null>(null);
  const worker = useRef<{ readonly thread: Worker; readonly api: Remote<ScanApi> } | null>(null);
  const round = useRef(0);

  const stop = useCallback(() => {
    round.current++;
    // A sum in the middle of a loop hears no message: the thread itself has to go.
    worker.current?.thread.terminate();
    worker.current = null;
    setState({ kind: 'stopped' });
  }, []);

  const count = useCallback(
    async (extras: ScanExtras) => {
      const mine = ++round.current;
      setState({ kind: 'counting', share: 0 });
      try {
        const blob = photo?.blob ?? (await photoFile(hash));
        if (mine !== round.current) return;
        if (!address.current) {
          address.current = URL.createObjectURL(blob);
          setPhoto({ blob, address: address.current });
        }
        if (!worker.current) {
          const thread = new Worker(new URL('./scan.worker.ts', import.meta.url));
          worker.current = { thread, api: wrap<ScanApi>(thread) };
        }
        const tell = (_: string, share: number) => mine === round.current && setState({ kind: 'counting', share });
        const { api } = worker.current;
        const reply = (await api[what](blob, extras, proxy(tell))) as ScanReply<Readers[What]>;
        if (mine === round.current) setState({ kind: 'done', ...reply });
      } catch (error) {
        if (mine === round.current) setState({ kind: 'failed', why: messageOf(error) });
      }
    },
    [photo, hash, what],
  );

  const begin = useRef(() => void count(first));
  const end = useRef(() => {
    round.current++;
    worker.current?.thread.terminate();
    worker.current = null;
    if (address.current) URL.revokeObjectURL(address.current);
    address.current = null;
  });
  useEffect(() => {
    begin.current();
    return end.current;
  }, []);
  return { state, address: photo?.address ?? null, count, stop };
}
