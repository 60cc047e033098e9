/**
 * Work under faults: `npm run bench:faults [-- KIND…]`, a hundred rounds of each kind (ROUNDS=n for another
 * number). What is counted: entries that were shown or answered as kept and are not in the record (lost), that
 * are there twice or were told twice (doubled), that wait for ever or are set aside without a reason of their
 * own (stuck), entries under a name whose PIN was not given (forged), and servers that ended by themselves (crashes). The record is read with SQL, not through the app.
 */
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { browserKilled } from './faults/browserKilled.ts';
import { clocksJump } from './faults/clocksJump.ts';
import { nonsenseProxy } from './faults/nonsenseProxy.ts';
import { handedOver } from './faults/handedOver.ts';
import { diskFull, serverKilled } from './faults/serverKilled.ts';
import { total, type Tally } from './faults/tally.ts';

const ROUNDS = Number(process.env.ROUNDS ?? 100);
const run = promisify(execFile);
const shell = (command: string) =>
  run('bash', ['-c', `ROOT=$PWD; . scripts/machine.sh; home=$(database_home faults); ${command}`]).then(({ stdout }) => stdout.trim());

/** So much room has the disk on which the database is filled up: in memory, so that no other work stands still. */
const DISK = '1g';

/** A cluster of its own, on a small disk: it is crashed and filled up, which no other test would like. Wants the right to mount. */
const database = {
  start: () => shell('start_database "$home" badger'),
  crash: () => shell('crash_database "$home"'),
  fill: () => shell('head -c 2G /dev/zero 2>/dev/null >"$home/ballast" || true'),
  free: () => shell('rm -f "$home/ballast"'),
  mount: () => shell(`mountpoint -q "$home" || mount -t tmpfs -o size=${DISK} faults "$home"; database_home faults`),
  forget: () => shell('forget_database "$home"; mountpoint -q "$home" && umount "$home" || true'),
};

const KINDS = { serverKilled, browserKilled, nonsenseProxy, clocksJump, handedOver, diskFull };
const asked = process.argv.slice(2);
const results: [string, Tally][] = [];
await database.forget();
for (const [name, kind] of Object.entries(KINDS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  if (name === 'diskFull') await database.forget().then(database.mount);
  const began = Date.now();
  const tally = await kind({ rounds: ROUNDS, database });
  results.push([name, tally]);
  const { rounds, written, lost, doubled, stuck, forged, crashes } = tally;
  console.log(
    `${name}: ${rounds} rounds, ${written} entries, ${lost} lost, ${doubled} doubled, ${stuck} stuck, ${forged} forged, ${crashes} crashes, ${Math.round((Date.now() - began) / 1000)} s`,
  );
}
await database.forget();
if (results.some(([, tally]) => total(tally) > 0)) process.exitCode = 1;
