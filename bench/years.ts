/**
 * Lists after years of work: `npm run bench:years`. Ten jobs, then 10,000 finished and 500 open jobs of thirty
 * entries each, then 66,000 finished ones, in one database of one shop: what the bench, the finished list, a
 * search and a machine's past weigh on the wire and how long they take, over HTTP from the real server; and
 * when the bench stands in a browser. Baseline in the same run: the shop with ten jobs.
 */
import { brotliCompressSync } from 'node:zlib';
import pg from 'pg';
import { cookieOf, letIn, PHONE, start, type Stage } from '../e2e/stage.ts';

const MOST_BYTES = 100_000;
const TIMES = 15;

/** Jobs as a shop of some hundred machines would have them, made by the database itself. */
const MORE = `
  WITH m AS (SELECT array_agg(id ORDER BY id) AS ids, array_agg(family ORDER BY id) AS families FROM machines WHERE shop_id = 'skarrow'),
  base AS (SELECT last_seq FROM shops WHERE id = 'skarrow'),
  made AS (
    INSERT INTO jobs (id, shop_id, machine_id, family, closed, complaint, taken_in_at, closed_at, found, outcome, seq, move_seq, words)
    SELECT gen_random_uuid(), 'skarrow', m.ids[1 + n % array_length(m.ids, 1)], m.families[1 + n % array_length(m.ids, 1)], $2,
      'Oil comes, but the chain runs hot and squeals after a minute, number ' || n, now() - n * interval '37 minutes',
      CASE WHEN $2 THEN now() - n * interval '31 minutes' END, CASE WHEN $2 THEN 'Chips and gummed oil packed round the worm.' END,
      CASE WHEN $2 THEN 'cleaned' END, base.last_seq + n * $3, 0, to_tsvector('simple', 'chain squeals number ' || n)
    FROM generate_series(1, $1::int) AS n, m, base RETURNING id, seq
  ), written AS (
    INSERT INTO entries (id, shop_id, job_id, "at", "by", payload, seq)
    SELECT gen_random_uuid(), 'skarrow', made.id, now(), 'tobin',
      CASE WHEN k = 1 AND $2 THEN jsonb_build_object('kind', 'closed', 'outcome', 'cleaned', 'found', 'chips')
        ELSE jsonb_build_object('kind', 'remark', 'text', 'A line of the log, as people write them at the bench ' || k) END, made.seq - $3 + k
    FROM made, generate_series(1, $3::int) AS k RETURNING 1
  )
  UPDATE shops SET last_seq = last_seq + $1::bigint * $3 WHERE id = 'skarrow'`;

const ASKED = ['state=open', 'state=closed', 'state=closed&words=squeals', 'machine='] as const;

interface Figure {
  readonly asked: string;
  readonly bytes: number;
  readonly ms: number;
}

async function figures(stage: Stage, machine: string): Promise<readonly Figure[]> {
  const cookie = await cookieOf(stage.address, 'Imke');
  const list: Figure[] = [];
  for (const query of ASKED) {
    const asked = query === 'machine=' ? `machine=${machine}` : query;
    const took: number[] = [];
    let text = '';
    for (let i = 0; i < TIMES; i++) {
      const began = performance.now();
      const answer = await fetch(`${stage.address}/api/jobs?${asked}`, { headers: { 'accept-encoding': 'identity', cookie } });
      text = await answer.text();
      if (!answer.ok) throw new Error(`${asked}: ${answer.status} ${text}`);
      took.push(performance.now() - began);
    }
    list.push({ asked: query, bytes: brotliCompressSync(text).length, ms: took.sort((p, q) => p - q)[Math.floor(TIMES / 2)] ?? NaN });
  }
  return list;
}

async function usable(stage: Stage): Promise<number> {
  const { context, page } = await stage.device(PHONE);
  await letIn(context, stage.address, 'Imke');
  const began = performance.now();
  await page.goto(stage.address, { waitUntil: 'commit' });
  await page
    .getByRole('link', { name: /Next look|Working out/ })
    .first()
    .waitFor();
  const took = performance.now() - began;
  await context.close();
  return took;
}

const stage = await start();
const client = new pg.Client({ connectionString: stage.databaseUrl });
await client.connect();
try {
  const [{ id: machine }] = (await client.query<{ id: string }>('SELECT id FROM machines ORDER BY id LIMIT 1')).rows as [{ id: string }];
  const grow = async (count: number, closed: boolean, entries: number) => {
    await client.query(MORE, [count, closed, entries]);
    await client.query('VACUUM ANALYZE');
  };
  const shops: { name: string; list: readonly Figure[]; usableMs: number }[] = [];
  const measure = async (name: string) => shops.push({ name, list: await figures(stage, machine), usableMs: await usable(stage) });
  await measure('the demo: 10 open, 38 finished');
  await grow(10_000, true, 30);
  await grow(500, false, 30);
  await measure('10,000 finished, 500 open, 30 entries each');
  await grow(56_000, true, 3);
  await measure('66,000 finished');
  const [base] = shops;
  for (const { name, list, usableMs } of shops) {
    console.log(`${name}: bench stands after ${Math.round(usableMs)} ms (1 : ${(usableMs / (base?.usableMs ?? 1)).toFixed(2)})`);
    list.forEach(({ asked, bytes, ms }, i) =>
      console.log(
        `  ${asked.padEnd(28)} ${(bytes / 1000).toFixed(1).padStart(6)} kB  ${ms.toFixed(1).padStart(6)} ms  (${(ms / (base?.list[i]?.ms ?? 1)).toFixed(2)} of the first)`,
      ),
    );
  }
  if (shops.some(({ list }) => list.some(({ bytes }) => bytes > MOST_BYTES))) process.exitCode = 1;
} finally {
  await client.end();
  await stage.stop();
}
