/**
 * npm run walks [part of a name] [file]: the twelve walks from take-in to closed record, with what each asked of a hand and left on
 * record. WALK_WIDE=1 walks them at the counter’s size, WALK_PRESSES=1 names each press.
 */
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { PHONE, start, WIDE } from '../e2e/stage.ts';
import { walk, WALKS } from '../e2e/walks.ts';
import type { WalkCounts } from '../e2e/walking.ts';

const [wanted = '', into] = process.argv.slice(2);
const stage = await start();
const found: Record<string, WalkCounts | { error: string }> = {};
try {
  for (const one of WALKS.filter(({ id }) => id.includes(wanted))) {
    found[one.id] = await walk(stage, one, process.env.WALK_WIDE ? WIDE : PHONE).catch((error: unknown) => ({
      error: String(error).slice(0, 600),
    }));
    console.log(one.id, JSON.stringify(found[one.id]));
  }
} finally {
  await stage.stop();
}
if (into) {
  const at = execFileSync('git', ['rev-parse', '--short', 'HEAD'], { encoding: 'utf8' }).trim();
  writeFileSync(into, `${JSON.stringify({ at, walks: found }, null, 1)}\n`);
}
