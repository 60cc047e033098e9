/** Names that fields of a family file had before, so that files which shops have written are still read. */
export const RENAMED_FIELDS: Readonly<Record<string, string>> = { outliers: 'auxiliaries' };

/** A family file with the names of today; what has them already stays as it is. */
export const withFieldsOfToday = (raw: unknown): unknown =>
  raw !== null && typeof raw === 'object' && !Array.isArray(raw)
    ? Object.fromEntries(
        Object.entries(raw).map(([key, value]) => [Object.hasOwn(RENAMED_FIELDS, key) ? (RENAMED_FIELDS[key] as string) : key, value]),
      )
    : raw;
