import { distance } from 'fastest-levenshtein';
import { stemmer } from 'stemmer';
import { own } from '../operation/own.ts';

/** What a "not" before it makes of a term: something else, never the thing itself. */
const NOT = 'not-';

/** Says nothing about what is wrong. */
const EMPTY = new Set(
  (
    'a an and any are as at be been both but by can could did do does done even ever for from get gets go goes going got had has have he her ' +
    'his how i if in into is it its just keep keeps let lets like lot make makes me my of on one or our out over own put quite really s ' +
    'she since so some soon still than that the their them then there these they this though through till to too up us very was we ' +
    'well were what when where whenever which while who will with would you your though come comes came always again also after before ' +
    'much many more less'
  ).split(' '),
);
/** Words of the list above that tell one complaint from its opposite. */
const KEPT = new Set(['one', 'out', 'much', 'many', 'more', 'less', 'after', 'before', 'both', 'up']);

const NEGATIONS = new Set(['no', 'not', 'never', 'neither', 'nor', 'without', 'nothing', 'none', 'hardly', 'barely']);
/** Said of what makes no sound. */
const SILENT = new Set(['not-sound', 'not-hear', 'not-nois']);
/** So many words after a "not" are what is not. */
const REACH = 2;

/** How people write "not" joined to the word before it, with and without its apostrophe. */
const JOINED: readonly (readonly [RegExp, string])[] = [
  [/\bwon['’]?t\b/g, 'will not'],
  [/\bcan['’]?t\b|\bcannot\b/g, 'can not'],
  [/\b(do|does|dos|did|is|are|was|were|has|have|had|could|would|should)n['’]?t\b/g, '$1 not'],
];
/** One word for what shops and owners call by several, so that they meet. */
const SAME: Readonly<Record<string, string>> = {
  speedo: 'speedometer',
  kilometer: 'kilometre',
  kilometers: 'kilometre',
  km: 'kilometre',
  mileage: 'odometer',
  miles: 'kilometre',
  tire: 'tyre',
  tires: 'tyre',
  motorbike: 'motorcycle',
  ebike: 'bike',
  'e-bike': 'bike',
  bicycle: 'bike',
  chainsaw: 'saw',
  handbrake: 'brake',
  strimmer: 'trimmer',
  brushcutter: 'trimmer',
  bangs: 'bang',
  loose: 'slack',
  oily: 'oil',
  stuck: 'seized',
};
const stems = new Map<string, string>();

function stemOf(word: string): string {
  const known = stems.get(word);
  if (known !== undefined) return known;
  const stem = stemmer(own(SAME, word) ?? word);
  stems.set(word, stem);
  return stem;
}

/** Sentences and halves of sentences: in each something is said by itself, and a "not" ends with it. */
export const clausesOf = (text: string): readonly string[] =>
  text.split(/[.,;:!?]|\b(?:and|but|though|then|when|whenever|while|because|since|until)\b/iu).filter((clause) => clause.trim() !== '');

/**
 * The terms of a text in the order in which they stand: stems without the words that say nothing, and what stands after a
 * "not" as a term of its own, so that "does not turn" never meets "turns".
 * @example termsOf("It won't turn") // ['not-turn']
 */
export const termsOf = (text: string, read: (word: string) => string = (word) => word): readonly string[] =>
  clausesOf(joinedOf(text)).flatMap((clause) => termsOfClause(clause, read));

/** "Much too low" is low. */
const ADVERB = /\b(?:much|far|way)\s+(too|more|less)\b/g;

const joinedOf = (text: string) => JOINED.reduce((said, [from, to]) => said.replace(from, to), text.toLowerCase().replace(ADVERB, '$1'));

const WORD = /[\p{L}\p{N}]+/gu;
const says = (word: string) => word.length >= 2 && (!EMPTY.has(word) || KEPT.has(word)) && !NEGATIONS.has(word);

function termsOfClause(clause: string, read: (word: string) => string): readonly string[] {
  const terms: string[] = [];
  let reach = 0;
  for (const [word] of clause.matchAll(WORD)) {
    if (NEGATIONS.has(word)) {
      reach = REACH;
      continue;
    }
    if (!says(word)) continue;
    const term = `${reach > 0 ? NOT : ''}${stemOf(read(word))}`;
    terms.push(term, ...(SILENT.has(term) ? [stemOf('silent')] : []));
    reach--;
  }
  return terms;
}

/** Slips of the keyboard that a word may have: one in a short word, two in a longer one. */
const slipsIn = ({ length }: string) => {
  if (length < 3) return 0;
  return length < 6 ? 1 : 2;
};

/** Words that people use, by which others are put right. */
export interface Vocabulary {
  readonly words: readonly string[];
  readonly stems: ReadonlySet<string>;
}

export function vocabularyOf(texts: readonly string[]): Vocabulary {
  const words = [...new Set(texts.flatMap((text) => joinedOf(text).match(WORD) ?? []))].filter(says);
  return { words, stems: new Set(words.map(stemOf)) };
}

/** A word that nobody uses as the one that was meant: two letters changed back, or the one that is fewest slips away. */
export function spelled(word: string, { words, stems: used }: Vocabulary): string {
  if (used.has(stemOf(word))) return word;
  for (let i = 0; i + 1 < word.length; i++) {
    const swapped = word.slice(0, i) + word.charAt(i + 1) + word.charAt(i) + word.slice(i + 2);
    if (used.has(stemOf(swapped))) return swapped;
  }
  let [nearest, least] = [word, slipsIn(word) + 1];
  for (const known of words) {
    if (Math.abs(known.length - word.length) >= least || slipsIn(known) === 0) continue;
    const slips = distance(word, known);
    if (slips < least) [nearest, least] = [known, slips];
  }
  return nearest;
}

export const isNegated = (term: string) => term.startsWith(NOT);
export const withoutNot = (term: string) => (isNegated(term) ? term.slice(NOT.length) : term);

/** Words of which one is said where the other is not: who says the one never means the other. */
const PAIRS =
  'low/high slow/fast little/much little/many short/much few/many tight/slack stiff/slack full/empty silent/hum silent/whirr silent/buzz silent/howl release/hold';
const opposites = new Map<string, Set<string>>();
for (const pair of PAIRS.split(' ')) {
  const [one = '', other = ''] = pair.split('/').map(stemOf);
  for (const [a, b] of [
    [one, other],
    [other, one],
  ] as const)
    opposites.set(a, (opposites.get(a) ?? new Set()).add(b));
}

/** What the opposite of a term is called; of what is not, the thing itself. */
export const oppositesOf = (term: string): ReadonlySet<string> =>
  isNegated(term) ? new Set([withoutNot(term)]) : new Set([`${NOT}${term}`, ...(opposites.get(term) ?? [])]);
