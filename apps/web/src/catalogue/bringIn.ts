import { importState, uploadState, type Duplicates, type ImportState } from '@patient-badger/contract';
import type { PartDraft } from '@patient-badger/core/parts';
import { v4 as uuid } from 'uuid';
import { ApiRefusal, call } from '../data/api.ts';

/** How often it is asked how far the list is. */
const ASK_MS = 400;

/** A longer list goes in pieces of this, so that a line that is cut costs one of them. */
const PIECE_BYTES = 1_000_000;
const TRIES = 6;
const PAUSE_MS = 1500;
const LIST = 'application/x-ndjson';

/** Sends the list, one part a line; the server takes it in on a thread of its own. */
export async function beginImport(drafts: readonly PartDraft[], duplicates: Duplicates): Promise<ImportState> {
  const list = new Blob([drafts.map((draft) => JSON.stringify(draft)).join('\n')], { type: LIST });
  if (list.size <= PIECE_BYTES) return call(`/api/imports?duplicates=${duplicates}`, importState, { bytes: list });
  const id = uuid();
  await sendPieces(id, list);
  return call(`/api/imports?duplicates=${duplicates}&upload=${id}`, importState, { bytes: new Blob([], { type: LIST }) });
}

/** Piece by piece; after a line that was cut from where the server has it. @throws where that goes on for too long */
async function sendPieces(id: string, list: Blob): Promise<void> {
  let tries = 0;
  for (let from = 0; from < list.size;) {
    try {
      const piece = list.slice(from, from + PIECE_BYTES, LIST);
      from = (await call(`/api/uploads/${id}?from=${from}`, uploadState, { bytes: piece })).size;
      tries = 0;
    } catch (error) {
      const isFinal = error instanceof ApiRefusal && error.status < 500 && error.code !== 'uploadElsewhere';
      if (isFinal || ++tries > TRIES) throw error;
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
      from = await call(`/api/uploads/${id}`, uploadState).then(
        ({ size }) => size,
        () => from,
      );
    }
  }
}

export const cancelImport = (id: string): Promise<ImportState> => call(`/api/imports/${id}/cancel`, importState, { method: 'POST' });

/** Asks until the list is in, refused or stopped; a line that is gone for a while is asked again. */
export async function followImport(id: string, onState: (state: ImportState) => void): Promise<ImportState> {
  for (;;) {
    await new Promise((resolve) => setTimeout(resolve, ASK_MS));
    const state = await call(`/api/imports/${id}`, importState).catch((error: unknown) => {
      if (error instanceof ApiRefusal && error.status < 500) throw error;
      return null;
    });
    if (!state) continue;
    onState(state);
    if (state.state !== 'running') return state;
  }
}
