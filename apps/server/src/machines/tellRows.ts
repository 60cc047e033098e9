import type { EntityManager } from 'typeorm';
import { CHANNEL } from '../people/channels.ts';

interface Rows {
  readonly shopId: string;
  readonly by: 'id' | 'machine_id';
  readonly value: string;
}

/**
 * The shop's row before any other, as the record's writers take it: two that wait for each other in opposite orders
 * would be ended by the database, and somebody's entry with them (PostgreSQL 13.3.4, deadlocks).
 */
export const holdShop = (manager: EntityManager, shopId: string): Promise<unknown> =>
  manager.query('SELECT 1 FROM shops WHERE id = $1 FOR NO KEY UPDATE', [shopId]);

/**
 * Rows of jobs changed without an entry, of one job or of one machine: each gets the next number of the shop, in the
 * order of commits, and is announced; who was away reads on from the last number that they heard.
 * Within `holdShop`.
 */
export async function tellRows(manager: EntityManager, { shopId, by, value }: Rows): Promise<void> {
  await manager.query(
    `WITH shop AS (UPDATE shops SET last_row = last_row + 1 WHERE id = $1 RETURNING last_row)
     UPDATE jobs SET row_seq = shop.last_row FROM shop WHERE shop_id = $1 AND jobs.${by} = $2`,
    [shopId, value],
  );
  await manager.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify({ shopId })]);
}
