/**
 * Runs what is pressed one after another. A gloved thumb presses twice: the same press again while it waits or runs
 * says nothing new and answers null. Another press waits its turn, so that nothing is lost.
 */
export function oncePerPress() {
  let last: { readonly key: string; readonly done: Promise<unknown> } | null = null;
  return async <T>(key: string, work: () => Promise<T>): Promise<T | null> => {
    if (last?.key === key) return null;
    const before = last?.done;
    const done = (async () => {
      // How the press before ended is told where it was pressed.
      await before?.catch(() => undefined);
      return work();
    })();
    const mine = { key, done };
    last = mine;
    try {
      return await done;
    } finally {
      if (last === mine) last = null;
    }
  };
}
