import { useSyncExternalStore } from 'react';

/** A small choice kept on this device and shared by all screens of this window. */
export function createStored<T>(name: string, initial: T) {
  const key = `patient-badger/${name}`;
  const listeners = new Set<() => void>();
  let value = read();

  function read(): T {
    try {
      const kept = globalThis.localStorage?.getItem(key);
      return kept === null || kept === undefined ? initial : (JSON.parse(kept) as T);
    } catch {
      return initial;
    }
  }

  const get = () => value;
  const set = (next: T) => {
    value = next;
    try {
      globalThis.localStorage?.setItem(key, JSON.stringify(next));
    } catch {
      // A full or forbidden store costs the choice at the next start, not the work.
    }
    listeners.forEach((listener) => listener());
  };
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  return { get, set, use: () => useSyncExternalStore(subscribe, get, () => initial) };
}
