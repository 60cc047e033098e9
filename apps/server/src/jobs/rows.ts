import type { JobPage, JobQuery, JobRow } from '@patient-badger/contract';
import { foldJob } from '@patient-badger/core/job';
import type { DataSource, EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { beginningsQuery, wordsOf } from '../words.ts';
import { toEntry, writeRow } from './commit.ts';
import { packOfJob } from '../machines/packs.ts';
import { holdShop } from '../machines/tellRows.ts';
import { entries, jobs } from './entities.ts';

/** Newest first: by the day it was finished, or taken in where it is not. */
const NEWNESS = 'coalesce(j.closed_at, j.taken_in_at)';
/** What is to be looked at again, the soonest first. */
const AGAIN = 'j.follow_up_on, j.id';
/** The bench: what was promised soonest first, what waits for a part after what can be moved on, then who came first. */
const TURN = `coalesce(j.promised_on, 'infinity'::date), j.waits, j.taken_in_at, j.id`;

interface JobRowRecord extends Omit<JobRow, 'takenInAt' | 'closedAt' | 'seq'> {
  readonly followUpOn: string | null;
  readonly takenInAt: Date;
  readonly closedAt: Date | null;
  readonly newness: Date;
  readonly waits: boolean;
  readonly seq: string;
  readonly moveSeq: string;
}

const COLUMNS = `j.id, j.machine_id AS "machineId", j.family, m.label, m.owner, j.complaint, j.taken_in_at AS "takenInAt",
  j.closed_at AS "closedAt", j.promised_on::text AS "promisedOn", j.found, j.outcome, j.follow_up AS "followUp", j.follow_up_on::text AS "followUpOn", j.seq, j.move, j.move_seq AS "moveSeq", ${NEWNESS} AS newness, j.waits`;

/** A page of the shop's jobs as lists show them. No entry is read for it. */
export async function jobRows(dataSource: DataSource, shopId: string, asked: JobQuery): Promise<JobPage> {
  const values: unknown[] = [shopId];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const where = ['j.shop_id = $1'];
  // Spelled out, so that the index of the open ones is seen to hold them.
  if (asked.state) where.push(asked.state === 'closed' ? 'j.closed' : 'NOT j.closed');
  const inTurn = asked.state === 'open';
  if (asked.waits) where.push(`j.waits = ${bind(asked.waits === 'yes')}`);
  if (asked.again) where.push('j.follow_up_on IS NOT NULL');
  if (asked.machine) where.push(`j.machine_id = ${bind(asked.machine)}`);
  const words = wordsOf(asked.words);
  if (words.length > 0) where.push(`j.words @@ to_tsquery('simple', ${bind(beginningsQuery(words))})`);
  if (asked.after !== undefined) {
    const { promised, waits, newness, id } = readCursor(asked.after);
    if (asked.again) where.push(`(${AGAIN}) > (${bind(promised)}::date, ${bind(id)}::uuid)`);
    const place = () => `${bind(newness)}::timestamptz, ${bind(id)}::uuid`;
    if (!asked.again)
      where.push(
        inTurn ? `(${TURN}) > (${bind(promised)}::date, ${bind(waits)}::boolean, ${place()})` : `(${NEWNESS}, j.id) < (${place()})`,
      );
  }
  const listed = inTurn ? TURN : `${NEWNESS} DESC, j.id DESC`;
  const order = asked.again ? AGAIN : listed;
  const found = await dataSource.query<JobRowRecord[]>(
    `SELECT ${COLUMNS} FROM jobs j JOIN machines m ON m.id = j.machine_id
     WHERE ${where.join(' AND ')} ORDER BY ${order} LIMIT ${bind(asked.most + 1)}`,
    values,
  );
  const rows = found.slice(0, asked.most);
  const last = rows.at(-1);
  return {
    rows: rows.map(toRow),
    next: found.length > asked.most && last ? cursorOf(asked.again ? { ...last, promisedOn: last.followUpOn } : last) : null,
  };
}

/** Rows of these jobs, in no order. */
export async function rowsOf(manager: EntityManager, ids: readonly string[]): Promise<readonly JobRow[]> {
  const found = await manager.query<JobRowRecord[]>(
    `SELECT ${COLUMNS} FROM jobs j JOIN machines m ON m.id = j.machine_id WHERE j.id = ANY($1::uuid[])`,
    [ids],
  );
  return found.map(toRow);
}

const toRow = ({ takenInAt, closedAt, seq, move, moveSeq, newness: _, waits: __, followUpOn: ___, ...rest }: JobRowRecord): JobRow => ({
  ...rest,
  takenInAt: takenInAt.toISOString(),
  closedAt: closedAt?.toISOString() ?? null,
  seq: Number(seq),
  move: closedAt ? { kind: 'finished' } : upToDate(move, moveSeq === seq),
});

/** A move worked out for an older entry may be wrong by now: better none than that one. */
const upToDate = (move: JobRow['move'], isNow: boolean) => (isNow ? move : null);

const cursorOf = ({ newness, id, promisedOn, waits }: JobRowRecord): string =>
  [newness.toISOString(), id, promisedOn ?? 'infinity', waits ? 'waits' : 'moves'].join('_');

function readCursor(after: string) {
  const [, newness, id, promised, waits] =
    /^(\d{4}-\d\d-\d\dT[\d:.]+Z)_([0-9a-f-]{36})_(infinity|\d{4}-\d\d-\d\d)_(waits|moves)$/.exec(after) ?? [];
  if (!newness || !id || !promised || Number.isNaN(Date.parse(newness)) || (promised !== 'infinity' && Number.isNaN(Date.parse(promised))))
    throw new ServerProblem('invalidInput', { path: 'after' });
  return { newness, id, promised, waits: waits === 'waits' };
}

/** So many jobs are read at once where all rows are made anew. */
const AT_ONCE = 200;

/** Makes every row anew from its entries, in all shops; how many there were. */
export async function rebuildRows(dataSource: DataSource): Promise<number> {
  let count = 0;
  for (let last = '00000000-0000-0000-0000-000000000000'; ;) {
    const found = await dataSource.query<{ id: string; shopId: string }[]>(
      'SELECT id, shop_id AS "shopId" FROM jobs WHERE id > $1 ORDER BY id LIMIT $2',
      [last, AT_ONCE],
    );
    const end = found.at(-1);
    if (end === undefined) return count;
    for (const each of found) await dataSource.transaction((manager) => rebuildRow(manager, each));
    count += found.length;
    last = end.id;
  }
}

async function rebuildRow(manager: EntityManager, { id, shopId }: { readonly id: string; readonly shopId: string }): Promise<void> {
  // No entry comes between reading and writing.
  await holdShop(manager, shopId);
  const list = await manager.find(entries, { where: { jobId: id }, order: { seq: 'ASC' } });
  const { machineId, safetyCritical } = await manager.findOneByOrFail(jobs, { id });
  await writeRow(manager, {
    state: foldJob(id, list.map(toEntry)),
    pack: await packOfJob(manager, { shopId, machineId, safetyCritical }),
    shopId,
  });
  await manager.query('UPDATE jobs SET seq = $2, move = NULL, move_seq = 0 WHERE id = $1', [id, list.at(-1)?.seq ?? 0]);
}
