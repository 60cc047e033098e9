import {
  checkObstacle,
  closingObstacles,
  secondCheckOf,
  type CheckProof,
  type Entry,
  type JobState,
  type Payload,
} from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import type { Role } from '@patient-badger/contract';
import type { EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';

/** A colleague who was retired since the job began, but not longer ago than this, may be back tomorrow: nobody is alone by that. */
const RETIRED_DAYS = 7;

export interface GateContext {
  readonly shopId: string;
  readonly pack: Pack;
  /** What the job was before the entry, as the record has it. */
  readonly state: JobState;
  readonly entry: Entry;
  readonly role: Role;
}

/**
 * Whether this check may be written: by whom it can be, with fresh eyes, signed by PIN where somebody can be hurt.
 * @throws ServerProblem
 */
export async function refuseCheck(manager: EntityManager, { shopId, pack, state, entry, role }: GateContext): Promise<void> {
  const { kind } = entry.payload;
  if (kind !== 'secondChecked' && kind !== 'outsideChecked') return;
  const notFresh = await notFreshFor(manager, shopId, state);
  const obstacle = checkObstacle(state, {
    kind,
    by: entry.by,
    isApprentice: role === 'apprentice',
    isFresh: (person) => !notFresh.has(person),
    others: kind === 'outsideChecked' ? await othersHere(manager, shopId, entry.by) : [],
  });
  if (obstacle) throw new ServerProblem(obstacle);
  if (pack.safetyCritical) await refuseUnsigned(manager, entry);
}

/**
 * Whether the job may be closed so: `closingObstacles` says; signed by PIN where someone can be hurt. What is taken back so
 * that a job is closed again is held to the closing that then stands, but its ledger must balance.
 * @throws ServerProblem with the gravest obstacle
 */
export async function refuseUnfinished(manager: EntityManager, { shopId, pack, state, entry, role }: GateContext): Promise<void> {
  const closing = entry.payload.kind === 'closed' ? entry.payload : { ...lastClosing(state), despiteLedger: undefined };
  const isChecked = secondCheckOf(state, await proofOf(manager, shopId, state)) !== null;
  const [obstacle] = closingObstacles(pack, state, { ...closing, isApprentice: role === 'apprentice', isChecked });
  if (obstacle) throw new ServerProblem(obstacle.code);
  if (pack.safetyCritical) await refuseUnsigned(manager, entry);
}

/** How the job was closed before it was opened again. */
function lastClosing({ written }: JobState): Payload<'closed'> {
  const closings = written.flatMap(({ payload }) => (payload.kind === 'closed' ? [payload] : []));
  return closings.at(-1) ?? { kind: 'closed', outcome: 'returned', found: '' };
}

/** Signed at that moment: a PIN was given for this very entry by who wrote it. */
async function refuseUnsigned(manager: EntityManager, { id, by }: Entry): Promise<void> {
  const signed = await manager.query<unknown[]>('SELECT 1 FROM signatures WHERE entry_id = $1 AND person_id = $2', [id, by]);
  if (signed.length === 0) throw new ServerProblem('unsigned');
}

/** What the record knows of the checks of a job, beside what its entries say. */
async function proofOf(manager: EntityManager, shopId: string, state: JobState): Promise<CheckProof> {
  const hashes = state.photos.map(({ hash }) => hash);
  const sheets = await manager.query<{ hash: string }[]>(
    `SELECT p.hash FROM photos p WHERE p.shop_id = $1 AND p.hash = ANY($2) AND NOT EXISTS
       (SELECT 1 FROM entries e WHERE e.payload->>'kind' = 'photoTaken' AND e.payload->>'hash' = p.hash AND e.shop_id = $1 AND e.job_id <> $3)`,
    [shopId, hashes, state.jobId],
  );
  const kept = new Set(sheets.map(({ hash }) => hash));
  const notFresh = await notFreshFor(manager, shopId, state);
  return { isFresh: (person) => !notFresh.has(person), hasSheet: (hash) => kept.has(hash) };
}

/** Who came, came back, or was given a passphrase by somebody else since the job began: it may be one who worked on it. */
async function notFreshFor(manager: EntityManager, shopId: string, { jobId }: JobState): Promise<ReadonlySet<string>> {
  const rows = await manager.query<{ id: string }[]>(
    'SELECT id FROM people WHERE shop_id = $1 AND vouched_since > (SELECT min(received_at) FROM entries WHERE job_id = $2)',
    [shopId, jobId],
  );
  return new Set(rows.map(({ id }) => id));
}

const othersHere = async (manager: EntityManager, shopId: string, but: string): Promise<readonly string[]> =>
  (
    await manager.query<{ id: string }[]>(
      `SELECT id FROM people WHERE shop_id = $1 AND id <> $2 AND role <> 'apprentice'
         AND (retired_at IS NULL OR retired_at > now() - $3 * interval '1 day')`,
      [shopId, but, RETIRED_DAYS],
    )
  ).map(({ id }) => id);
