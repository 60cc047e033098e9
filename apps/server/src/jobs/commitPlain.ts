import { checkEntry, ruleOf } from '@patient-badger/core/job';
import type { DataSource } from 'typeorm';
import { poolOf } from '../dataSource.ts';
import { packOfJob } from '../machines/packs.ts';
import { ServerProblem } from '../problems.ts';
import { refusalOf, writeSound, type EntrySubmission, type Outcome } from './commit.ts';

/** Whose job it is and on which machine: never changes once the job is there. Kept for so many jobs. */
export type JobIndex = Map<string, { readonly shopId: string; readonly machineId: string; readonly safetyCritical: boolean }>;

/** It neither opens nor closes a job nor works on one, and its job is known: nothing of the record has to be read for it. */
export const isPlain = ({ entry: { payload, jobId } }: EntrySubmission, known: JobIndex): boolean => {
  const { changesRow, isWork, changesWhatWasSeen, isCheck } = ruleOf(payload);
  return !changesRow && !isWork && !changesWhatWasSeen && !isCheck && known.has(jobId);
};

/** The same as `commit` for entries that are plain: nothing is read of the record and nothing held before they are written. */
export async function commitPlain(
  dataSource: DataSource,
  shopId: string,
  { list, known }: { readonly list: readonly EntrySubmission[]; readonly known: JobIndex },
): Promise<readonly (Outcome | Error)[]> {
  const check = async ({ entry }: EntrySubmission) => {
    const job = known.get(entry.jobId);
    if (job?.shopId !== shopId) throw new ServerProblem('unknownJob', { path: 'jobId' });
    checkEntry(entry.payload, await packOfJob(dataSource.manager, job));
  };
  const checked = await Promise.all(list.map(async (each) => [each, await refusalOf(() => check(each))] as const));
  const refusals = new Map(checked.flatMap(([each, refusal]) => (refusal ? [[each, refusal] as const] : [])));
  return writeSound(poolOf(dataSource), shopId, { list, refusals });
}
