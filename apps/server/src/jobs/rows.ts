import type { JobPage, JobQuery, JobRow } from '@patient-badger/contract';
import { foldJob } from '@patient-badger/core';
import type { DataSource, EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { beginningsQuery, wordsOf } from '../words.ts';
import { toEntry, writeRow } from './commit.ts';
import { entries } from './entities.ts';

/** Newest first: by the day it was finished, or taken in where it is not. */
const NEWNESS = 'coalesce(j.closed_at, j.taken_in_at)';

interface Read extends Omit<JobRow, 'takenInAt' | 'closedAt' | 'seq'> {
  readonly takenInAt: Date;
  readonly closedAt: Date | null;
  readonly newness: Date;
  readonly seq: string;
  readonly moveSeq: string;
}

const COLUMNS = `j.id, j.machine_id AS "machineId", j.family, m.label, m.owner, j.complaint, j.taken_in_at AS "takenInAt",
  j.closed_at AS "closedAt", j.found, j.outcome, j.seq, j.move, j.move_seq AS "moveSeq", ${NEWNESS} AS newness`;

/** A page of the shop's jobs as lists show them. No entry is read for it. */
export async function jobRows(dataSource: DataSource, shopId: string, asked: JobQuery): Promise<JobPage> {
  const values: unknown[] = [shopId];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const where = ['j.shop_id = $1'];
  if (asked.state) where.push(`j.closed = ${bind(asked.state === 'closed')}`);
  if (asked.machine) where.push(`j.machine_id = ${bind(asked.machine)}`);
  const words = wordsOf(asked.words);
  if (words.length > 0) where.push(`j.words @@ to_tsquery('simple', ${bind(beginningsQuery(words))})`);
  if (asked.after !== undefined) {
    const { newness, id } = readCursor(asked.after);
    where.push(`(${NEWNESS}, j.id) < (${bind(newness)}::timestamptz, ${bind(id)}::uuid)`);
  }
  const found = await dataSource.query<Read[]>(
    `SELECT ${COLUMNS} FROM jobs j JOIN machines m ON m.id = j.machine_id
     WHERE ${where.join(' AND ')} ORDER BY ${NEWNESS} DESC, j.id DESC LIMIT ${bind(asked.most + 1)}`,
    values,
  );
  const rows = found.slice(0, asked.most);
  const last = rows.at(-1);
  return { rows: rows.map(toRow), next: found.length > asked.most && last ? `${last.newness.toISOString()}_${last.id}` : null };
}

/** Rows of these jobs, in no order. */
export async function rowsOf(manager: EntityManager, ids: readonly string[]): Promise<readonly JobRow[]> {
  const found = await manager.query<Read[]>(
    `SELECT ${COLUMNS} FROM jobs j JOIN machines m ON m.id = j.machine_id WHERE j.id = ANY($1::uuid[])`,
    [ids],
  );
  return found.map(toRow);
}

const toRow = ({ takenInAt, closedAt, seq, move, moveSeq, newness: _, ...rest }: Read): JobRow => ({
  ...rest,
  takenInAt: takenInAt.toISOString(),
  closedAt: closedAt?.toISOString() ?? null,
  seq: Number(seq),
  move: closedAt ? { kind: 'finished' } : upToDate(move, moveSeq === seq),
});

/** A move worked out for an older entry may be wrong by now: better none than that one. */
const upToDate = (move: JobRow['move'], isNow: boolean) => (isNow ? move : null);

function readCursor(after: string): { newness: string; id: string } {
  const [, newness, id] = /^(\d{4}-\d\d-\d\dT[\d:.]+Z)_([0-9a-f-]{36})$/.exec(after) ?? [];
  if (!newness || !id || Number.isNaN(Date.parse(newness))) throw new ServerProblem('invalidInput', { path: 'after' });
  return { newness, id };
}

/** So many jobs are read at once where all rows are made anew. */
const AT_ONCE = 200;

/** Makes every row anew from its entries, in all shops; how many there were. */
export async function rebuildRows(dataSource: DataSource): Promise<number> {
  let count = 0;
  for (let last = '00000000-0000-0000-0000-000000000000'; ;) {
    const ids = (await dataSource.query<{ id: string }[]>('SELECT id FROM jobs WHERE id > $1 ORDER BY id LIMIT $2', [last, AT_ONCE])).map(
      ({ id }) => id,
    );
    const end = ids.at(-1);
    if (end === undefined) return count;
    for (const id of ids) await dataSource.transaction((manager) => rebuildRow(manager, id));
    count += ids.length;
    last = end;
  }
}

async function rebuildRow(manager: EntityManager, id: string): Promise<void> {
  // The shop's row first, as every writer does: no entry comes between reading and writing.
  await manager.query('SELECT 1 FROM shops WHERE id = (SELECT shop_id FROM jobs WHERE id = $1) FOR UPDATE', [id]);
  const list = await manager.find(entries, { where: { jobId: id }, order: { seq: 'ASC' } });
  await writeRow(manager, id, foldJob(id, list.map(toEntry)));
  await manager.query('UPDATE jobs SET seq = $2, move = NULL, move_seq = 0 WHERE id = $1', [id, list.at(-1)?.seq ?? 0]);
}
