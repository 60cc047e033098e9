/**
 * What a record from outside holds under a name, and nothing that every object has: a fact or a fault may be
 * called `constructor`.
 */
export const own = <T>(record: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(record, name) ? record[name] : undefined;
