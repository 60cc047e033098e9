import MiniSearch from 'minisearch';
import type { z } from 'zod';
import type { Pack } from './pack.ts';
import type { wordsOutput } from './wordsSchema.ts';
import { clausesOf, isNegated, oppositesOf, spelled, termsOf, vocabularyOf, withoutNot } from './wordTerms.ts';

type Match = z.output<typeof wordsOutput>['matches'][number];

/** A machine by its names, or one complaint of it by everything that people say for it. */
interface Line {
  readonly id: string;
  readonly family: string;
  readonly complaint?: string;
  readonly text: string;
}
type Hit = Line & { readonly score: number };

interface Index {
  readonly search: (words: string) => readonly Hit[];
}

/** A complaint is not likelier for saying a word in several of its sentences: less weight to how often than is usual. */
const BM25 = { k: 0.5, b: 0.5, d: 0.5 };
/** What nearly every complaint speaks of tells little. */
const WEAK = new Set(termsOf('turn move work run drive stand wheel go pull'));
/** Who says the opposite of a term means something else; one "not" may also only be put another way. */
const OPPOSITE = { pair: 0, not: 0.35 } as const;

function indexOf(packs: readonly Pack[]): Index {
  const lines = packs.flatMap(linesOf);
  const termsIn = new Map(lines.map(({ id, text }) => [id, new Set(termsOf(text))]));
  const vocabulary = new Set([...termsIn.values()].flatMap((terms) => [...terms]));
  const machines = new Set(packs.flatMap(({ id }) => [...(termsIn.get(id) ?? [])]));
  // "I cannot shift my motorcycle": what is not is the shifting.
  const meant = (term: string) => (!vocabulary.has(term) && machines.has(withoutNot(term)) ? withoutNot(term) : term);
  const used = vocabularyOf(lines.map(({ text }) => text));
  const saidIn = (text: string) => termsOf(text, (word) => spelled(word, used)).map(meant);
  const index = new MiniSearch<Line>({
    fields: ['text'],
    storeFields: ['family', 'complaint', 'text'],
    tokenize: saidIn,
    processTerm: (term) => term,
    searchOptions: {
      combineWith: 'OR',
      bm25: BM25,
      boostTerm: (term) => (WEAK.has(withoutNot(term)) ? 0.5 : 1),
    },
  });
  index.addAll(lines);
  const against = (terms: readonly string[], id: string) => {
    const said = termsIn.get(id);
    const factors = terms
      .filter((term) => !said?.has(term))
      .flatMap((term) =>
        [...oppositesOf(term)]
          .filter((each) => said?.has(each))
          .map((each) => (isNegated(term) || isNegated(each) ? OPPOSITE.not : OPPOSITE.pair)),
      );
    return Math.min(1, ...factors);
  };
  return {
    search: (words) => {
      const terms = saidIn(words);
      return index
        .search(words)
        .map(({ score, ...line }) => ({ ...(line as unknown as Line), score: score * against(terms, String(line.id)) }))
        .filter(({ score }) => score > 0);
    },
  };
}

const linesOf = (pack: Pack): readonly Line[] => [
  {
    id: pack.id,
    family: pack.id,
    text: [
      pack.name,
      ...pack.alsoCalled,
      pack.summary,
      ...[...pack.driveline.bodies, ...pack.auxiliaries].map(({ name }) => name ?? ''),
    ].join('. '),
  },
  ...pack.complaints.map(({ id, says, phrases }) => ({
    id: `${pack.id}/${id}`,
    family: pack.id,
    complaint: id,
    text: [...says, ...phrases].join('. '),
  })),
];

/** A complaint that another clause speaks of counts where it fits that clause nearly as well as the first fits its own. */
const ALSO = 0.45;
/** A family this much further from the words than the best is not named. */
const NAMED = 0.12;

/**
 * Which machine families, and which of their complaints, an owner's own words mean, best first (BM25 over stems, with slips of
 * the keyboard, "not" kept as said). A complaint is named where words of it were said, one for each half of a sentence; where
 * only the machine was named, there is none.
 *
 * @param packs each once
 */
export function findByWords(packs: readonly Pack[], words: string, most: number): readonly Match[] {
  const index = indexFor(packs);
  const hits = index.search(words);
  const parts = clausesOf(words);
  // One clause alone is all the words.
  const clauses = (parts.length > 1 ? parts : []).map((clause) => index.search(clause).filter(({ complaint }) => complaint !== undefined));
  const matches = packs.map((pack) => {
    const own = hits.filter(({ family }) => family === pack.id);
    const among = complaintsOf(
      own,
      clauses.map((clause) => clause.filter(({ family }) => family === pack.id)),
    );
    // A whole sentence of the family is that sentence, whatever its words weigh.
    const whole = pack.complaints.find(({ says }) => says.some((each) => each.toLowerCase() === words.trim().toLowerCase()));
    const complaints = whole ? [{ complaint: whole.id, score: among[0]?.score ?? 1 }] : among;
    const score = (own.find(({ complaint }) => complaint === undefined)?.score ?? 0) + (complaints[0]?.score ?? 0);
    return { family: pack.id, score, complaints: complaints.map(({ complaint }) => ({ complaint, says: saysOf(pack, complaint, words) })) };
  });
  const best = Math.max(...matches.map(({ score }) => score));
  return matches
    .filter(({ score }) => score > 0 && score >= NAMED * best)
    .sort((p, q) => q.score - p.score)
    .slice(0, most);
}

/** The best of all words, then the best of each clause where it is as good. */
function complaintsOf(own: readonly Hit[], clauses: readonly (readonly Hit[])[]): readonly { complaint: string; score: number }[] {
  const best = bestOf(own.filter(({ complaint }) => complaint !== undefined));
  if (!best) return [];
  const each = clauses.flatMap((clause) => bestOf(clause) ?? []);
  const bar = ALSO * Math.max(...each.map(({ score }) => score));
  const also = each.filter(({ score, complaint }) => score >= bar && complaint !== best.complaint);
  const list = [best, ...also].filter(({ complaint }, i, all) => all.findIndex((other) => other.complaint === complaint) === i);
  return list.map(({ complaint = '', score }) => ({ complaint, score }));
}

const bestOf = (hits: readonly Hit[]): Hit | undefined => [...hits].sort((p, q) => q.score - p.score)[0];

/** Of the sentences on the buttons the one that shares most with the words. */
function saysOf(pack: Pack, complaint: string, words: string): string {
  const said = new Set(termsOf(words));
  const says = pack.complaints.find(({ id }) => id === complaint)?.says ?? [];
  const shared = (text: string) => termsOf(text).filter((term) => said.has(term)).length;
  return [...says].sort((p, q) => shared(q) - shared(p))[0] ?? '';
}

const kept = new WeakMap<object, Index>();

/** Worked out once for the same list of packs, and for a pack alone whatever list it comes in. */
function indexFor(packs: readonly Pack[]): Index {
  const [first] = packs;
  const key = first && packs.length === 1 ? first : packs;
  const before = kept.get(key);
  if (before) return before;
  const made = indexOf(packs);
  kept.set(key, made);
  return made;
}
