import type { ScanCorrection, ScanScale } from '@patient-badger/core';
import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { photoFile } from './photoFile.ts';
import type { ScanDoor, ScanReply } from './scan.worker.ts';

export interface ScanExtras {
  readonly scale?: ScanScale;
  readonly correction?: ScanCorrection;
}

export type ScanState =
  | { readonly kind: 'counting'; readonly share: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly why: string }
  | ({ readonly kind: 'done' } & ScanReply);

/** Counts the teeth on a photo off the main thread, tells how far it is, and can be stopped. */
export function useScan(hash: string, first: ScanExtras) {
  const [state, setState] = useState<ScanState>({ kind: 'counting', share: 0 });
  const [blob, setBlob] = useState<Blob | null>(null);
  const worker = useRef<{ readonly thread: Worker; readonly door: Remote<ScanDoor> } | null>(null);
  const round = useRef(0);

  const stop = useCallback(() => {
    round.current++;
    // A sum in the middle of a loop hears no message: the thread itself has to go.
    worker.current?.thread.terminate();
    worker.current = null;
    setState({ kind: 'stopped' });
  }, []);

  const count = useCallback(
    async (extras: ScanExtras, file = blob) => {
      const mine = ++round.current;
      setState({ kind: 'counting', share: 0 });
      try {
        const photo = file ?? (await photoFile(hash));
        if (mine !== round.current) return;
        setBlob(photo);
        if (!worker.current) {
          const thread = new Worker(new URL('./scan.worker.ts', import.meta.url));
          worker.current = { thread, door: wrap<ScanDoor>(thread) };
        }
        const tell = (_: string, share: number) => mine === round.current && setState({ kind: 'counting', share });
        const reply = await worker.current.door.scan(photo, extras, proxy(tell));
        if (mine === round.current) setState({ kind: 'done', ...reply });
      } catch (error) {
        if (mine === round.current) setState({ kind: 'failed', why: error instanceof Error ? error.message : String(error) });
      }
    },
    [blob, hash],
  );

  const begin = useRef(() => void count(first));
  useEffect(() => {
    begin.current();
    return () => {
      round.current++;
      worker.current?.thread.terminate();
      worker.current = null;
    };
  }, []);
  return { state, blob, count, stop };
}
