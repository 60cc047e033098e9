const escaped = (text: string): string => text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** For tests: what holds a text of the catalogue somewhere. @example getByText(containing(t.kept)) */
export const containing = (text: string): RegExp => new RegExp(escaped(text));

/** For tests: what begins with a text of the catalogue. */
export const beginning = (text: string): RegExp => new RegExp(`^${escaped(text)}`);
