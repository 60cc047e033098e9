import { importState, type Duplicates, type ImportState } from '@patient-badger/contract';
import type { PartDraft } from '@patient-badger/core';
import { ApiRefusal, call } from '../data/api.ts';

/** How often it is asked how far the list is. */
const ASK_MS = 400;

/** Sends the list, one part a line; the server takes it in on a thread of its own. */
export const beginImport = (drafts: readonly PartDraft[], duplicates: Duplicates): Promise<ImportState> =>
  call(`/api/imports?duplicates=${duplicates}`, importState, {
    bytes: new Blob([drafts.map((draft) => JSON.stringify(draft)).join('\n')], { type: 'application/x-ndjson' }),
  });

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
