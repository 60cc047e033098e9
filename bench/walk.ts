/**
 * Every remedy of every listed fault of every family, planned and carried out: what goes wrong, how long planning takes, and what a
 * mechanic would be told, as a table in which others mark what they would do and what not.
 *
 *   npm run bench:walk [file for the table]
 */
import { writeFileSync } from 'node:fs';
import { FAMILIES } from '@patient-badger/knowledge';
import { carryOut, cheapestOpening } from './carryOut.ts';
import { operations } from '../scripts/operations.ts';

const [, , into] = process.argv;
const rows: string[] = ['family\tfault\tremedy\tkind\tsuits\topen first\twork\tparts\tsettings\tproofs\tminutes\tleaves\twould do'];
const table: Record<string, Record<string, string | number>> = {};
const times: number[] = [];
let dead = 0;
for (const pack of FAMILIES) {
  let [count, wrong, dearer] = [0, 0, 0];
  const own: number[] = [];
  for (const fault of pack.faults) {
    for (const remedy of fault.remedies) {
      count++;
      const start = performance.now();
      const plan = operations.run('work.plan', { family: pack.id, chosen: [{ fault: fault.id, remedy: remedy.id }] });
      own.push(performance.now() - start);
      const troubles = carryOut(pack, plan, { remedies: [remedy] });
      if (troubles.length > 0) {
        wrong++;
        console.log(`${pack.id} ${fault.id} ${remedy.id}: ${troubles.join('; ')}`);
      }
      const opening = plan.steps.filter(({ kind }) => kind === 'open').reduce((sum, { minutes }) => sum + minutes, 0);
      if (opening > cheapestOpening(pack, remedy.needs) + 1e-9) dearer++;
      const named = (list: readonly string[], from: readonly { id: string; name: string }[]) =>
        list.map((id) => from.find((each) => each.id === id)?.name ?? id).join('; ');
      rows.push(
        [
          pack.name,
          fault.name,
          remedy.name,
          remedy.kind,
          remedy.suits,
          plan.steps
            .filter(({ kind }) => kind === 'open')
            .map(({ name }) => name)
            .join('; '),
          plan.steps
            .filter(({ kind }) => kind === 'do')
            .map(({ name }) => name)
            .join('; '),
          remedy.parts
            .map(
              ({ gear, item, count: n }) =>
                `${n > 1 ? `${n} × ` : ''}${gear ? (pack.driveline.bodies.find(({ id }) => id === gear)?.name ?? gear) : item}`,
            )
            .join('; '),
          named(plan.settings, pack.settings),
          named(plan.proofs, pack.proofs),
          Math.round(plan.minutes),
          remedy.leaves,
          '',
        ].join('\t'),
      );
    }
  }
  dead += pack.faults.filter(({ remedies }) => remedies.length === 0).length + wrong;
  own.sort((p, q) => p - q);
  times.push(...own);
  table[pack.id] = {
    faults: pack.faults.length,
    remedies: count,
    'go wrong': wrong,
    'opened dearer than every set': dearer,
    'median ms': (own[own.length >> 1] ?? 0).toFixed(2),
    'worst ms': (own.at(-1) ?? 0).toFixed(1),
  };
}
console.table(table);
times.sort((p, q) => p - q);
console.log(
  `${times.length} plans, ${dead} dead ends, median ${(times[times.length >> 1] ?? 0).toFixed(2)} ms, worst ${(times.at(-1) ?? 0).toFixed(1)} ms`,
);
if (into) writeFileSync(into, `${rows.join('\n')}\n`);
