import { MOVE_KINDS, type BenchMove } from '@patient-badger/core/job';
import type { DataSource } from 'typeorm';
import { families, machineModels, machines } from '../machines/entities.ts';
import { createPool } from '../threads/pool.ts';
import { toEntry } from './commit.ts';
import { entries, jobs } from './entities.ts';
import type { MoveTask } from './moveOnThread.ts';
import { holdShop, tellRows } from '../machines/tellRows.ts';
import { verdictsOf } from './verdicts.ts';

/** A job on which somebody is writing just now gets its move when the hand rests. */
const REST_MS = 200;
const LIMITS = { threads: 1, queue: 10, deadlineMs: 10_000 };

export interface Moves {
  /** Works the next move of these jobs out, by and by, and announces it. */
  want(jobIds: readonly string[]): void;
  close(): Promise<void>;
}

/** Keeps the next move in the rows of jobs, worked out on a thread after the entries are safe. */
export function createMoves(dataSource: DataSource, onTrouble: (error: unknown) => void): Moves {
  const pool = createPool<MoveTask, BenchMove | null>(new URL('./moveOnThread.ts', import.meta.url), LIMITS);
  const wanted = new Set<string>();
  let working: Promise<void> | null = null;
  let closed = false;

  const work = async () => {
    await new Promise((resolve) => setTimeout(resolve, REST_MS));
    for (const id of wanted) {
      if (closed) return;
      wanted.delete(id);
      await workOut(dataSource, id, (asked) => pool.run(asked)).catch(onTrouble);
    }
  };
  const start = () => {
    if (working || closed) return;
    working = work().finally(() => {
      working = null;
      if (wanted.size > 0) start();
    });
  };
  return {
    want(jobIds) {
      jobIds.forEach((id) => wanted.add(id));
      if (wanted.size > 0) start();
    },
    async close() {
      closed = true;
      wanted.clear();
      await pool.close();
      await working?.catch(() => undefined);
    },
  };
}

async function workOut(dataSource: DataSource, id: string, run: (asked: MoveTask) => Promise<BenchMove | null>): Promise<void> {
  const { manager } = dataSource;
  const job = await manager.findOneBy(jobs, { id });
  if (!job || job.closed || job.moveSeq === job.seq) return;
  const { shopId, family, machineId } = job;
  const [list, own, machine, verdicts] = await Promise.all([
    manager
      .createQueryBuilder(entries, 'e')
      .where("e.jobId = :id AND e.seq <= :seq AND e.payload->>'kind' = ANY(:kinds)", { id, seq: job.seq, kinds: MOVE_KINDS })
      .orderBy('e.seq')
      .getMany(),
    manager.findOneBy(families, { shopId, id: family }),
    manager.findOneBy(machines, { id: machineId, shopId }),
    verdictsOf(manager, shopId, family),
  ]);
  const model = machine?.modelId ? await manager.findOneBy(machineModels, { id: machine.modelId, shopId }) : null;
  const move = await run({ verdicts, jobId: id, entries: list.map(toEntry), family, own, overrides: model?.overrides ?? null });
  // Only for the entries that were read: whatever came since has asked for a move of its own.
  await manager.transaction(async (one) => {
    await holdShop(one, shopId);
    await one.query('UPDATE jobs SET move = $2, move_seq = $3 WHERE id = $1 AND seq = $3', [id, JSON.stringify(move), job.seq]);
    await tellRows(one, { shopId, by: 'id', value: id });
  });
}
