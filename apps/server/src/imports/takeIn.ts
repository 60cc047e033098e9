import { readFile, rm } from 'node:fs/promises';
import { partDraft, type Duplicates, type PartDraftSent } from '@patient-badger/contract';
import { CoreFailure, failureFromZod } from '@patient-badger/core';
import { failureSentence, problemSentence, rowSentence } from '@patient-badger/wording';
import type { DataSource } from 'typeorm';
import { createDataSource } from '../dataSource.ts';
import { ServerProblem } from '../problems.ts';
import { partsText, writeAudit } from '../people/audit.ts';
import { importParts } from './importParts.ts';
import { imports, type ImportRow } from './entities.ts';

export interface ImportWork {
  readonly id: string;
  readonly shopId: string;
  readonly by: string;
  readonly url: string;
  readonly duplicates: Duplicates;
  /** One part a line, as JSON; taken away once it was read. */
  readonly file: string;
}

/** Somebody asked for it to stop: the transaction is thrown away with it. */
class Cancelled extends Error {}

/** Takes the list in. Reading and checking a hundred thousand rows takes seconds: not on the thread that answers everybody. */
export async function work(asked: ImportWork): Promise<void> {
  const dataSource = createDataSource(asked.url, { patient: true });
  try {
    await dataSource.initialize();
    await takeIn(dataSource, asked);
  } finally {
    await dataSource.destroy();
  }
}

async function takeIn(dataSource: DataSource, { id, shopId, by, duplicates, file }: ImportWork): Promise<void> {
  const tell = (change: Partial<ImportRow>) => report(dataSource, id, change);
  try {
    const rows = readRows(await readFile(file).finally(() => rm(file, { force: true })));
    await tell({ total: rows.length });
    await importParts(dataSource, {
      shopId,
      rows,
      duplicates,
      onBatch: (done) => tell({ done }),
      // In the same transaction: an import that was given up for dead meanwhile is thrown away whole, and never "failed" and then done.
      onDone: async (manager, receipt) => {
        const { affected } = await manager.update(
          imports,
          { id, state: 'running' },
          { state: 'done', done: rows.length, receipt, touchedAt: new Date() },
        );
        if (affected !== 1) throw new Cancelled();
        await writeAudit(manager, { shopId, by, what: 'partsImported', about: partsText(rows.length), after: receipt });
      },
    });
  } catch (error) {
    const change: Partial<ImportRow> =
      error instanceof Cancelled ? { state: 'cancelled' } : { state: 'failed', sentence: sentenceOf(error) };
    await dataSource.getRepository(imports).update({ id, state: 'running' }, { ...change, touchedAt: new Date() });
  }
}

/** Over a connection of its own out of the pool: what the import's transaction writes is not seen before it is whole. */
async function report(dataSource: DataSource, id: string, change: Partial<ImportRow>): Promise<void> {
  const { affected } = await dataSource.getRepository(imports).update({ id, state: 'running' }, { ...change, touchedAt: new Date() });
  const { cancelAsked } = await dataSource.getRepository(imports).findOneByOrFail({ id });
  if (cancelAsked || affected !== 1) throw new Cancelled();
}

/** No part says so much; a line that does is no line of a list. */
const MOST_LINE_BYTES = 64 * 1024;

/** Line by line, so that the whole list never stands beside itself as one text. @throws ServerProblem with the row */
function readRows(buffer: Buffer): readonly PartDraftSent[] {
  const rows: PartDraftSent[] = [];
  for (let from = 0, line = 1; from < buffer.length; line += 1) {
    const end = buffer.indexOf(10, from);
    const stop = end < 0 ? buffer.length : end;
    if (stop - from > MOST_LINE_BYTES) throw new ServerProblem('rowTooLong', { path: String(line), detail: { row: line } });
    const text = buffer.toString('utf8', from, stop).trim();
    from = end < 0 ? buffer.length : end + 1;
    if (text !== '') rows.push(readRow(text, line));
  }
  return rows;
}

function readRow(text: string, line: number): PartDraftSent {
  const raw = parse(text);
  const parsed = partDraft.safeParse(raw);
  if (parsed.success) return parsed.data;
  const failure = failureFromZod(parsed.error, raw);
  throw new ServerProblem('invalidInput', { sentence: rowSentence(line, failure), path: `${line}.${failure.path ?? ''}` });
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function sentenceOf(error: unknown): string {
  if (error instanceof CoreFailure) return failureSentence(error);
  return error instanceof ServerProblem ? error.message : problemSentence('broken');
}
