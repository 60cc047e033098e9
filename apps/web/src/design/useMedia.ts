import { t } from '@patient-badger/wording/design';
import { useSyncExternalStore } from 'react';

const matching = (query: string) => globalThis.window?.matchMedia?.(query);

export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const list = matching(query);
      list?.addEventListener('change', listener);
      return () => list?.removeEventListener('change', listener);
    },
    () => matching(query)?.matches ?? false,
    () => false,
  );
}

export const useReducedMotion = () => useMedia(t.prefersReducedMotionReduce);

/** From this width on the drive line stands left, the work in the middle, the evidence right. */
export const WIDE_PX = 1000;

export const useWide = () => useMedia(`(min-width: ${WIDE_PX}px)`);
