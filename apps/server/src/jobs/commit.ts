import { CoreFailure } from '@patient-badger/core';
import { checkEntry, foldJob, jobSummary, openFollowUps, ruleOf, type Entry, type JobState } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import type { Role } from '@patient-badger/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { packOfJob } from '../machines/packs.ts';
import { holdShop } from '../machines/tellRows.ts';
import { shops } from '../people/entities.ts';
import { ServerProblem } from '../problems.ts';
import { jobWords } from '../words.ts';
import { entries, jobs, type EntryRow, type JobRow } from './entities.ts';
import { refuseCheck, refuseUnfinished } from './gate.ts';
import { twinsOf, writeEntries, type Connection } from './writeEntries.ts';

/** An entry whose form is sound; of a take-in the pack of its machine is known. */
export interface EntrySubmission {
  readonly entry: Entry;
  readonly role: Role;
  readonly pack: Pack | null;
  /** What the device is called from which it came; held by who wrote it. */
  readonly device: string;
}

export interface Outcome {
  readonly status: 'stored' | 'known';
  readonly seq: number;
}

/** Behind every number that the record gave: where an entry stands that is not written yet, whatever its device says of it. */
const UNWRITTEN = 2 ** 52;
/** Entries that may check a job, or close it. */
const GATED = new Set(['secondChecked', 'outsideChecked', 'closed', 'withdrawn']);

type JobNow = Pick<JobRow, 'id' | 'shopId' | 'machineId' | 'family' | 'closed' | 'safetyCritical'>;

/**
 * Entries into the record in one transaction, in the order given, each answered for itself: where it is, or why not. For
 * those that open, check or close a job, or work on one: what the record has of it is read, and nobody writes meanwhile.
 */
export async function commit(
  dataSource: DataSource,
  shopId: string,
  { list, onJob }: { readonly list: readonly EntrySubmission[]; readonly onJob: (job: JobNow) => void },
): Promise<readonly (Outcome | Error)[]> {
  return dataSource.transaction(async (manager) => {
    await holdShop(manager, shopId);
    const connection = await connectionOf(manager);
    const ids = list.map(({ entry }) => entry.id);
    const known = new Set((await twinsOf(connection, ids)).keys());
    const checking = await beginChecking(manager, shopId, { list, known });
    const refusals = new Map<EntrySubmission, Error>();
    for (const submission of list) {
      const refusal = await refusalOf(() => checking.check(submission));
      if (refusal) refusals.set(submission, refusal);
    }
    const outcomes = await writeSound(connection, shopId, { list, refusals });
    for (const { job, pack } of checking.moved()) {
      await writeRow(manager, { state: foldJob(job.id, await entriesOf(manager, job.id)), pack, shopId });
    }
    checking.jobs().forEach(onJob);
    return outcomes;
  });
}

/** The connection of a transaction. */
const connectionOf = async ({ queryRunner }: EntityManager): Promise<Connection> => {
  if (!queryRunner) throw new Error('not within a transaction');
  return (await queryRunner.connect()) as Connection;
};

/** What the house says of an entry; anything else broke the transaction. */
export async function refusalOf(check: () => Promise<void>): Promise<Error | null> {
  try {
    await check();
    return null;
  } catch (error) {
    if (error instanceof ServerProblem || error instanceof CoreFailure) return error;
    throw error;
  }
}

interface CheckedEntries {
  readonly list: readonly EntrySubmission[];
  readonly refusals: ReadonlyMap<EntrySubmission, Error>;
}

/** Writes what was not refused; what came of each, in the order given. */
export async function writeSound(
  connection: Connection,
  shopId: string,
  { list, refusals }: CheckedEntries,
): Promise<readonly (Outcome | Error)[]> {
  const sound = list.filter((each) => !refusals.has(each));
  const outcomes = [...(await writeEntries(connection, shopId, sound))];
  return list.flatMap((each) => refusals.get(each) ?? outcomes.shift() ?? []);
}

const entriesOf = async (manager: EntityManager, jobId: string): Promise<Entry[]> =>
  (await manager.find(entries, { where: { jobId } })).map(toEntry);

interface Arrival {
  readonly list: readonly EntrySubmission[];
  /** Ids of entries that the record has. */
  readonly known: Set<string>;
}

