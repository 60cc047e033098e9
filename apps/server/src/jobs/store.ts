import { brokenTextAt, CoreFailure, entry as entrySchema, failureFromZod, type Entry, type Pack } from '@patient-badger/core';
import type { EntryReceipt } from '@patient-badger/contract';
import { failureSentence } from '@patient-badger/wording';
import { IsNull, Not, type DataSource } from 'typeorm';
import { packOfMachine } from '../machines/packs.ts';
import { isDatabaseAway, isRecordReadOnly, isRefusedByColumn } from '../plugins/databaseErrors.ts';
import { ServerProblem } from '../problems.ts';
import type { Actor } from '../people/actor.ts';
import { people } from '../people/entities.ts';
import { commit, type Checked, type Outcome } from './commit.ts';
import { commitPlain, isPlain, type KnownJobs } from './commitPlain.ts';

/** So many go into one transaction. */
const MOST_TOGETHER = 100;

interface Waiting {
  readonly checked: Checked;
  readonly settle: (outcome: Outcome) => void;
  readonly fail: (error: unknown) => void;
}

export interface EntryStore {
  /**
   * Stores entries in the order given. A bad one is refused with a sentence and takes none of the others
   * with it; one sent before is known and harmless. Resolves when all are on disk.
   * @throws where the database is away: nothing is said of entries that it did not answer for
   */
  store(actor: Actor, batch: readonly unknown[]): Promise<EntryReceipt[]>;
}

/**
 * The way into the record. Whatever arrives while one transaction is on its way to the disk shares the
 * next (group commit: DeWitt et al. 1984), so many writers wait for few writes to disk.
 */
export function createEntryStore(dataSource: DataSource, onStored: (jobIds: readonly string[]) => void): EntryStore {
  const queues = new Map<string, Waiting[]>();
  const known: KnownJobs = new Map();
  const running = new Set<string>();

  const run = async (shopId: string) => {
    if (running.has(shopId)) return;
    running.add(shopId);
    try {
      for (let queue = queues.get(shopId) ?? []; queue.length > 0; queue = queues.get(shopId) ?? []) {
        const now = queue.splice(0, MOST_TOGETHER);
        await together(dataSource, shopId, { waiting: now, known });
        onStored([...new Set(now.map(({ checked }) => checked.entry.jobId))]);
      }
      queues.delete(shopId);
    } finally {
      running.delete(shopId);
    }
  };

  const queued = (shopId: string, checked: Checked) =>
    new Promise<Outcome>((settle, fail) => {
      const queue = queues.get(shopId) ?? [];
      queues.set(shopId, queue);
      queue.push({ checked, settle, fail });
      void run(shopId);
    });

  return {
    async store(actor, batch) {
      const readyOf = async (raw: unknown): Promise<Checked> => {
        const entry = read(raw, actor);
        if (entry.payload.kind === 'outsideChecked') await refuseWithCompany(dataSource, actor);
        return {
          entry,
          role: actor.role,
          pack: entry.payload.kind === 'takenIn' ? await packOfTakeIn(dataSource, actor.shopId, entry.payload) : null,
        };
      };
      // Machines and families are looked up before the queue: a transaction waits for nothing but the disk.
      const ready = await Promise.all(batch.map((raw) => readyOf(raw).catch((error: unknown) => refused(raw, error))));
      const receipts = ready.map(async (each): Promise<EntryReceipt> => {
        if ('status' in each) return each;
        try {
          return { id: each.entry.id, ...(await queued(actor.shopId, each)) };
        } catch (error) {
          return refused(each.entry, error);
        }
      });
      return Promise.all(receipts);
    },
  };
}

interface Together {
  readonly waiting: readonly Waiting[];
  readonly known: KnownJobs;
}

/** So many jobs are remembered; then it begins anew. */
const MOST_KNOWN = 20_000;

/** One transaction for all; where one of them breaks it, each gets its own, so that the others are kept. */
async function together(dataSource: DataSource, shopId: string, { waiting, known }: Together): Promise<void> {
  const list = waiting.map(({ checked }) => checked);
  const onJob = ({ id, shopId: of, machineId }: { readonly id: string; readonly shopId: string; readonly machineId: string }) => {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(id, { shopId: of, machineId });
  };
  try {
    const plain = list.every((each) => isPlain(each, known));
    const outcomes = plain ? await commitPlain(dataSource, shopId, { list, known }) : await commit(dataSource, shopId, { list, onJob });
    waiting.forEach(({ settle, fail }, i) => {
      const outcome = outcomes[i];
      if (outcome instanceof Error) fail(outcome);
      else if (outcome) settle(outcome);
    });
  } catch (error) {
    const [only] = waiting;
    if (waiting.length === 1 && only) return only.fail(error);
    if (isDatabaseAway(error) || isRecordReadOnly(error)) return waiting.forEach((each) => each.fail(error));
    for (const each of waiting) await together(dataSource, shopId, { waiting: [each], known });
  }
}

function read(raw: unknown, actor: Actor): Entry {
  const broken = brokenTextAt(raw);
  if (broken !== null) throw new CoreFailure({ code: 'invalid', path: broken, detail: { reason: 'textBroken' } });
  const parsed = entrySchema.safeParse(raw);
  if (!parsed.success) throw failureFromZod(parsed.error, raw);
  // Who sends is who writes: nobody signs with another's name, least of all the second check.
  if (parsed.data.by !== actor.personId) throw new ServerProblem('notYourEntry', { path: 'by' });
  if (parsed.data.payload.kind === 'secondChecked') refuseHollowCheck(actor);
  return parsed.data;
}

/** A second check is worth something where whoever signs it stands there, and knows the work. */
function refuseHollowCheck({ role, hasDevice }: Actor): void {
  if (role === 'apprentice') throw new ServerProblem('notForApprentices');
  if (!hasDevice) throw new ServerProblem('secondCheckNotHere');
}

/** An outside checker is for who works alone: where somebody else here can look it over, they do. */
async function refuseWithCompany({ manager }: DataSource, { shopId, personId }: Actor): Promise<void> {
  const others = await manager.countBy(people, { shopId, id: Not(personId), role: Not('apprentice'), retiredAt: IsNull() });
  if (others > 0) throw new ServerProblem('notAlone');
}

async function packOfTakeIn(
  { manager }: DataSource,
  shopId: string,
  { machineId, family }: { readonly machineId: string; readonly family: string },
): Promise<Pack> {
  const machine = await packOfMachine(manager, shopId, machineId);
  if (!machine) throw new ServerProblem('unknownMachine', { path: 'payload.machineId' });
  if (machine.family !== family) throw new ServerProblem('otherFamily', { path: 'payload.family' });
  return machine.pack;
}

/** @throws what is no refusal of the entry, but a failure of the house */
function refused(raw: unknown, error: unknown): EntryReceipt {
  const id = String((raw as { id?: unknown } | null)?.id ?? '').slice(0, 80);
  if (error instanceof CoreFailure) return { id, status: 'refused', path: error.path, sentence: failureSentence(error) };
  if (error instanceof ServerProblem) return { id, status: 'refused', ...(error.path && { path: error.path }), sentence: error.message };
  if (!isDatabaseAway(error) && isRefusedByColumn(error))
    return { id, status: 'refused', sentence: new ServerProblem('cannotBeKept').message };
  throw error;
}
