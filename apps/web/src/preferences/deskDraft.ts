import { createStored } from './stored.ts';

const made = new Map<string, ReturnType<typeof createStored<object>>>();

/**
 * What was typed on a desk, kept on the device so that a reload loses nothing: on the desk by itself, or on that of one job.
 * Only what was typed is kept, so that what is known of the machine fills the rest.
 */
export function useDeskDraft<T extends object>(
  desk: string,
  { jobId, known, empty }: { jobId: string | undefined; known: Partial<T>; empty: T },
) {
  const key = jobId === undefined ? desk : `${desk}/${jobId}`;
  const stored = made.get(key) ?? createStored<object>(key, {});
  made.set(key, stored);
  const typed = stored.use() as Partial<T>;
  return {
    draft: { ...empty, ...known, ...typed },
    // On what stands there now: an instrument answers after its question, and meanwhile somebody typed.
    set: (change: Partial<T>) => stored.set({ ...stored.get(), ...change }),
    /** Whether something in the boxes comes from what is known and was not typed here. */
    isFilled: Object.keys(known).some((name) => !(name in typed)),
  };
}
