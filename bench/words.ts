/**
 * How well owners' own sentences find family and complaint: `npm run bench:words [-- v]`.
 *
 * The sentences (`words/sentences.json`) were written before the phrases of the packs; some say what is not, some are
 * mistyped, some make two complaints. Family: in the first three. Complaint: the first named is one that was made, or none is
 * named. Opposite: a complaint is named that its own kind says the contrary of, as written down beside the sentences. The
 * baseline beside it knows the sentences on the buttons alone.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Pack } from '@patient-badger/core/machine';
import { FAMILIES } from '@patient-badger/knowledge';
import { findByWords } from '../packages/core/src/trace/words.ts';

interface Sentence {
  readonly family: string;
  readonly complaints: readonly string[];
  readonly words: string;
  readonly negated?: true;
  readonly mistyped?: true;
}
const read = <T>(file: string) => JSON.parse(readFileSync(join(import.meta.dirname, 'words', file), 'utf8')) as T;
const sentences = read<readonly Sentence[]>('sentences.json');
/** Of each family, complaints of which one is the contrary of the other. */
const contraries = read<Readonly<Record<string, readonly (readonly [string, string])[]>>>('contraries.json');
const contraryOf = (family: string, complaint: string) =>
  (contraries[family] ?? []).filter((pair) => pair.includes(complaint)).flatMap((pair) => pair.filter((each) => each !== complaint));

const bare: readonly Pack[] = FAMILIES.map((pack) => ({
  ...pack,
  alsoCalled: [],
  complaints: pack.complaints.map((each) => ({ ...each, phrases: [] })),
}));
const percent = (part: number, all: number) => `${((100 * part) / Math.max(1, all)).toFixed(1)} %`;

function judged({ family, complaints, words }: Sentence, packs: readonly Pack[]) {
  const matches = findByWords(packs, words, 3);
  const pack = packs.filter(({ id }) => id === family);
  const [within] = findByWords(pack, words, 1);
  const named = within?.complaints.map(({ complaint }) => complaint) ?? [];
  return {
    family: matches.some((each) => each.family === family),
    first: matches[0]?.family === family,
    complaint: named.length === 0 || complaints.includes(named[0] ?? ''),
    all: complaints.every((each) => named.includes(each)),
    opposite: named.some((each) => complaints.some((said) => contraryOf(family, said).includes(each) && !complaints.includes(each))),
    said: `${matches.map((each) => each.family).join(' ')}: ${named.join(', ')}`,
  };
}

function figures(list: readonly Sentence[], packs: readonly Pack[]) {
  const all = list.map((each) => judged(each, packs));
  const share = (test: (each: (typeof all)[number]) => boolean) => percent(all.filter(test).length, all.length);
  return {
    sentences: list.length,
    'family in first three': share((each) => each.family),
    'family first': share((each) => each.first),
    'complaint right or none': share((each) => each.complaint),
    'all complaints': share((each) => each.all),
    opposite: all.filter((each) => each.opposite).length,
  };
}
console.table({
  all: figures(sentences, FAMILIES),
  negated: figures(
    sentences.filter(({ negated }) => negated),
    FAMILIES,
  ),
  mistyped: figures(
    sentences.filter(({ mistyped }) => mistyped),
    FAMILIES,
  ),
  'two complaints': figures(
    sentences.filter(({ complaints }) => complaints.length > 1),
    FAMILIES,
  ),
  'buttons alone': figures(sentences, bare),
});
for (const sentence of sentences) {
  const { family, complaint, opposite, said } = judged(sentence, FAMILIES);
  if (!family || !complaint || opposite)
    console.log(
      `${family ? '' : 'family '}${complaint ? '' : 'complaint '}${opposite ? 'opposite ' : ''}| ${sentence.words} | ${sentence.family}: ${sentence.complaints.join(', ')} | ${said}`,
    );
}
console.log('to reach: family in the first three 95 %, complaint right or none 90 %, opposite never');
