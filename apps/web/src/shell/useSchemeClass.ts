import { useEffect } from 'react';
import { useDark } from '../design/useDark.ts';

/** Puts the class that the colours hang on at the root of the page. */
export function useSchemeClass(): void {
  const dark = useDark();
  useEffect(() => {
    document.documentElement.classList.toggle('dark', dark);
  }, [dark]);
}
