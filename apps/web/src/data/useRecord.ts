import { t } from '@patient-badger/wording/shared';
import type { Entry, EntryPayload } from '@patient-badger/core/job';
import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import { oncePerPress } from './oncePerPress.ts';
import { record } from './record.ts';
import { messageOf } from '../wording/messageOf.ts';

/** One for the device: what is pressed on one part of a screen waits for what was pressed on another. */
const run = oncePerPress();

/**
 * Writes entries of one job in the order they were pressed; the problem, if any, is for the screen to show beside the
 * button. Answers null where it could not be written, and for a second press of what is being written.
 */
export function useRecord(jobId: string) {
  const [problem, setProblem] = useState<string | null>(null);
  const press = useCallback(
    async (name: string, payloads: () => readonly EntryPayload[], id?: string): Promise<readonly Entry[] | null> => {
      try {
        const made = await run(`${jobId} ${name}`, async () => {
          const entries: Entry[] = [];
          for (const payload of payloads()) entries.push(await record(jobId, payload, id));
          return entries;
        });
        if (made) setProblem(null);
        return made;
      } catch (error) {
        setProblem(messageOf(error));
        return null;
      }
    },
    [jobId],
  );
  const writeAll = useCallback((payloads: readonly EntryPayload[]) => press(JSON.stringify(payloads), () => payloads), [press]);
  const write = useCallback(async (payload: EntryPayload): Promise<Entry | null> => (await writeAll([payload]))?.[0] ?? null, [writeAll]);
  return { press, write, writeAll, problem };
}

/** Takes the last of some entries back: the one that is the last when the press has its turn, after what is being written. */
export function useTakeBack(jobId: string, last: string | undefined) {
  const { press, problem } = useRecord(jobId);
  const now = useRef(last);
  useLayoutEffect(() => {
    now.current = last;
  }, [last]);
  const takeBack = useCallback(
    () => press(t.takeTheLastBack, () => (now.current === undefined ? [] : [{ kind: 'withdrawn', entry: now.current }])),
    [press],
  );
  return { takeBack, problem };
}
