import type { Refusals } from '@patient-badger/contract';
import type { DataSource } from 'typeorm';
import { IS_ACTIVE } from '../jobs/activeEntries.ts';
import { entries } from '../jobs/entities.ts';

/** So many of the latest are told. */
const MOST = 100;

type Refusal = Refusals[number] & { readonly partNumber: string };

/** Deliveries under these part numbers that were refused in this shop and stand so, the latest first. */
export async function refusalsOf(dataSource: DataSource, shopId: string, numbers: readonly string[]): Promise<readonly Refusal[]> {
  if (numbers.length === 0) return [];
  const rows = await dataSource
    .getRepository(entries)
    .createQueryBuilder('e')
    .where('e.shopId = :shopId', { shopId })
    .andWhere("e.payload->>'kind' = 'partRefused' AND e.payload->>'partNumber' = ANY(:numbers)", { numbers })
    .andWhere(IS_ACTIVE)
    .orderBy('e.at', 'DESC')
    .limit(MOST)
    .getMany();
  return rows.flatMap(({ jobId, at, by, payload }) =>
    payload.kind === 'partRefused'
      ? [{ jobId, at: at.toISOString(), by, deciding: payload.deciding, note: payload.note, partNumber: payload.partNumber }]
      : [],
  );
}
