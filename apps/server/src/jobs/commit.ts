import {
  bearsOnMove,
  checkEntry,
  CoreFailure,
  foldJob,
  jobSummary,
  openFollowUps,
  ruleOf,
  type Entry,
  type JobState,
  type Pack,
} from '@patient-badger/core';
import type { Role } from '@patient-badger/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { packOfJob } from '../machines/packs.ts';
import { CHANNEL } from '../people/channels.ts';
import { shops } from '../people/entities.ts';
import { ServerProblem } from '../problems.ts';
import { jobWords } from '../words.ts';
import { entries, jobs, type EntryRow, type JobRow } from './entities.ts';
import { refuseCheck, refuseUnfinished } from './gate.ts';

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

type KnownEntry = Pick<EntryRow, 'id' | 'shopId' | 'jobId'> & { readonly seq: number };
/** Entries that may check a job, or close it. */
const GATED = new Set(['secondChecked', 'outsideChecked', 'closed', 'withdrawn']);

type JobNow = Pick<JobRow, 'id' | 'shopId' | 'machineId' | 'family' | 'closed' | 'safetyCritical'>;

/**
 * Entries into the record in one transaction, in the order given, each answered for itself: where it is, or
 * why not. The shop's row is held until the commit, so numbers follow the order of commits: who has read up
 * to one number has missed nothing before it.
 */
export async function commit(
  dataSource: DataSource,
  shopId: string,
  { list, onJob }: { readonly list: readonly EntrySubmission[]; readonly onJob: (job: JobNow) => void },
): Promise<readonly (Outcome | Error)[]> {
  return dataSource.transaction(async (manager) => {
    const [[shop]] = await manager.query<[[{ last_seq: string }]]>(
      'UPDATE shops SET last_seq = last_seq + $2 WHERE id = $1 RETURNING last_seq',
      [shopId, list.length],
    );
    const writing = await beginWriting(manager, shopId, list);
    const outcomes: (Outcome | Error)[] = [];
    let seq = Number(shop.last_seq) - list.length;
    for (const checked of list) {
      try {
        outcomes.push(await writing.write(checked, ++seq));
      } catch (error) {
        if (!(error instanceof Error) || !isRefusal(error)) throw error;
        outcomes.push(error);
      }
    }
    await writing.finish();
    writing.jobs().forEach(onJob);
    // Heard by every server process on this database, once this transaction is committed.
    if (outcomes.some((each) => 'status' in each && each.status === 'stored')) {
      await manager.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify({ shopId })]);
    }
    return outcomes;
  });
}

/** Said of the entry by the house; anything else broke the transaction. */
export const isRefusal = (error: Error) => error instanceof ServerProblem || error instanceof CoreFailure;

async function beginWriting(manager: EntityManager, shopId: string, list: readonly EntrySubmission[]) {
  const ids = list.map(({ entry }) => entry.id);
  const jobIds = [...new Set(list.map(({ entry }) => entry.jobId))];
  const before = await manager
    .createQueryBuilder(entries, 'e')
    .select(['e.id', 'e.shopId', 'e.jobId', 'e.seq'])
    .where('e.id = ANY(:ids)', { ids })
    .getMany();
  const known = new Map<string, KnownEntry>(before.map((each) => [each.id, each]));
  const found = await manager
    .createQueryBuilder(jobs, 'j')
    .select(['j.id', 'j.shopId', 'j.machineId', 'j.family', 'j.closed', 'j.safetyCritical'])
    .where('j.id = ANY(:jobIds)', { jobIds })
    .getMany();
  const jobsNow = new Map<string, JobNow>(found.map((each) => [each.id, each]));
  const unwritten: EntryRow[] = [];
  const lastSeq = new Map<string, { readonly seq: number; readonly bears: boolean }>();
  const moved = new Set<string>();

  const writeOut = async () => {
    const rows = unwritten.splice(0);
    if (rows.length > 0) await manager.insert(entries, rows);
  };
  const stateOf = async (id: string): Promise<JobState> => {
    await writeOut();
    return foldJob(id, (await manager.find(entries, { where: { jobId: id } })).map(toEntry));
  };

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
    await writeOut();
    const before = (await manager.find(entries, { where: { jobId: entry.jobId } })).map(toEntry);
    const gated = { shopId, pack, state: foldJob(entry.jobId, before), entry, role };
    if (ruleOf(entry.payload).isCheck) return refuseCheck(manager, gated);
    // Whatever closes a job goes through one gate: also the taking back of what had opened it again.
    const closes = gated.state.closed === null && foldJob(entry.jobId, [...before, entry]).closed !== null;
    if (closes) await refuseUnfinished(manager, gated);
  };

  return {
    jobs: () => [...jobsNow.values()],
    async write(checked: EntrySubmission, seq: number): Promise<Outcome> {
      const { entry } = checked;
      const twin = known.get(entry.id);
      if (twin) {
        if (twin.jobId !== entry.jobId || twin.shopId !== shopId) throw new ServerProblem('invalidInput', { path: 'id' });
        return { status: 'known', seq: twin.seq };
      }
      const { payload } = entry;
      const there = jobsNow.get(entry.jobId);
      if (there && there.shopId !== shopId) throw new ServerProblem('unknownJob', { path: 'jobId' });
      const pack = there ? await packOfJob(manager, there) : checked.pack;
      if (!pack) throw new ServerProblem('unknownJob', { path: 'jobId' });
      checkEntry(payload, pack);
      const job = there ?? (await begin(entry, pack));
      await refuseAtGate(checked, pack);
      unwritten.push({ ...entry, seq, at: new Date(entry.at), shopId, heldBy: entry.by, device: checked.device });
      known.set(entry.id, { id: entry.id, shopId, jobId: job.id, seq });
      lastSeq.set(job.id, { seq, bears: bearsOnMove(payload) || lastSeq.get(job.id)?.bears === true });
      const rule = ruleOf(payload);
      if (rule.changesRow || ((rule.isWork || rule.changesWhatWasSeen) && job.closed)) moved.add(job.id);
      return { status: 'stored', seq };
    },
    async finish() {
      await writeOut();
      for (const id of moved) {
        const job = jobsNow.get(id);
        if (job) await writeRow(manager, { state: await stateOf(id), pack: await packOfJob(manager, job), shopId });
      }
      if (lastSeq.size > 0) {
        const latest = [...lastSeq.values()];
        await manager.query(
          `UPDATE jobs j SET seq = n.seq, move_seq = CASE WHEN j.move_seq = j.seq AND NOT n.bears THEN n.seq ELSE j.move_seq END
           FROM unnest($1::uuid[], $2::bigint[], $3::boolean[]) AS n(id, seq, bears) WHERE j.id = n.id`,
          [[...lastSeq.keys()], latest.map(({ seq }) => seq), latest.map(({ bears }) => bears)],
        );
      }
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
