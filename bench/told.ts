/**
 * How tracing does on stories: machines told from the trade's own knowledge, apart from the packs, with
 * the looks people took, in their order, right or misread.
 *
 *   npm run bench:told [-- FAMILY | held-out]
 *
 * Told: every fault of the verdict stands first, with the story's least probability. By its own advice:
 * the engine chooses each look; the story answers where it knows, else the machine shows what its fault
 * most likely shows. After every look the advice is held against the state of the machine, which is kept
 * here by replaying what was done, not by the code that plans.
 */
import { join } from 'node:path';
import { packForFacts, type Pack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { byItself, storiesIn, told } from './storyRuns.ts';

/** Stories that were run once, when they were written, and that no pack was mended for. */
const HELD_OUT = 'held-out';
const wanted = process.argv[2];
const folder = join(import.meta.dirname, 'stories', wanted === HELD_OUT ? HELD_OUT : '');
const STORIES = storiesIn(folder).filter(({ family }) => wanted === undefined || wanted === HELD_OUT || family === wanted);

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const rows = STORIES.map((each) => {
  const pack = packForFacts(findFamily(each.family) as Pack, each.facts);
  return { story: each, told: told(each, pack), own: byItself(each, pack) };
});
const share = (list: typeof rows, test: (row: (typeof rows)[number]) => boolean) => list.filter(test).length / list.length;
const figures = (list: typeof rows) => ({
  stories: list.length,
  told: percent(share(list, ({ told }) => told.right)),
  'told wrong': percent(share(list, ({ told }) => told.wrong)),
  'own advice': percent(share(list, ({ own }) => own.right)),
  'own wrong': percent(share(list, ({ own }) => own.wrong)),
  forbidden: list.reduce((sum, { own }) => sum + own.forbidden.length, 0),
  minutes: (list.reduce((sum, { own }) => sum + own.minutes, 0) / list.length).toFixed(1),
});
const grouped = (key: (row: (typeof rows)[number]) => string) =>
  Object.fromEntries([...new Set(rows.map(key))].map((each) => [each, figures(rows.filter((row) => key(row) === each))]));

console.table(grouped(({ story }) => story.family));
console.table(grouped(({ story }) => story.kind));
console.table({ 'all stories': figures(rows) });
for (const { story, told, own } of rows) {
  if (!told.right) console.log(`told, missed   ${story.family}: ${story.title} (${told.said})`);
  if (!own.right) console.log(`${own.wrong ? 'own, wrong ' : 'own, no end'}    ${story.family}: ${story.title} (${own.looks.join(', ')})`);
  for (const why of own.forbidden) console.log(`forbidden      ${story.family}: ${why}`);
}
console.log('to reach: told 95 %, own advice 95 % with at most 1 % wrong, nothing forbidden');
