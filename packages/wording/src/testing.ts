const escaped = (text: string): string => text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** For tests: stands in a sentence for what the test does not know. */
export const ANYTHING = '\uE000';

/**
 * For tests: what holds a text of the catalogue somewhere. Only what is said between the unknowns is looked for: a blank
 * between two of them would have a long page tried at each pair, triple and quadruple of its blanks.
 *
 * @example
 * getByText(containing(t.of(ANYTHING, 8)));
 */
export const containing = (text: string): RegExp =>
  new RegExp(
    text
      .split(ANYTHING)
      .filter((said) => said.trim() !== '')
      .map(escaped)
      .join('.*'),
  );

/** For tests: what begins with a text of the catalogue. */
export const beginning = (text: string): RegExp => new RegExp(`^${escaped(text)}`);

/** For tests: what is a text of the catalogue and nothing else. */
export const exactly = (text: string): RegExp => new RegExp(`^${escaped(text)}$`);
