import type { Complaint, Pack } from '@patient-badger/core';
import MiniSearch from 'minisearch';

interface Line {
  readonly id: string;
  readonly family: string;
  /** Absent where the line is a name and not something an owner says. */
  readonly complaint?: string;
  readonly text: string;
}

export interface Found {
  readonly pack: Pack;
  /** The sentence that comes nearest to the words, and which of the family's complaints it stands for. */
  readonly says?: string;
  readonly complaint?: string;
}

const EMPTY_WORDS = new Set(
  'the and for not does with has have had was are its it is of on in at to a an my but when will won can cannot goes go comes come only'.split(
    ' ',
  ),
);
/** Endings that owners and files use differently: turns, turning, turned; oil, oily. */
const bare = (word: string) => word.replace(/(ing|ed|es|s|y)$/, '');

function indexOf(lines: readonly Line[]): MiniSearch<Line> {
  const index = new MiniSearch<Line>({
    fields: ['text'],
    storeFields: ['family', 'complaint', 'text'],
    processTerm: (term) => {
      const word = term.toLowerCase().replace(/’/g, "'");
      return word.length < 2 || EMPTY_WORDS.has(word) ? null : bare(word);
    },
    searchOptions: { prefix: (term) => term.length > 3, fuzzy: (term) => (term.length > 4 ? 0.2 : false), combineWith: 'OR' },
  });
  index.addAll(lines);
  return index;
}

const saying =
  (family: string) =>
  ({ id, says }: Complaint) =>
    says.map((text, i): Line => ({ id: `${family}/${id}/${i}`, family, complaint: id, text }));

const linesOf = (pack: Pack): Line[] => [
  ...pack.complaints.flatMap(saying(pack.id)),
  { id: `${pack.id}/name`, family: pack.id, text: `${pack.name} ${pack.summary}` },
  {
    id: `${pack.id}/bodies`,
    family: pack.id,
    text: [...pack.driveline.bodies, ...pack.auxiliaries].map(({ name }) => name ?? '').join(' '),
  },
];

const indexes = new WeakMap<readonly Pack[], MiniSearch<Line>>();

/** Families by the owner's own words, best first; all of them where nothing was typed. */
export function searchFamilies(packs: readonly Pack[], words: string): readonly Found[] {
  if (words.trim() === '') return packs.map((pack) => ({ pack }));
  const index = indexes.get(packs) ?? indexOf(packs.flatMap(linesOf));
  indexes.set(packs, index);
  const scores = new Map<string, { score: number; best: number; says?: string; complaint?: string }>();
  for (const { family, complaint, text, score } of index.search(words) as unknown as (Line & { score: number })[]) {
    const held = scores.get(family) ?? { score: 0, best: 0 };
    const better = complaint !== undefined && score > held.best;
    scores.set(family, { ...held, score: held.score + score, ...(better && { best: score, says: text, complaint }) });
  }
  return packs
    .flatMap((pack) => {
      const found = scores.get(pack.id);
      return found ? [{ pack, ...found }] : [];
    })
    .sort((p, q) => q.score - p.score)
    .map(({ pack, says, complaint }) => ({ pack, ...(says !== undefined && { says, complaint }) }));
}

const ofFamily = new WeakMap<Pack, MiniSearch<Line>>();

/** The complaint of a family that comes nearest to what was typed; null where no word of it is known. */
export function nearestComplaint(pack: Pack, words: string): { readonly complaint: string; readonly says: string } | null {
  // A whole sentence of the file is that sentence, whatever its words weigh.
  const whole = pack.complaints.find(({ says }) => says.some((each) => each.toLowerCase() === words.trim().toLowerCase()));
  if (whole) return { complaint: whole.id, says: words.trim() };
  const index = ofFamily.get(pack) ?? indexOf(pack.complaints.flatMap(saying(pack.id)));
  ofFamily.set(pack, index);
  const [best] = index.search(words) as unknown as Line[];
  return best?.complaint === undefined ? null : { complaint: best.complaint, says: best.text };
}
