import { rm } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import type { Duplicates, ImportState } from '@patient-badger/contract';
import { problemSentence } from '@patient-badger/wording';
import type { DataSource } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { onThread } from '../threads/onThread.ts';
import type { ImportWork } from './takeIn.ts';
import { imports } from './entities.ts';

/** A thread that has said nothing for so long is gone, and its transaction with it. */
const SILENT_MS = 60_000;

interface ImportStart {
  readonly shopId: string;
  readonly by: string;
  /** Where the list lies; it is taken away once it was read. */
  readonly file: string;
  readonly duplicates: Duplicates;
}

/** So many are taken in at once by one server process; each stands in memory while it is. */
const AT_ONCE = 2;
let running = 0;

/** Begins to take a list in on a thread of its own, and answers at once with where it stands. */
export async function beginImport(dataSource: DataSource, { shopId, by, file, duplicates }: ImportStart): Promise<ImportState> {
  if (running >= AT_ONCE) {
    await rm(file, { force: true });
    throw new ServerProblem('importBusy');
  }
  const id = randomUUID();
  await dataSource.getRepository(imports).insert({
    id,
    shopId,
    by,
    state: 'running',
    done: 0,
    total: 0,
    receipt: null,
    sentence: null,
    cancelAsked: false,
    touchedAt: new Date(),
  });
  running++;
  const { url } = dataSource.options as { url: string };
  const work: ImportWork = { id, shopId, by, url, duplicates, file };
  onThread<ImportWork>(new URL('./takeIn.ts', import.meta.url), work, { detached: true })
    .catch(() =>
      dataSource
        .getRepository(imports)
        .update({ id, state: 'running' }, { state: 'failed', sentence: problemSentence('importBroken') })
        .catch(() => undefined),
    )
    .finally(() => running--);
  return importStateOf(dataSource, shopId, id);
}

/** How far a list is. @throws ServerProblem where there is none of that id */
export async function importStateOf(dataSource: DataSource, shopId: string, id: string): Promise<ImportState> {
  const row = await dataSource.getRepository(imports).findOneBy({ id, shopId });
  if (!row) throw new ServerProblem('notFound');
  const { state, done, total, receipt, sentence, touchedAt } = row;
  if (state !== 'running' || Date.now() - touchedAt.getTime() <= SILENT_MS) return { id, state, done, total, receipt, sentence };
  // Given up for dead, and so that it cannot come back: the thread finishes only what is still running.
  const cut = { state: 'failed', sentence: problemSentence('importCut') } as const;
  await dataSource.getRepository(imports).update({ id, state: 'running', touchedAt }, cut);
  const now = await dataSource.getRepository(imports).findOneByOrFail({ id });
  return { id, state: now.state, done: now.done, total: now.total, receipt: now.receipt, sentence: now.sentence };
}

/** Asks for a list to be stopped; the thread sees it after its next batch. */
export async function cancelImport(dataSource: DataSource, shopId: string, id: string): Promise<ImportState> {
  await dataSource.getRepository(imports).update({ id, shopId, state: 'running' }, { cancelAsked: true });
  return importStateOf(dataSource, shopId, id);
}
