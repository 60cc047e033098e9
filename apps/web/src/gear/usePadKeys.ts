import { useEffect } from 'react';

export interface UsePadKeysOptions {
  readonly press: (key: string) => void;
  readonly remove: () => void;
  readonly keep: () => void;
  readonly close: () => void;
}

export function usePadKeys({ press, remove, keep, close }: UsePadKeysOptions) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (/^[\d./ ]$/.test(event.key)) press(event.key);
      else if (event.key === ',') press('.');
      else if (event.key === 'Backspace') remove();
      else if (event.key === 'Enter') keep();
      else if (event.key === 'Escape') close();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
