/** What was given of a change; a field left out is left as it is. */
export const defined = <T extends object>(change: T) =>
  Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined)) as { [K in keyof T]: Exclude<T[K], undefined> };
