import { CoreFailure } from '@patient-badger/core';
import { isMakeable } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import type { DataSource } from 'typeorm';
import { jobs } from '../jobs/entities.ts';
import { packOf, packOfJob } from '../machines/packs.ts';
import { ServerProblem } from '../problems.ts';

/** Operations that draw a gear to be made: never one by which somebody can be hurt, by any door. */
export const MADE = new Set(['make.outline', 'make.file', 'make.pair']);
/** A gear for no machine of the shop: the bench alone. */
const NONE = 'none';

/**
 * Who asks says what the gear is for: a family that ships, one of the shop's own, or none. The operation itself knows
 * those that ship; those of the shop's own are looked up here, and stand for it as none once they hurt nobody.
 * @throws ServerProblem `makeNeedsFamily`, `unknownFamily`; CoreFailure where somebody can be hurt
 */
export async function madeFor(dataSource: DataSource, shopId: string, body: unknown): Promise<unknown> {
  const given = (body ?? {}) as Readonly<Record<string, unknown>>;
  const { family } = given;
  if (typeof family !== 'string') throw new ServerProblem('makeNeedsFamily', { path: 'family' });
  if (family === NONE || findFamily(family)) return given;
  const pack = await packOf(dataSource.manager, shopId, family);
  if (!pack) throw new ServerProblem('unknownFamily', { path: 'family' });
  refuseHurtful(pack);
  return { ...given, family: NONE };
}

interface InJob {
  readonly shopId: string;
  readonly jobId: string;
  readonly body: unknown;
}

/** The same within a job: what it is for is the job's own family, as it was when the job was taken in. */
export async function madeInJob({ manager }: DataSource, { shopId, jobId, body }: InJob): Promise<unknown> {
  const job = await manager.findOneBy(jobs, { id: jobId, shopId });
  if (!job) throw new ServerProblem('unknownJob');
  refuseHurtful(await packOfJob(manager, job));
  return { ...(body ?? {}), family: findFamily(job.family) ? job.family : NONE };
}

function refuseHurtful(pack: Pack): void {
  if (!isMakeable(pack))
    throw new CoreFailure({ code: 'invalid', path: 'family', detail: { reason: 'safetyCriticalNotMade', name: pack.name } });
}
