/**
 * Heavy sums at a tenth of the speed: `npm run bench:slow`. Nine busy loops a core take the processor from the real server;
 * each heavy operation is asked with one of its golden cases, twice. Baseline in the same run: the same before the loops start.
 */
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import type { Case } from '@patient-badger/core';
import { cookieOf, start } from '../e2e/stage.ts';
import { operations } from '../scripts/operations.ts';

const LOOPS_A_CORE = 9;
const CASES = join(import.meta.dirname, '../packages/core/cases');

const all = readdirSync(CASES).flatMap((file) => JSON.parse(readFileSync(join(CASES, file), 'utf8')) as Case[]);
const isAnswered = ({ expect }: Case) => !(typeof expect === 'object' && expect !== null && 'error' in expect);
const heavy = operations.list
  .filter((each) => each.heavy)
  .flatMap(({ name }) => all.filter((each) => each.op === name && isAnswered(each)).slice(0, 1));

const stage = await start();
const cookie = await cookieOf(stage.address, 'Imke');
async function ask({ op, input }: Case): Promise<{ status: number; ms: number }> {
  const began = performance.now();
  const response = await fetch(`${stage.address}/api/operations/${op}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie, origin: stage.address },
    body: JSON.stringify(input),
  });
  await response.arrayBuffer();
  return { status: response.status, ms: Math.round(performance.now() - began) };
}
const askAll = async () => {
  const answers: Record<string, string> = {};
  for (const request of heavy) {
    const { status, ms } = await ask(request);
    answers[request.op] = `${status}, ${ms} ms`;
  }
  return answers;
};

const free = await askAll();
const loops = Array.from({ length: LOOPS_A_CORE * availableParallelism() }, () => spawn(process.execPath, ['-e', 'for (;;);']));
try {
  const first = await askAll();
  const second = await askAll();
  console.table(Object.fromEntries(heavy.map(({ op }) => [op, { free: free[op], 'at a tenth': first[op], again: second[op] }])));
  const missed = Object.values({ ...first, ...second }).filter((each) => !each.startsWith('200'));
  console.log(`${heavy.length} heavy operations, ${missed.length} without an answer at a tenth of the speed   to reach: 0`);
} finally {
  for (const each of loops) each.kill('SIGKILL');
  await stage.stop();
}
