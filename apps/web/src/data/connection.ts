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
  if (next === state) return;
  state = next;
  watchers.forEach((watcher) => watcher());
}
