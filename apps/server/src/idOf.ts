import { createHash } from 'node:crypto';

/** A stable UUID for a demo thing (the shape of RFC 9562 version 8), so that seeding twice makes the same world. */
export function idOf(kind: string, key: string): string {
  const hex = createHash('sha256').update(`${kind}/${key}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
