import {
  checkEntry,
  CoreFailure,
  entry as entrySchema,
  failureFromZod,
  foldJob,
  openLedger,
  ruleOf,
  secondCheckedBy,
  type Entry,
  type JobState,
  type Pack,
} from '@patient-badger/core';
import type { EntryReceipt } from '@patient-badger/contract';
import { failureSentence } from '@patient-badger/wording';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { packOfJob } from '../machines/packs.ts';
import { ServerProblem } from '../problems.ts';
import { people } from '../shop/entities.ts';
import { machines } from '../machines/entities.ts';
import { entries, jobs, type EntryRow, type JobRow } from './entities.ts';

/** Channel on which a committed entry is announced to every server process. */
export const CHANNEL = 'badger_entries';

/**
 * Stores entries one by one, each in a transaction of its own: a bad one is refused with a sentence
 * and takes none of the others with it. One sent before is known and harmless. Entries arrive in the
 * order in which the device wrote them, so a job's take-in comes before the rest.
 */
export async function storeEntries(dataSource: DataSource, shopId: string, batch: readonly unknown[]): Promise<EntryReceipt[]> {
  const receipts: EntryReceipt[] = [];
  for (const raw of batch) receipts.push(await storeOne(dataSource, shopId, raw));
  return receipts;
}

async function storeOne(dataSource: DataSource, shopId: string, raw: unknown): Promise<EntryReceipt> {
  const given = String((raw as { id?: unknown } | null)?.id ?? '');
  try {
    const parsed = entrySchema.safeParse(raw);
    if (!parsed.success) throw failureFromZod(parsed.error, raw);
    const status = await dataSource.transaction((manager) => insert(manager, shopId, parsed.data));
    return { id: parsed.data.id, status };
  } catch (error) {
    if (error instanceof CoreFailure) return { id: given, status: 'refused', path: error.path, sentence: failureSentence(error) };
    if (error instanceof ServerProblem)
      return { id: given, status: 'refused', ...(error.path && { path: error.path }), sentence: error.message };
    throw error;
  }
}

async function insert(manager: EntityManager, shopId: string, given: Entry): Promise<'stored' | 'known'> {
  const known = await manager.findOneBy(entries, { id: given.id });
  if (known) {
    if (known.jobId !== given.jobId || known.shopId !== shopId) throw new ServerProblem('invalidInput', { path: 'id' });
    return 'known';
  }
  if (!(await manager.existsBy(people, { id: given.by, shopId }))) throw new ServerProblem('unknownPerson', { path: 'by' });
  const job = given.payload.kind === 'takenIn' ? await openJob(manager, shopId, given) : await lockJob(manager, shopId, given.jobId);
  const pack = await packOfJob(manager, job);
  checkEntry(given.payload, pack);
  if (given.payload.kind === 'closed') refuseUnfinished(pack, await stateOf(manager, job), given.payload.despiteLedger);
  await manager.insert(entries, { ...given, at: new Date(given.at), shopId });
  if (ruleOf(given.payload).movesJob) await settleClosed(manager, job);
  // Heard by every server process on this database, once this transaction is committed.
  await manager.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify({ shopId, ids: [given.id] })]);
  return 'stored';
}

/** A job is closed only with everything back that came off, or a reason; and looked over where someone can be hurt by it. */
function refuseUnfinished(pack: Pack, state: JobState, despiteLedger: string | undefined): void {
  if (despiteLedger === undefined && openLedger(pack, state).length > 0) throw new ServerProblem('ledgerOpen');
  if (pack.safetyCritical && secondCheckedBy(state) === null) throw new ServerProblem('secondCheckMissing');
}

async function openJob(manager: EntityManager, shopId: string, given: Entry): Promise<JobRow> {
  if (given.payload.kind !== 'takenIn') throw new ServerProblem('unknownJob');
  const { machineId, family } = given.payload;
  const machine = await manager.findOneBy(machines, { id: machineId, shopId });
  if (!machine) throw new ServerProblem('unknownMachine', { path: 'payload.machineId' });
  if (machine.family !== family) {
    throw new ServerProblem('otherFamily', { path: 'payload.family' });
  }
  const row: JobRow = { id: given.jobId, shopId, machineId, family, closed: false };
  await manager.createQueryBuilder().insert().into(jobs).values(row).orIgnore().execute();
  return lockJob(manager, shopId, given.jobId);
}

/** Locks the job's row, so that two entries that close and reopen it settle one after the other. */
async function lockJob(manager: EntityManager, shopId: string, id: string): Promise<JobRow> {
  const job = await manager.findOne(jobs, { where: { id, shopId }, lock: { mode: 'pessimistic_write' } });
  if (!job) throw new ServerProblem('unknownJob', { path: 'jobId' });
  return job;
}

const stateOf = async (manager: EntityManager, { id }: JobRow): Promise<JobState> =>
  foldJob(id, (await manager.findBy(entries, { jobId: id })).map(toEntry));

async function settleClosed(manager: EntityManager, job: JobRow): Promise<void> {
  const closed = (await stateOf(manager, job)).closed !== null;
  if (closed !== job.closed) await manager.update(jobs, { id: job.id }, { closed });
}

/** Jobs with their entries, oldest entry first. */
export async function jobsWithEntries(dataSource: DataSource, rows: readonly JobRow[]) {
  const found =
    rows.length === 0
      ? []
      : await dataSource.getRepository(entries).find({ where: { jobId: In(rows.map(({ id }) => id)) }, order: { at: 'ASC' } });
  const byJob = new Map<string, Entry[]>(rows.map(({ id }) => [id, []]));
  for (const row of found) byJob.get(row.jobId)?.push(toEntry(row));
  return rows.map(({ id, machineId, family }) => ({ id, machineId, family, entries: byJob.get(id) ?? [] }));
}

export const toEntry = ({ id, jobId, at, by, payload }: EntryRow): Entry => ({ id, jobId, at: at.toISOString(), by, payload });
