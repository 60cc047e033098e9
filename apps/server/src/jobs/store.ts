import { brokenTextAt, CoreFailure, failureFromZod } from '@patient-badger/core';
import { entry as entrySchema, type Entry } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import type { EntryReceipt } from '@patient-badger/contract';
import { failureSentence } from '@patient-badger/wording';
import type { DataSource } from 'typeorm';
import { packOfMachine } from '../machines/packs.ts';
import { isDatabaseAway, isRecordReadOnly, isRefusedByColumn } from '../plugins/databaseErrors.ts';
import { ServerProblem } from '../problems.ts';
import type { Actor } from '../people/actor.ts';
import { commit, type EntrySubmission, type Outcome } from './commit.ts';
import { commitPlain, isPlain, type JobIndex } from './commitPlain.ts';

/** So many go into one transaction. */
const MOST_TOGETHER = 100;

type Result = Outcome | Error;

/** The entries of one request, in its order: they go in together, and none overtakes one before it. */
interface Waiting {
  readonly list: readonly EntrySubmission[];
  readonly settle: (results: readonly Result[]) => void;
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
  const known: JobIndex = new Map();
  const running = new Set<string>();

  const run = async (shopId: string) => {
    if (running.has(shopId)) return;
    running.add(shopId);
    try {
      for (let queue = queues.get(shopId) ?? []; queue.length > 0; queue = queues.get(shopId) ?? []) {
        const now = queue.splice(0, fitting(queue));
        await together(dataSource, shopId, { waiting: now, known });
        onStored([...new Set(now.flatMap(({ list }) => list.map(({ entry }) => entry.jobId)))]);
      }
      queues.delete(shopId);
    } finally {
      running.delete(shopId);
    }
  };

  const queued = (shopId: string, list: readonly EntrySubmission[]) =>
    new Promise<readonly Result[]>((settle, fail) => {
      const queue = queues.get(shopId) ?? [];
      queues.set(shopId, queue);
      queue.push({ list, settle, fail });
      void run(shopId);
    });

  return {
    async store(actor, batch) {
      const readyOf = async (raw: unknown): Promise<EntrySubmission> => {
        const entry = read(raw, actor);
        return {
          entry,
          role: actor.role,
          device: actor.device,
          pack: entry.payload.kind === 'takenIn' ? await packOfTakeIn(dataSource, actor.shopId, entry.payload) : null,
        };
      };
      // Machines and families are looked up before the queue: a transaction waits for nothing but the disk.
      const ready = await Promise.all(batch.map((raw) => readyOf(raw).catch((error: unknown) => receiptOf(raw, error))));
      const list = ready.flatMap((each) => ('status' in each ? [] : [each]));
      const results = list.length > 0 ? await queued(actor.shopId, list) : [];
      return ready.map((item): EntryReceipt => {
        if ('status' in item) return item;
        const result = results[list.indexOf(item)];
        return result instanceof Error || !result ? receiptOf(item.entry, result) : { id: item.entry.id, ...result };
      });
    },
  };
}

/** How many requests go into one transaction: at least one, and together no more entries than that. */
function fitting(queue: readonly Waiting[]): number {
  let entries = 0;
  const over = queue.findIndex(({ list }) => (entries += list.length) > MOST_TOGETHER);
  return over < 0 ? queue.length : Math.max(1, over);
}

interface Together {
  readonly waiting: readonly Waiting[];
  readonly known: JobIndex;
}

/** So many jobs are remembered; then it begins anew. */
const MOST_KNOWN = 20_000;

/** One transaction for all; where one request breaks it each gets its own, and where one entry breaks that, each entry. */
async function together(dataSource: DataSource, shopId: string, { waiting, known }: Together): Promise<void> {
  const list = waiting.flatMap((each) => each.list);
  const onJob = ({
    id,
    ...job
  }: {
    readonly id: string;
    readonly shopId: string;
    readonly machineId: string;
    readonly safetyCritical: boolean;
  }) => {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(id, job);
  };
  const write = (some: readonly EntrySubmission[]): Promise<readonly Result[]> =>
    some.every((each) => isPlain(each, known))
      ? commitPlain(dataSource, shopId, { list: some, known })
      : commit(dataSource, shopId, { list: some, onJob });
  try {
    const results = await write(list);
    let from = 0;
    for (const each of waiting) each.settle(results.slice(from, (from += each.list.length)));
  } catch (error) {
    if (isDatabaseAway(error) || isRecordReadOnly(error)) return waiting.forEach((each) => each.fail(error));
    const [only] = waiting;
    if (waiting.length > 1 || !only) {
      for (const each of waiting) await together(dataSource, shopId, { waiting: [each], known });
      return;
    }
    await oneByOne(only, write);
  }
}

/** In their order; once the record answers no more, none of those behind is tried, for it would overtake. */
async function oneByOne(
  { list, settle, fail }: Waiting,
  write: (some: readonly EntrySubmission[]) => Promise<readonly Result[]>,
): Promise<void> {
  const results: Result[] = [];
  for (const item of list) {
    try {
      results.push(...(await write([item])));
    } catch (error) {
      if (!(error instanceof Error) || list.length === 1 || isDatabaseAway(error) || isRecordReadOnly(error) || !isRefusedByColumn(error))
        return fail(error);
      results.push(error);
    }
  }
  settle(results);
}

function read(raw: unknown, actor: Actor): Entry {
  const broken = brokenTextAt(raw);
  if (broken !== null) throw new CoreFailure({ code: 'invalid', path: broken, detail: { reason: 'textBroken' } });
  const parsed = entrySchema.safeParse(raw);
  if (!parsed.success) throw failureFromZod(parsed.error, raw);
  // Who sends is who writes: nobody signs with another's name, least of all the second check.
  if (parsed.data.by !== actor.personId) throw new ServerProblem('notYourEntry', { path: 'by' });
  return parsed.data;
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
function receiptOf(raw: unknown, error: unknown): EntryReceipt {
  const id = String((raw as { id?: unknown } | null)?.id ?? '').slice(0, 80);
  if (error instanceof CoreFailure) return { id, status: 'refused', path: error.path, sentence: failureSentence(error) };
  if (error instanceof ServerProblem && error.code === 'unsigned') return { id, status: 'unsigned', sentence: error.message };
  if (error instanceof ServerProblem) return { id, status: 'refused', ...(error.path && { path: error.path }), sentence: error.message };
  if (!isDatabaseAway(error) && isRefusedByColumn(error))
    return { id, status: 'refused', sentence: new ServerProblem('cannotBeKept').message };
  throw error;
}
