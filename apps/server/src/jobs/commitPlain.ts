import { bearsOnMove, checkEntry, ruleOf } from '@patient-badger/core';
import type { DataSource } from 'typeorm';
import { poolOf } from '../dataSource.ts';
import { packOfJob } from '../machines/packs.ts';
import { CHANNEL } from '../people/channels.ts';
import { ServerProblem } from '../problems.ts';
import { isRefusal, type EntrySubmission, type Outcome } from './commit.ts';

/** Whose job it is and on which machine: never changes once the job is there. Kept for so many jobs. */
export type JobIndex = Map<string, { readonly shopId: string; readonly machineId: string; readonly safetyCritical: boolean }>;

/** It neither opens nor closes a job nor works on one, and its job is known: nothing of the record has to be read for it. */
export const isPlain = ({ entry: { payload, jobId } }: EntrySubmission, known: JobIndex): boolean => {
  const { changesRow, isWork, changesWhatWasSeen, isCheck } = ruleOf(payload);
  return !changesRow && !isWork && !changesWhatWasSeen && !isCheck && known.has(jobId);
};

/**
 * The same as `commit`, in one statement, for entries that are plain: numbers under the shop's row, the
 * entries, their jobs' rows and the announcement. A move that these entries do not bear on stays the move.
 */
const WRITE = `
  WITH given AS (
    SELECT * FROM jsonb_to_recordset($2::jsonb) AS g(n int, id uuid, job uuid, "at" timestamptz, "by" text, payload jsonb, bears boolean, device text)
  ), shop AS (
    UPDATE shops SET last_seq = last_seq + $3 WHERE id = $1 RETURNING last_seq - $3 AS base
  ), written AS (
    INSERT INTO entries (id, shop_id, job_id, "at", "by", payload, held_by, device, seq)
    SELECT g.id, $1, g.job, g."at", g."by", g.payload, g."by", g.device, shop.base + g.n FROM given g, shop ORDER BY g.n
    ON CONFLICT (id) DO NOTHING RETURNING id, job_id, seq
  ), latest AS (
    SELECT w.job_id, max(w.seq) AS seq, bool_or(g.bears) AS bears FROM written w JOIN given g USING (id) GROUP BY w.job_id
  ), shown AS (
    UPDATE jobs j SET seq = latest.seq,
      move_seq = CASE WHEN j.move_seq = j.seq AND NOT latest.bears THEN latest.seq ELSE j.move_seq END
    FROM latest WHERE j.id = latest.job_id
  ), told AS (
    SELECT pg_notify($4, $5)
  )
  SELECT w.id, w.seq FROM written w, told`;

export async function commitPlain(
  dataSource: DataSource,
  shopId: string,
  { list, known }: { readonly list: readonly EntrySubmission[]; readonly known: JobIndex },
): Promise<readonly (Outcome | Error)[]> {
  const checks = await Promise.all(list.map((each) => check(dataSource, shopId, { ...each, known })));
  const sound = list.filter((_, i) => checks[i] === null);
  if (sound.length === 0) return checks.flatMap((each) => each ?? []);
  const given = sound.map(({ entry: { id, jobId, at, by, payload }, device }, i) => ({
    n: i + 1,
    id,
    job: jobId,
    at,
    by,
    payload,
    device,
    bears: bearsOnMove(payload),
  }));
  const { rows } = await poolOf(dataSource).query<{ id: string; seq: string }>({
    name: 'write-plain',
    text: WRITE,
    values: [shopId, JSON.stringify(given), sound.length, CHANNEL, JSON.stringify({ shopId })],
  });
  const stored = new Map(rows.map(({ id, seq }) => [id, Number(seq)]));
  const before = await knownBefore(
    dataSource,
    sound.map(({ entry }) => entry.id).filter((id) => !stored.has(id)),
  );
  const told = new Set<string>();
  return list.map(({ entry: { id, jobId } }, i) => {
    const refused = checks[i];
    if (refused) return refused;
    const seq = stored.get(id);
    const isTwin = told.has(id);
    told.add(id);
    if (seq !== undefined) return { status: isTwin ? 'known' : 'stored', seq };
    const twin = before.get(id);
    if (twin?.shopId !== shopId || twin.jobId !== jobId) return new ServerProblem('invalidInput', { path: 'id' });
    return { status: 'known', seq: Number(twin.seq) };
  });
}

/** Null where the entry makes sense for its machine, else why not. */
async function check(
  { manager }: DataSource,
  shopId: string,
  { entry, known }: EntrySubmission & { readonly known: JobIndex },
): Promise<Error | null> {
  try {
    const job = known.get(entry.jobId);
    if (job?.shopId !== shopId) throw new ServerProblem('unknownJob', { path: 'jobId' });
    checkEntry(entry.payload, await packOfJob(manager, job));
    return null;
  } catch (error) {
    if (error instanceof Error && isRefusal(error)) return error;
    throw error;
  }
}

interface Twin {
  readonly id: string;
  readonly shopId: string;
  readonly jobId: string;
  readonly seq: string;
}

async function knownBefore(dataSource: DataSource, ids: readonly string[]): Promise<ReadonlyMap<string, Twin>> {
  if (ids.length === 0) return new Map();
  const rows = await dataSource.query<Twin[]>(
    'SELECT id, shop_id AS "shopId", job_id AS "jobId", seq FROM entries WHERE id = ANY($1::uuid[])',
    [ids],
  );
  return new Map(rows.map((each) => [each.id, each]));
}
