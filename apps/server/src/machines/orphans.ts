import { CoreFailure } from '@patient-badger/core';
import { checkEntry } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import type { EntityManager } from 'typeorm';
import { ServerProblem } from '../problems.ts';

interface Under {
  readonly pack: Pack;
  readonly code: 'familyInUse' | 'modelInUse';
  /** Which jobs, as SQL over `j` and its machine `m`, with what they hang on as `$1`, `$2`. */
  readonly where: string;
  readonly of: readonly string[];
}

/** Every entry of these jobs must still say something under the new pack. @throws ServerProblem */
export async function refuseOrphans(manager: EntityManager, { pack, code, where, of }: Under): Promise<void> {
  const rows = await manager.query<{ payload: Parameters<typeof checkEntry>[0] }[]>(
    `SELECT e.payload FROM entries e JOIN jobs j ON j.id = e.job_id JOIN machines m ON m.id = j.machine_id WHERE ${where}`,
    [...of],
  );
  for (const { payload } of rows) {
    try {
      checkEntry(payload, pack);
    } catch (error) {
      if (!(error instanceof CoreFailure)) throw error;
      throw new ServerProblem(code, { path: error.path, detail: { given: String(error.detail.given) } });
    }
  }
}
