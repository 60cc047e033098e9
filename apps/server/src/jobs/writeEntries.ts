import { bearsOnMove } from '@patient-badger/core/job';
import { CHANNEL } from '../people/channels.ts';
import { ServerProblem } from '../problems.ts';
import type { EntrySubmission, Outcome } from './commit.ts';

/**
 * Entries into the record, in one statement: numbers under the shop's row, which is held until the commit, so that they
 * follow the order of commits (who has read up to one has missed none before it); their jobs' rows; and the announcement.
 * One that is there already is left as it is. A move on which these entries do not bear stays the move.
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

interface Statement {
  readonly name: string;
  readonly text: string;
  readonly values: unknown[];
}

/** A connection, or a pool of them. */
export interface Connection {
  query<Row extends object>(statement: Statement): Promise<{ readonly rows: Row[] }>;
}

interface Twin {
  readonly id: string;
  readonly shopId: string;
  readonly jobId: string;
  readonly seq: string;
}

/** Writes the entries, which are known to make sense, in the order given; of each, where it is, or that its id is another's. */
export async function writeEntries(
  connection: Connection,
  shopId: string,
  list: readonly EntrySubmission[],
): Promise<readonly (Outcome | ServerProblem)[]> {
  if (list.length === 0) return [];
  const given = list.map(({ entry: { id, jobId, at, by, payload }, device }, i) => ({
    n: i + 1,
    id,
    job: jobId,
    at,
    by,
    payload,
    device,
    bears: bearsOnMove(payload),
  }));
  const { rows } = await connection.query<{ id: string; seq: string }>({
    name: 'write-entries',
    text: WRITE,
    values: [shopId, JSON.stringify(given), list.length, CHANNEL, JSON.stringify({ shopId })],
  });
  const stored = new Map(rows.map(({ id, seq }) => [id, Number(seq)]));
  const before = await twinsOf(
    connection,
    list.flatMap(({ entry: { id } }) => (stored.has(id) ? [] : [id])),
  );
  const told = new Map<string, string>();
  return list.map(({ entry: { id, jobId } }) => {
    const seq = stored.get(id);
    const sameJob = told.get(id);
    told.set(id, sameJob ?? jobId);
    if (seq !== undefined && sameJob === undefined) return { status: 'stored', seq };
    const twin = seq === undefined ? before.get(id) : { shopId, jobId: sameJob, seq };
    if (twin?.shopId !== shopId || twin.jobId !== jobId) return new ServerProblem('invalidInput', { path: 'id' });
    return { status: 'known', seq: Number(twin.seq) };
  });
}

/** What the record has under these ids. */
export async function twinsOf(connection: Connection, ids: readonly string[]): Promise<ReadonlyMap<string, Twin>> {
  if (ids.length === 0) return new Map();
  const { rows } = await connection.query<Twin>({
    name: 'entries-known',
    text: 'SELECT id, shop_id AS "shopId", job_id AS "jobId", seq FROM entries WHERE id = ANY($1::uuid[])',
    values: [ids],
  });
  return new Map(rows.map((each) => [each.id, each]));
}
