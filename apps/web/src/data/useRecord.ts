import type { Entry, EntryPayload } from '@patient-badger/core';
import { useCallback, useRef, useState } from 'react';
import { oncePerPress } from './oncePerPress.ts';
import { record } from './record.ts';
import { messageOf } from '../wording/messageOf.ts';

/**
 * Writes entries of one job in the order they were pressed; the problem, if any, is for the screen to show beside the
 * button. Answers null where it could not be written, and for a second press of what is being written.
 */
export function useRecord(jobId: string) {
  const [problem, setProblem] = useState<string | null>(null);
  const { current: run } = useRef(oncePerPress());
  const writeAll = useCallback(
    async (payloads: readonly EntryPayload[]): Promise<readonly Entry[] | null> => {
      try {
        const made = await run(JSON.stringify(payloads), async () => {
          const entries: Entry[] = [];
          for (const payload of payloads) entries.push(await record(jobId, payload));
          return entries;
        });
        if (made) setProblem(null);
        return made;
      } catch (error) {
        setProblem(messageOf(error));
        return null;
      }
    },
    [jobId, run],
  );
  const write = useCallback(async (payload: EntryPayload): Promise<Entry | null> => (await writeAll([payload]))?.[0] ?? null, [writeAll]);
  return { write, writeAll, problem };
}
