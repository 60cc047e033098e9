import { useEffect, useSyncExternalStore } from 'react';
import { scheme } from '../data/settings.ts';

const media = (query: string) => globalThis.window?.matchMedia?.(query);

function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const list = media(query);
      list?.addEventListener('change', listener);
      return () => list?.removeEventListener('change', listener);
    },
    () => media(query)?.matches ?? false,
    () => false,
  );
}

/** Dark where the person chose it, or the device asks for it. */
export function useDark(): boolean {
  const chosen = scheme.use();
  const device = useMedia('(prefers-color-scheme: dark)');
  return chosen === 'device' ? device : chosen === 'dark';
}

/** Puts the class that the colours hang on at the root of the page. */
export function useSchemeClass(): void {
  const dark = useDark();
  useEffect(() => {
    document.documentElement.classList.toggle('dark', dark);
  }, [dark]);
}

export const useReducedMotion = () => useMedia('(prefers-reduced-motion: reduce)');

/** From this width on the drive line stands left, the work in the middle, the evidence right. */
export const WIDE_PX = 1000;
export const useWide = () => useMedia(`(min-width: ${WIDE_PX}px)`);
