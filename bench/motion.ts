/**
 * Motion in time with the chain's length: `npm run bench:motion`. A chain of 10,000 joints written in order,
 * backwards and shuffled, through the public operation with its checks; and a turn of every family's driveline.
 * Baseline in the same run: sweeping over all joints until none has news, as one would write it first.
 */
import { createOperations, seeded, type OperationInput } from '@patient-badger/core';
import { familyIds, findFamily } from '@patient-badger/knowledge';

type Input = OperationInput<'driveline.motion'>;
const JOINTS = 10_000;
const MOST_MS = 200;
const RUNS = 9;
const operations = createOperations({ find: findFamily, ids: familyIds });

const joints = Array.from({ length: JOINTS }, (_, i) => ({
  id: `j${i}`,
  type: 'mesh' as const,
  a: `b${i}`,
  b: `b${i + 1}`,
  // Up and down again, so that ten thousand stages do not run out of numbers.
  teethA: 20 + (i % 2),
  teethB: 21 - (i % 2),
}));
const bodies = Array.from({ length: JOINTS + 1 }, (_, i) => ({ id: `b${i}` }));
const random = seeded(7);
const shuffled = joints.map((joint) => ({ joint, at: random() })).sort((p, q) => p.at - q.at);
const orders = { 'in order': joints, backwards: [...joints].reverse(), shuffled: shuffled.map(({ joint }) => joint) };

/** The turns of every body by sweeps over all joints. */
function sweep(list: typeof joints): Map<string, number> {
  const known = new Map([['b0', 3]]);
  for (let grew = true; grew;) {
    grew = false;
    for (const { a, b, teethA, teethB } of list) {
      const from = known.get(a);
      if (from === undefined || known.has(b)) continue;
      known.set(b, (-from * teethA) / teethB);
      grew = true;
    }
  }
  return known;
}

const median = (list: readonly number[]) => [...list].sort((p, q) => p - q)[Math.floor(list.length / 2)] ?? NaN;
const timed = (work: () => unknown, runs: number) => {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return { median: median(times), worst: Math.max(...times) };
};

let missed = false;
for (const [name, list] of Object.entries(orders)) {
  const input: Input = { driveline: { bodies, joints: list }, drive: [{ body: 'b0', turns: 3 }], watch: `b${JOINTS}` };
  const answer = operations.run('driveline.motion', input);
  const plain = sweep(list);
  const off = Math.max(...[...plain].map(([id, turns]) => Math.abs(turns - (answer.bodies[id]?.turns ?? NaN))));
  if (!(off < 1e-6)) throw new Error(`${name}: ${off} turns off`);
  const own = timed(() => operations.run('driveline.motion', input), RUNS);
  const baseline = timed(() => sweep(list), name === 'backwards' ? 1 : 3);
  missed ||= own.median > MOST_MS;
  console.log(
    `${JOINTS} joints ${name}: median ${Math.round(own.median)} ms, worst ${Math.round(own.worst)} ms (to reach ${MOST_MS}); sweeping ${Math.round(baseline.median)} ms, ratio ${(baseline.median / own.median).toFixed(1)}`,
  );
}
const families = familyIds().flatMap((id) => findFamily(id) ?? []);
const turnAll = () => {
  for (const { driveline } of families) {
    const body = driveline.bodies.find(({ kind }) => kind === 'rotor')?.id ?? '';
    operations.run('driveline.motion', { driveline, drive: [{ body, turns: 1 }] });
  }
};
for (let i = 0; i < 20; i++) turnAll();
const every = timed(turnAll, 60);
console.log(`a family's driveline: ${((1000 * every.median) / families.length).toFixed(0)} µs, mean over ${families.length} families`);
if (missed) process.exitCode = 1;
