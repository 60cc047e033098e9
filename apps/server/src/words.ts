/** The words of what was typed: letters and figures, whatever stands between them. */
export const wordsOf = (typed: string): readonly string[] => typed.split(/[^\p{L}\p{N}]+/u).filter(Boolean);

/** PostgreSQL's query for texts in which each of these words begins one. Words only, so no sign of the query's own gets in. */
export const beginningsQuery = (words: readonly string[]): string => words.map((each) => `${each}:*`).join(' & ');
