/** A number as it was typed, with a point or a comma; NaN where it is none, nought where nothing was typed. */
export const typedNumber = (text: string): number => Number(text.replace(',', '.'));
