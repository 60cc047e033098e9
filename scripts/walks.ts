/** npm run walks [part of a name]: the twelve walks from take-in to closed record, with what each asked of a hand and left on record. */
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { start } from '../e2e/stage.ts';
import { walk, WALKS } from '../e2e/walks.ts';
import type { WalkCounts } from '../e2e/walking.ts';

const [wanted = '', into] = process.argv.slice(2);
const stage = await start();
const found: Record<string, WalkCounts | { error: string }> = {};
try {
  for (const one of WALKS.filter(({ id }) => id.includes(wanted))) {
    found[one.id] = await walk(stage, one).catch((error: unknown) => ({ error: String(error).slice(0, 600) }));
    console.log(one.id, JSON.stringify(found[one.id]));
  }
} finally {
  await stage.stop();
}
if (into) {
  const at = execFileSync('git', ['rev-parse', '--short', 'HEAD'], { encoding: 'utf8' }).trim();
  writeFileSync(into, `${JSON.stringify({ at, walks: found }, null, 1)}\n`);
}
