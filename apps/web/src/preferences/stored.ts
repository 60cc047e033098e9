import { useSyncExternalStore } from 'react';

/** A small choice kept on this device and shared by all screens of this window; by all windows of the device where it says so. */
export function createStored<T>(name: string, initial: T, { acrossWindows = false } = {}) {
  const key = `patient-badger/${name}`;
  const listeners = new Set<() => void>();
  let isChosen = false;
  let value = read();

  function read(): T {
    try {
      const kept = globalThis.localStorage?.getItem(key);
      if (kept === null || kept === undefined) return initial;
      isChosen = true;
      return JSON.parse(kept) as T;
    } catch {
      return initial;
    }
  }

  const show = (next: T) => {
    value = next;
    listeners.forEach((listener) => listener());
  };
  if (acrossWindows)
    globalThis.addEventListener?.('storage', (event) => {
      if (event.key === key) show(read());
    });
  const get = () => value;
  const set = (next: T) => {
    isChosen = true;
    try {
      globalThis.localStorage?.setItem(key, JSON.stringify(next));
    } catch {
      // A full or forbidden store costs the choice at the next start, not the work.
    }
    show(next);
  };
  /** What holds where nobody has chosen on this device. */
  const propose = (next: T) => {
    if (!isChosen && next !== value) show(next);
  };
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  return { get, set, propose, subscribe, use: () => useSyncExternalStore(subscribe, get, () => initial) };
}
