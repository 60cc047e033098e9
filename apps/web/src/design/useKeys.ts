import { useLayoutEffect } from 'react';
import { isTyping } from './isTyping.ts';

/** Keys of a screen at the counter; not while something is typed, and not with a modifier held. */
export function useKeys(keys: Readonly<Record<string, (() => void) | undefined>>): void {
  // With the drawing and not after it: a key pressed at once would still find what stood there before.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const act = keys[event.key];
      // Enter and space press what has the focus.
      const presses = (event.key === 'Enter' || event.key === ' ') && event.target instanceof HTMLElement && event.target !== document.body;
      if (!act || presses || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      // One press, one act: two cautions on a screen are confirmed by two.
      event.stopImmediatePropagation();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
