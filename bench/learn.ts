/**
 * Learning from the log: `npm run bench:learn`. The demo's own jobs, then 10,000 finished ones on 500 machines whose parts failed by a known
 * law (Weibull, shape 2, mean 355 h), in one database: until lives, come-backs and priors are there, over HTTP from the real server, the first
 * time and again; what they say of the known law; and when the screen shows its first rows. Baselines in the same run: the demo's log, and
 * the same rows read without anything being worked out.
 */
import { t as bench } from '@patient-badger/wording/bench';
import type { Learning } from '@patient-badger/contract';
import pg from 'pg';
import { cookieOf, letIn, PHONE, start, type Stage } from '../e2e/stage.ts';

const JOBS = 10_000;
const MACHINES = 500;
const [SHAPE, SCALE] = [2, 400];
const MEAN = SCALE * 0.886_226_925;
const FAMILY = 'saw-oil-pump';

/** Machines of one family, each back at the bench whenever its worm failed; hours as its meter had them. */
const MORE = `
  WITH m AS (
    INSERT INTO machines (id, shop_id, family, label, owner, serial, facts)
    SELECT gen_random_uuid(), 'skarrow', '${FAMILY}', 'Saw number ' || n, 'Owner ' || n, 'S' || n, '{}' FROM generate_series(1, $1::int) AS n RETURNING id
  ), visits AS (
    SELECT m.id AS machine, v, $3::float8 * power(-ln(1 - random()), 1 / $4::float8) AS life FROM m, generate_series(1, $2::int) AS v
  ), summed AS (
    SELECT machine, v, sum(life) OVER (PARTITION BY machine ORDER BY v) AS hours FROM visits
  ), made AS (
    INSERT INTO jobs (id, shop_id, machine_id, family, closed, complaint, taken_in_at, closed_at, found, outcome, seq, move_seq, words, summary)
    SELECT gen_random_uuid(), 'skarrow', machine, '${FAMILY}', true, 'Chain runs dry', now() - make_interval(days => (($2::int - v) * 60)),
      now() - make_interval(days => (($2::int - v) * 60), hours => -2), 'Worm stripped', 'replaced', 1, 1, to_tsvector('simple', 'dry'),
      jsonb_build_object('fault', 'worm-stripped', 'faults', jsonb_build_array('worm-stripped'), 'proved', true, 'failed', jsonb_build_array('worm'),
        'fitted', jsonb_build_array(jsonb_build_object('gear', 'worm', 'partNumber', 'QB-' || (v % 40))), 'refused', '[]'::jsonb, 'hands', jsonb_build_array('tobin'),
        'minutesReckoned', 40, 'minutesTaken', 46, 'totalMinor', 5200)
    FROM summed RETURNING id, machine_id, taken_in_at
  )
  INSERT INTO entries (id, shop_id, job_id, "at", "by", payload, seq)
  SELECT gen_random_uuid(), 'skarrow', made.id, made.taken_in_at, 'tobin', jsonb_build_object('kind', 'takenIn', 'machineId', made.machine_id, 'family', '${FAMILY}',
    'complaint', 'dry', 'facts', jsonb_build_object('hours', round(summed.hours::numeric, 1))), 1000000 + row_number() OVER ()
  FROM made JOIN summed ON summed.machine = made.machine_id AND made.taken_in_at = now() - make_interval(days => (($2::int - summed.v) * 60))`;

/** From asking until everything is there. */
async function learnt(stage: Stage, cookie: string): Promise<{ ms: number; learning: Learning }> {
  const began = performance.now();
  for (;;) {
    const answer = await fetch(`${stage.address}/api/learnt`, { headers: { cookie } });
    const learning = (await answer.json()) as Learning;
    if (learning.learnt && !learning.working) return { ms: performance.now() - began, learning };
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

/** Of so many devices the middle one. */
const DEVICES = 5;

async function firstRows(stage: Stage): Promise<number> {
  const took: number[] = [];
  for (let i = 0; i < DEVICES; i++) took.push(await onOneDevice(stage));
  return took.sort((p, q) => p - q)[Math.floor(DEVICES / 2)] ?? NaN;
}

async function onOneDevice(stage: Stage): Promise<number> {
  const { context, page } = await stage.device(PHONE);
  await letIn(context, stage.address, 'Imke');
  // Everything that the first screen does without is there by then, as it is from a device's second visit on.
  await page.goto(stage.address);
  await page.getByRole('link', { name: bench.ratios }).click();
  await page.waitForURL(/ratio/);
  await page.goBack();
  await page.getByRole('link', { name: bench.learnt }).waitFor();
  const began = performance.now();
  await page.getByRole('link', { name: bench.learnt }).click();
  await page.getByTestId('life').first().waitFor();
  const took = performance.now() - began;
  await context.close();
  return took;
}

const stage = await start();
const client = new pg.Client({ connectionString: stage.databaseUrl });
await client.connect();
try {
  const cookie = await cookieOf(stage.address, 'Imke');
  const timed = async (work: () => Promise<unknown>) => {
    const began = performance.now();
    await work();
    return performance.now() - began;
  };
  // The thread starts once in the life of a server.
  await learnt(stage, cookie);
  const written = () => client.query("UPDATE shops SET last_seq = last_seq + 1 WHERE id = 'skarrow'");
  await written();
  const demo = await learnt(stage, cookie);
  const demoRows = await firstRows(stage);
  await client.query(MORE, [MACHINES, JOBS / MACHINES, SCALE, SHAPE]);
  // Nothing of the log lies beyond the shop's own number, or every browser would be told of all of it.
  await client.query("UPDATE shops SET last_seq = 1000001 + $1 WHERE id = 'skarrow'", [JOBS]);
  await client.query('VACUUM ANALYZE');
  const bare = await timed(() =>
    client.query('SELECT id, machine_id, family, taken_in_at, closed_at, summary FROM jobs WHERE summary IS NOT NULL'),
  );
  const whole = await learnt(stage, cookie);
  const again = await learnt(stage, cookie);
  const rows = await firstRows(stage);
  const priors = await timed(() => fetch(`${stage.address}/api/verdicts`, { headers: { cookie } }).then((answer) => answer.text()));
  const life = whole.learning.learnt?.lives.find(
    ({ family, partNumber, unit }) => family === FAMILY && partNumber === null && unit === 'hours',
  )?.life;
  console.log(`jobs: ${demo.learning.learnt?.jobs} in the demo, then ${whole.learning.learnt?.jobs}`);
  console.log(
    `lives, come-backs, verdicts: ${Math.round(demo.ms)} ms, then ${Math.round(whole.ms)} ms (${(whole.ms / bare).toFixed(1)} of reading the rows, ${Math.round(bare)} ms); again ${Math.round(again.ms)} ms`,
  );
  console.log(`priors alone: ${Math.round(priors)} ms`);
  console.log(`screen, press to first rows: ${Math.round(demoRows)} ms, then ${Math.round(rows)} ms (1 : ${(rows / demoRows).toFixed(2)})`);
  console.log(
    `known law: mean ${MEAN.toFixed(0)} h, shape ${SHAPE}; learnt: mean ${life?.mean?.toFixed(0)} h (${life?.meanInterval?.low.toFixed(0)} to ${life?.meanInterval?.high.toFixed(0)}), shape ${life?.shape?.toFixed(2)}, ${life?.failures} failed, ${life?.running} run`,
  );
  if (whole.ms > 2000 || rows > 1000) process.exitCode = 1;
} finally {
  await client.end();
  await stage.stop();
}
