/** What was given of a change; a field left out is left as it is. */
export const defined = <T extends object>(change: T) =>
  Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined)) as { [K in keyof T]: Exclude<T[K], undefined> };

/** What retiring somebody or something changes, or taking them back; who is retired already stays so since then. */
export const retiring = (retired: boolean | undefined, before: { readonly retiredAt: Date | null }): { retiredAt?: Date | null } =>
  retired === undefined ? {} : { retiredAt: retired ? (before.retiredAt ?? new Date()) : null };
