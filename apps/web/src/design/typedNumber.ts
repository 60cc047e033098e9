/** A number as it was typed, with a point or a comma; NaN where it is none, nought where nothing was typed. */
export const typedNumber = (text: string): number => Number(text.replace(',', '.'));

/** The same of several fields, an empty one as NaN: nothing typed is no nought. */
export const typedNumbers = <const T extends readonly string[]>(...texts: T): { -readonly [K in keyof T]: number } =>
  texts.map((text) => (text.trim() === '' ? NaN : typedNumber(text))) as { -readonly [K in keyof T]: number };
