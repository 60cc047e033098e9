/** Registers the offline worker of the exported app; in development there is none. */
export function registerOfflineWorker(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  // Failing to register costs opening without a connection, not the work.
  navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}
