/** What may stand in a sentence: a figure, or a word from elsewhere. */
export type Value = string | number;

type Words = Readonly<Record<string, string | ((...values: never[]) => string)>>;

/** The shape that another language of the same area fills. @example export const t: Catalogue<typeof english> = … */
export type Catalogue<T extends Words> = { readonly [Key in keyof T]: T[Key] extends string ? string : T[Key] };

/** Set before the app starts, by the test that looks whether longer words still find room. */
declare global {
  var pseudoLanguage: boolean | undefined;
}

const LONGER = 1.35;
const VOWELS: Readonly<Record<string, string>> = { a: 'á', e: 'é', i: 'í', o: 'ó', u: 'ú', A: 'Á', E: 'É', I: 'Í', O: 'Ó', U: 'Ú' };

/** 35 % longer by its vowels, so that words grow as they do in other languages and a sentence still breaks where it did. */
function stretched(text: string): string {
  let left = Math.ceil((LONGER - 1) * text.replaceAll(/\s/g, '').length);
  const grown = text.replaceAll(/[aeiou]/gi, (vowel) => {
    const accented = VOWELS[vowel] ?? vowel;
    return left-- > 0 ? accented + accented.toLowerCase() : accented;
  });
  return left > 0 && text.trim() !== '' ? grown.replace(/(\S)(\s*)$/, `$1${'é'.repeat(left)}$2`) : grown;
}

/** What stands in brackets has been stretched before: a word put into a sentence does not grow twice. */
const inPseudo = (text: string): string =>
  `⟦${text
    .split(/(⟦[^⟧]*⟧)/)
    .map((piece) => (piece.startsWith('⟦') ? piece.slice(1, -1) : stretched(piece)))
    .join('')}⟧`;

/** Sentences of one area of the app, by key. A second language is a folder of the same areas, typed by this one. */
export function catalogue<const T extends Words>(words: T): Catalogue<T> {
  if (globalThis.pseudoLanguage !== true) return words as Catalogue<T>;
  return Object.fromEntries(
    Object.entries(words).map(([key, entry]) => [
      key,
      typeof entry === 'string' ? inPseudo(entry) : (...values: never[]) => inPseudo(entry(...values)),
    ]),
  ) as Catalogue<T>;
}
