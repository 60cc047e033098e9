import type { EntityManager } from 'typeorm';
import { CHANNEL } from './commit.ts';

/**
 * Rows of jobs changed without an entry: each gets the next number of the shop, in the order of commits, and is
 * announced; who was away reads from the last number that they heard. `which` is SQL over `jobs`, with `value` as `$2`.
 */
export async function tellRows(manager: EntityManager, shopId: string, which: string, value: string): Promise<void> {
  await manager.query(
    `WITH shop AS (UPDATE shops SET last_row = last_row + 1 WHERE id = $1 RETURNING last_row)
     UPDATE jobs SET row_seq = shop.last_row FROM shop WHERE shop_id = $1 AND ${which}`,
    [shopId, value],
  );
  await manager.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify({ shopId })]);
}
