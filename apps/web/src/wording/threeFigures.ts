/** A figure to three places that count, never with an exponent. @example threeFigures(1503) // '1,500' */
export const threeFigures = (value: number): string => value.toLocaleString('en', { maximumSignificantDigits: 3 });
