/**
 * Work under faults: `npm run bench:faults [-- KIND…]`, a hundred rounds of each kind (ROUNDS=n for another
 * number). What is counted: entries that were shown or answered as kept and are not in the record (lost), that
 * are there twice or were told twice (doubled), that wait for ever or are set aside without a reason of their
 * own (stuck), and servers that ended by themselves (crashes). The record is read with SQL, not through the app.
 */
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { browserKilled } from './faults/browserKilled.ts';
import { clocksJump } from './faults/clocksJump.ts';
import { nonsenseProxy } from './faults/nonsenseProxy.ts';
import { serverKilled } from './faults/serverKilled.ts';
import { total, type Tally } from './faults/tally.ts';

const ROUNDS = Number(process.env.ROUNDS ?? 100);
const run = promisify(execFile);
const shell = (command: string) =>
  run('bash', ['-c', `ROOT=$PWD; . scripts/machine.sh; home=$(database_home faults); ${command}`]).then(({ stdout }) => stdout.trim());

/** A cluster of its own: it is crashed, which no other test would like. */
const database = {
  start: () => shell('start_database "$home" badger'),
  crash: () => shell('crash_database "$home"'),
  forget: () => shell('forget_database "$home"'),
};

const KINDS = { serverKilled, browserKilled, nonsenseProxy, clocksJump };
const asked = process.argv.slice(2);
const results: [string, Tally][] = [];
await database.forget();
for (const [name, kind] of Object.entries(KINDS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const began = Date.now();
  const tally = await kind({ rounds: ROUNDS, database });
  results.push([name, tally]);
  const { rounds, written, lost, doubled, stuck, crashes } = tally;
  console.log(
    `${name}: ${rounds} rounds, ${written} entries, ${lost} lost, ${doubled} doubled, ${stuck} stuck, ${crashes} crashes, ${Math.round((Date.now() - began) / 1000)} s`,
  );
}
await database.forget();
if (results.some(([, tally]) => total(tally) > 0)) process.exitCode = 1;
