/** A NUL, or half of a surrogate pair: no database keeps them as text, and no one typed them on purpose. */
const BROKEN = /[\0\p{Surrogate}]/u;
const EVERY_BROKEN = /[\0\p{Surrogate}]/gu;

/**
 * Dotted path of the first text that no database would keep, keys of objects included; null where all is well.
 * @example brokenTextAt({ payload: { text: 'a\0b' } }) // 'payload.text'
 */
export function brokenTextAt(given: unknown): string | null {
  if (typeof given === 'string') return BROKEN.test(given) ? '' : null;
  if (given === null || typeof given !== 'object') return null;
  for (const [key, value] of Object.entries(given)) {
    if (BROKEN.test(key)) return key.replace(EVERY_BROKEN, '?');
    const inside = brokenTextAt(value);
    if (inside !== null) return inside === '' ? key : `${key}.${inside}`;
  }
  return null;
}

/** The same with what cannot be kept taken out of its texts. Plain data only. */
export function withoutBrokenText<T>(given: T): T {
  if (typeof given === 'string') return given.replace(EVERY_BROKEN, '') as T;
  if (Array.isArray(given)) return given.map(withoutBrokenText) as T;
  if (given === null || typeof given !== 'object') return given;
  return Object.fromEntries(Object.entries(given).map(([key, value]) => [key, withoutBrokenText(value)])) as T;
}
