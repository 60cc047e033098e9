/** The words of what was typed: letters and figures, whatever stands between them. */
export const wordsOf = (typed: string): readonly string[] => typed.split(/[^\p{L}\p{N}]+/u).filter(Boolean);

/** PostgreSQL's query for texts in which each of these words begins one. Words only, so no sign of the query's own gets in. */
export const beginningsQuery = (words: readonly string[]): string => words.map((each) => `${each}:*`).join(' & ');

/** PostgreSQL's pattern for texts that begin so; its own signs are only signs. For LIKE, in lower case. */
export const beginningPattern = (text: string): string => `${text.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`;

/** By what words a job `j` on its machine `m` is found, as SQL; with what it is about where that is not in its row yet. */
export const jobWords = (complaint = 'j.complaint', found = 'j.found'): string =>
  `to_tsvector('simple', regexp_replace(concat_ws(' ', m.label, m.owner, ${complaint}, ${found}), '[^[:alnum:]]+', ' ', 'g'))`;
