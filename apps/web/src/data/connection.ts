export type ConnectionState = 'up' | 'down';
let state: ConnectionState = 'up';
const watchers = new Set<() => void>();

/** Whether the shop server answered the last time it was asked. */
export const connection = {
  get: () => state,
  subscribe(watcher: () => void) {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
};

export function setConnection(next: ConnectionState) {
  // An answer that was on its way when the line went does not bring it back.
  if (next === state || (next === 'up' && globalThis.navigator?.onLine === false)) return;
  state = next;
  watchers.forEach((watcher) => watcher());
}
