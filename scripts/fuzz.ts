import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { familyIds } from '@patient-badger/knowledge';
import { createPool } from '../apps/server/src/threads/pool.ts';
import type { Trial, TrialResult } from '../packages/core/src/fuzz/campaign.ts';
import { operations } from './operations.ts';

// npm run fuzz [-- INPUTS [OPERATION…]]: every operation with inputs that its schema allows, with golden ones changed
// a little, and with broken ones, on the pool of threads that the server uses. SEED=n repeats a run.
const INPUTS = Number(process.argv[2] ?? 20_000);
const only = process.argv.slice(3);
const SEED = Number(process.env.SEED ?? Date.now() % 1_000_000);
const SHARE = 250;
/** What a person waits for at a desk, and the deadline of a heavy operation on the server, ms. */
const MOST_MS = { light: 1000, heavy: 5000 };
const CASES = 'packages/core/cases';

const golden = readdirSync(CASES).flatMap(
  (file) => JSON.parse(readFileSync(join(CASES, file), 'utf8')) as readonly { readonly op: string; readonly input: unknown }[],
);
const pool = createPool<Omit<Trial, 'sentenceOf' | 'now'>, TrialResult>(new URL('./fuzzOnThread.ts', import.meta.url), {
  threads: 2,
  queue: 0,
  deadlineMs: 300_000,
});
/** Two at a time: what waits would be late before it began. */
async function inTurn(shares: readonly Omit<Trial, 'sentenceOf' | 'now'>[]): Promise<readonly TrialResult[]> {
  const waiting = [...shares];
  const results: TrialResult[] = [];
  const runner = async () => {
    for (let next = waiting.pop(); next; next = waiting.pop()) results.push(await pool.run(next));
  };
  await Promise.all([runner(), runner()]);
  return results;
}

const tried = operations.list.filter(({ name }) => only.length === 0 || only.includes(name));
console.log(`seed ${SEED}, ${INPUTS} inputs an operation`);
let bad = 0;
for (const { name, heavy } of tried) {
  const shares = Array.from({ length: Math.ceil(INPUTS / SHARE) }, (_, i) => ({
    name,
    seed: SEED + i,
    runs: Math.min(SHARE, INPUTS - i * SHARE),
    golden: golden.filter(({ op }) => op === name).map(({ input }) => input),
    words: familyIds(),
  }));
  const results = await inTurn(shares);
  const sum = (of: (each: TrialResult) => number) => results.reduce((total, each) => total + of(each), 0);
  const slowest = results.reduce((worst, each) => (each.slowestMs > worst.slowestMs ? each : worst));
  const trouble = results.flatMap((each) => each.trouble);
  const late = slowest.slowestMs > (heavy ? MOST_MS.heavy : MOST_MS.light);
  bad += trouble.length + (late ? 1 : 0);
  console.log(
    `${trouble.length + (late ? 1 : 0) > 0 ? 'FAIL' : 'ok  '} ${name}: ${sum((each) => each.answered)} answered, ${sum((each) => each.refused)} refused, ${trouble.length} in trouble, slowest ${Math.round(slowest.slowestMs)} ms`,
  );
  for (const { kind, what, input } of trouble.slice(0, 3)) console.log(`  ${kind}: ${what}\n    ${JSON.stringify(input).slice(0, 600)}`);
  if (late) console.log(`  late: ${JSON.stringify(slowest.slowest).slice(0, 600)}`);
}
await pool.close();
console.log(`${bad} in trouble`);
process.exitCode = bad > 0 ? 1 : 0;
