import type { Entry, EntryPayload } from '@patient-badger/core';
import { useCallback, useRef, useState } from 'react';
import { record } from './record.ts';
import { messageOf } from '../wording/messageOf.ts';

/** Writes entries of one job; the problem, if any, is for the screen to show beside the button. */
export function useRecord(jobId: string) {
  const [problem, setProblem] = useState<string | null>(null);
  const busy = useRef(false);
  const write = useCallback(
    async (payload: EntryPayload): Promise<Entry | null> => {
      // A gloved thumb presses twice: the second press before the first is kept says nothing new.
      if (busy.current) return null;
      busy.current = true;
      try {
        const made = await record(jobId, payload);
        setProblem(null);
        return made;
      } catch (error) {
        setProblem(messageOf(error));
        return null;
      } finally {
        busy.current = false;
      }
    },
    [jobId],
  );
  return { write, problem };
}
