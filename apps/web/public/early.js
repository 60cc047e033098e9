// What the first screen shows is asked for while the app is still on its way; `src/data/early.ts` takes it up.
// On a slow phone reading and running the app takes three seconds in which nothing else could be asked.
(() => {
  const early = { kept: undefined, answers: {} };
  globalThis.early = early;
  const wasHere = () => {
    try {
      return localStorage.getItem('patient-badger/standing') !== null;
    } catch {
      return true;
    }
  };
  const ask = async (path) => {
    const response = await fetch(path);
    return { ok: response.ok, status: response.status, text: await response.text() };
  };
  const readKept = () => {
    const open = indexedDB.open('patient-badger-read');
    // Nothing was ever kept: the database is not made here.
    open.onupgradeneeded = () => open.transaction.abort();
    open.onsuccess = () => {
      const asked = open.result.transaction('queries').objectStore('queries').get('kept');
      asked.onsuccess = () => {
        early.kept = asked.result;
        open.result.close();
      };
    };
  };
  // A device that was here before draws what it holds, and asks right after.
  if (wasHere()) return readKept();
  const paths = ['/api/standing', '/api/shop', ...(location.pathname === '/' ? ['/api/jobs?state=open'] : [])];
  // One that fails is asked again by the app.
  for (const path of paths) early.answers[path] = ask(path).catch(() => null);
})();
