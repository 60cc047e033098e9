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
  ...{ speedo: 'speedometer', kilometer: 'kilometre', kilometers: 'kilometre', km: 'kilometre', mileage: 'odometer', miles: 'kilometre' },
  ...{ tire: 'tyre', tires: 'tyre', motorbike: 'motorcycle', ebike: 'bike', 'e-bike': 'bike', bicycle: 'bike', chainsaw: 'saw' },
  ...{ handbrake: 'brake', strimmer: 'trimmer', brushcutter: 'trimmer', bangs: 'bang', loose: 'slack', oily: 'oil', stuck: 'seized' },
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
export const termsOf = (text: string): readonly string[] => clausesOf(joinedOf(text)).flatMap(termsOfClause);

/** "Much too low" is low. */
const ADVERB = /\b(?:much|far|way)\s+(too|more|less)\b/g;

const joinedOf = (text: string) => JOINED.reduce((said, [from, to]) => said.replace(from, to), text.toLowerCase().replace(ADVERB, '$1'));

function termsOfClause(clause: string): readonly string[] {
  const terms: string[] = [];
  let reach = 0;
  for (const [word] of clause.matchAll(/[\p{L}\p{N}]+/gu)) {
    if (NEGATIONS.has(word)) {
      reach = REACH;
      continue;
    }
    if (word.length < 2 || (EMPTY.has(word) && !KEPT.has(word))) continue;
    const term = `${reach > 0 ? NOT : ''}${stemOf(word)}`;
    terms.push(term, ...(SILENT.has(term) ? [stemOf('silent')] : []));
    reach--;
  }
  return terms;
}

/** A word that nobody uses, as it stands once two letters are changed back, where that is one that somebody uses. */
export function unswapped(term: string, isKnown: (term: string) => boolean): string {
  const [not, word] = isNegated(term) ? [NOT, withoutNot(term)] : ['', term];
  for (let i = 0; i + 1 < word.length; i++) {
    const swapped = stemOf(word.slice(0, i) + word.charAt(i + 1) + word.charAt(i) + word.slice(i + 2));
    if (isKnown(swapped)) return `${not}${swapped}`;
  }
  return term;
}

export const isNegated = (term: string) => term.startsWith(NOT);
export const withoutNot = (term: string) => (isNegated(term) ? term.slice(NOT.length) : term);
export const negated = (term: string) => `${NOT}${term}`;

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
  isNegated(term) ? new Set([withoutNot(term)]) : new Set([negated(term), ...(opposites.get(term) ?? [])]);
