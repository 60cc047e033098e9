/**
 * How tracing does on machines told from the trade's own knowledge, apart from the packs.
 *
 *   npm run bench:told [-- FAMILY | held-out]
 *
 * Machines (`stories/machines`): what each shows at every look is written from its physical fault, by people who did not see
 * the chances of the packs; some have two faults, some nothing that is listed; beside them machines on which every look is as
 * it should be, one for each family and complaint. The engine chooses each look. Right: every fault of it became a verdict;
 * with nothing listed, the search ended as "none of these" with no fault above it. Wrong: a verdict that it does not have.
 *
 * Stories (`stories`): the looks people took, in their order, right or misread. Told: every fault of the verdict stands first,
 * with the story's least probability. By its own advice the story answers where it knows, else the machine shows what its
 * fault most likely shows. After every look the advice is held against the state of the machine, which is kept here by
 * replaying what was done, not by the code that plans.
 */
import { join } from 'node:path';
import { packForFacts, type Pack } from '@patient-badger/core/machine';
import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { follow, machinesIn, soundMachines } from './machineRuns.ts';
import { byItself, storiesIn, told } from './storyRuns.ts';

/** Stories that were run once, when they were written, and that no pack was mended for. */
const HELD_OUT = 'held-out';
const wanted = process.argv[2];
const isWanted = ({ family }: { readonly family: string }) => wanted === undefined || wanted === HELD_OUT || family === wanted;

const percent = (part: number) => `${(100 * part).toFixed(1)} %`;
const mean = (list: readonly number[]) => (list.reduce((sum, each) => sum + each, 0) / list.length).toFixed(1);

const toldMachines = machinesIn(join(import.meta.dirname, 'stories', wanted === HELD_OUT ? 'held-out-machines' : 'machines'));
const machines = [...toldMachines, ...(wanted === HELD_OUT ? [] : FAMILIES.flatMap(soundMachines))].filter(isWanted);
const runs = machines.map((machine) => ({ machine, run: follow(machine, findFamily(machine.family) as Pack) }));
const figuresOf = (list: typeof runs) => {
  const part = (came: string) => percent(list.filter(({ run }) => run.came === came).length / list.length);
  const unanswered = list.reduce((sum, { run }) => sum + run.unanswered, 0) / list.reduce((sum, { run }) => sum + run.looks.length, 0);
  return {
    machines: list.length,
    right: part('right'),
    wrong: part('wrong'),
    'no fitting answer': percent(unanswered),
    forbidden: list.reduce((sum, { run }) => sum + run.forbidden.length, 0),
    'minutes to the first verdict': mean(list.map(({ run }) => run.minutes[0])),
    after: mean(list.map(({ run }) => run.minutes[1])),
  };
};
const by = (key: (each: (typeof runs)[number]) => string) =>
  Object.fromEntries([...new Set(runs.map(key))].sort().map((each) => [each, figuresOf(runs.filter((run) => key(run) === each))]));
console.table(by(({ machine }) => machine.kind));
console.table(by(({ machine }) => `${machine.family}, ${machine.kind}`));
for (const { machine, run } of runs)
  if (run.came !== 'right')
    console.log(`${run.came} ${machine.kind} ${machine.family}: ${machine.title} → ${run.end} (${run.looks.join(', ')})`);
console.log(
  'to reach: listed 95 % with at most 1 % wrong; nothing listed or sound 90 % with at most 3 % wrong; every sound one without a verdict',
);

const folder = join(import.meta.dirname, 'stories', wanted === HELD_OUT ? HELD_OUT : '');
const STORIES = storiesIn(folder).filter(isWanted);
const rows = STORIES.map((story) => {
  const pack = packForFacts(findFamily(story.family) as Pack, story.facts);
  return { story: story, told: told(story, pack), own: byItself(story, pack) };
});
const share = (list: typeof rows, test: (row: (typeof rows)[number]) => boolean) => list.filter(test).length / list.length;
const figures = (list: typeof rows) => ({
  stories: list.length,
  told: percent(share(list, ({ told }) => told.right)),
  'told wrong': percent(share(list, ({ told }) => told.wrong)),
  'own advice': percent(share(list, ({ own }) => own.right)),
  'own wrong': percent(share(list, ({ own }) => own.wrong)),
  forbidden: list.reduce((sum, { own }) => sum + own.forbidden.length, 0),
  minutes: mean(list.map(({ own }) => own.minutes)),
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
