import type { FamilyVerdicts, FaultCount } from '@patient-badger/core/job';
import type { EntityManager } from 'typeorm';

/** Closed and proved jobs whose decision is a fault of the list, counted by family; none where the shop keeps the families' own priors. */
export async function allVerdicts(
  manager: EntityManager,
  shopId: string,
  family: string | null = null,
): Promise<readonly FamilyVerdicts[]> {
  const rows = await manager.query<{ family: string; fault: string; count: number }[]>(
    `SELECT j.family, j.summary->>'fault' AS fault, count(*)::int AS count FROM jobs j JOIN shops s ON s.id = j.shop_id
     WHERE j.shop_id = $1 AND s.own_priors AND j.closed AND j.summary->>'fault' IS NOT NULL AND (j.summary->>'proved')::boolean
       AND ($2::text IS NULL OR j.family = $2)
     GROUP BY 1, 2 ORDER BY 1, 3 DESC, 2`,
    [shopId, family],
  );
  return [...new Set(rows.map((each) => each.family))].map((id) => {
    const faults = rows.filter((each) => each.family === id).map(({ fault, count }) => ({ fault, count }));
    return { family: id, jobs: faults.reduce((sum, { count }) => sum + count, 0), faults };
  });
}

/** Those of one family. */
export const verdictsOf = async (manager: EntityManager, shopId: string, family: string): Promise<readonly FaultCount[]> =>
  (await allVerdicts(manager, shopId, family))[0]?.faults ?? [];