/** Checks entries one after another: each stands on those before it, of which none is written yet. */
async function beginChecking(manager: EntityManager, shopId: string, { list, known }: Arrival) {
  const jobIds = [...new Set(list.map(({ entry }) => entry.jobId))];
  const found = await manager
    .createQueryBuilder(jobs, 'j')
    .select(['j.id', 'j.shopId', 'j.machineId', 'j.family', 'j.closed', 'j.safetyCritical'])
    .where('j.id = ANY(:jobIds)', { jobIds })
    .getMany();
  const jobsNow = new Map<string, JobNow>(found.map((each) => [each.id, each]));
  const pending: Entry[] = [];
  const moved = new Map<string, { readonly job: JobNow; readonly pack: Pack }>();

  const begin = async ({ jobId, at, payload }: Entry, { safetyCritical }: Pack): Promise<JobNow> => {
    if (payload.kind !== 'takenIn') throw new ServerProblem('unknownJob', { path: 'jobId' });
    const { machineId, family, complaint } = payload;
    const made = { id: jobId, shopId, machineId, family, closed: false, safetyCritical };
    await manager.insert(jobs, { ...made, complaint, takenInAt: new Date(at), seq: 0, moveSeq: 0 });
    jobsNow.set(jobId, made);
    return made;
  };

  const refuseAtGate = async ({ entry, role }: EntrySubmission, pack: Pack) => {
    if (!GATED.has(entry.payload.kind)) return;
    const { jobId } = entry;
    const before = [...(await entriesOf(manager, jobId)), ...pending.filter((each) => each.jobId === jobId)];
    const gated = { shopId, pack, state: foldJob(jobId, before), entry, role };
    if (ruleOf(entry.payload).isCheck) return refuseCheck(manager, gated);
    // Whatever closes a job goes through one gate: also the taking back of what had opened it again.
    const closes = gated.state.closed === null && foldJob(jobId, [...before, entry]).closed !== null;
    if (closes) await refuseUnfinished(manager, gated);
  };

  return {
    jobs: () => [...jobsNow.values()],
    /** Jobs whose rows these entries change otherwise than by their number. */
    moved: () => [...moved.values()],
    /** @throws ServerProblem, CoreFailure */
    async check(checked: EntrySubmission): Promise<void> {
      // Its twin went through all this.
      if (known.has(checked.entry.id)) return;
      const entry = { ...checked.entry, seq: UNWRITTEN + pending.length };
      const { payload } = entry;
      const there = jobsNow.get(entry.jobId);
      if (there && there.shopId !== shopId) throw new ServerProblem('unknownJob', { path: 'jobId' });
      const pack = there ? await packOfJob(manager, there) : checked.pack;
      if (!pack) throw new ServerProblem('unknownJob', { path: 'jobId' });
      checkEntry(payload, pack);
      const job = there ?? (await begin(entry, pack));
      await refuseAtGate({ ...checked, entry }, pack);
      pending.push(entry);
      known.add(entry.id);
      const rule = ruleOf(payload);
      if (rule.changesRow || ((rule.isWork || rule.changesWhatWasSeen) && job.closed)) moved.set(job.id, { job, pack });
    },
  };
}

interface JobRowUpdate {
  readonly state: JobState;
  readonly pack: Pack;
  readonly shopId: string;
}

/** What lists show of a job, as its entries have it, and what is learnt from it once it is closed; the next move is worked out elsewhere. */
export async function writeRow(manager: EntityManager, { state, pack, shopId }: JobRowUpdate): Promise<void> {
  const { jobId, takenIn, takenInAt, closed, promisedOn } = state;
  const [next] = openFollowUps(state);
  await manager.query(
    `UPDATE jobs j SET complaint = $2, taken_in_at = coalesce($3::timestamptz, j.taken_in_at), closed = $4, closed_at = $5, found = $6, outcome = $7, promised_on = $8::date,
       follow_up = $9::jsonb, follow_up_on = $10::date, summary = $11::jsonb, words = ${jobWords('$2::text', '$6::text')}
     FROM machines m WHERE j.id = $1 AND m.id = j.machine_id`,
    [
      jobId,
      takenIn?.complaint ?? '',
      takenInAt,
      closed !== null,
      closed?.at ?? null,
      closed?.found ?? null,
      closed?.outcome ?? null,
      promisedOn,
      next ? JSON.stringify({ due: next.due, action: next.action, what: next.what }) : null,
      next?.due ?? null,
      closed ? JSON.stringify(jobSummary(state, pack, await rateOf(manager, shopId))) : null,
    ],
  );
}

const rateOf = async (manager: EntityManager, shopId: string): Promise<number> =>
  (await manager.findOneBy(shops, { id: shopId }))?.rateMinor ?? 0;

export const toEntry = ({ id, jobId, seq, at, by, payload }: EntryRow): Entry => ({ id, jobId, at: at.toISOString(), by, seq, payload });
