import type { Learnt } from '@patient-badger/contract';
import type { ShopStatistics } from '@patient-badger/core/job';
import type { DataSource } from 'typeorm';

/** The same with the names of machines and people, as they are called today. */
export async function named(
  dataSource: DataSource,
  shopId: string,
  { lives, verdicts, comesBack, ...rest }: ShopStatistics,
): Promise<Learnt> {
  const of = (kind: string) => comesBack.filter((each) => each.kind === kind).map((each) => each.of);
  const rows = await dataSource.query<{ id: string; name: string }[]>(
    `SELECT id::text, label AS name FROM machines WHERE shop_id = $1 AND id = ANY($2::uuid[])
     UNION ALL SELECT id, name FROM people WHERE shop_id = $1 AND id = ANY($3)`,
    [shopId, of('machine'), of('hand')],
  );
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  return {
    ...rest,
    lives: [...lives],
    verdicts: verdicts.map((each) => ({ ...each, faults: [...each.faults] })),
    comesBack: comesBack.map((each) => ({ ...each, name: names.get(each.of) ?? each.of })),
  };
}
