import { learnFrom, type JobSummary, type ShopStatistics, type LoggedJob, type MeterValue } from '@patient-badger/core/job';
import pg from 'pg';

export interface LearnTask {
  readonly databaseUrl: string;
  readonly shopId: string;
  /** Two numbers that both threads see: jobs read, and jobs there are. */
  readonly progress: SharedArrayBuffer;
}

/** So many jobs are read at once. */
const AT_ONCE = 2000;

interface JobRead {
  readonly id: string;
  readonly machine_id: string;
  readonly family: string;
  readonly taken_in_at: Date;
  readonly closed_at: Date;
  readonly summary: JobSummary;
}

interface MeterReading {
  readonly machine_id: string;
  readonly on: string;
  readonly hours: number | null;
  readonly km: number | null;
}

/** Meters as they were read by hand and at every take-in. */
const METERS = `
  SELECT r.machine_id, to_char(r."on", 'YYYY-MM-DD') AS "on", r.hours, r.km FROM meter_readings r JOIN machines m ON m.id = r.machine_id WHERE m.shop_id = $1
  UNION ALL
  SELECT j.machine_id, to_char(e.at AT TIME ZONE 'UTC', 'YYYY-MM-DD'),
    CASE jsonb_typeof(e.payload->'facts'->'hours') WHEN 'number' THEN (e.payload->'facts'->>'hours')::float8 END,
    CASE jsonb_typeof(e.payload->'facts'->'distanceKm') WHEN 'number' THEN (e.payload->'facts'->>'distanceKm')::float8 END
  FROM entries e JOIN jobs j ON j.id = e.job_id WHERE e.shop_id = $1 AND e.payload->>'kind' = 'takenIn'
    AND (e.payload->'facts' ? 'hours' OR e.payload->'facts' ? 'distanceKm')`;

/** What the whole log of a shop teaches, read page by page on a connection of its own and worked out here, away from whoever is served. */
export async function work({ databaseUrl, shopId, progress }: LearnTask): Promise<ShopStatistics> {
  const seen = new Int32Array(progress);
  const client = new pg.Client({ connectionString: databaseUrl, statement_timeout: 30_000 });
  await client.connect();
  try {
    const counted = await client.query<{ count: number }>(
      'SELECT count(*)::int AS count FROM jobs WHERE shop_id = $1 AND summary IS NOT NULL',
      [shopId],
    );
    seen[1] = counted.rows[0]?.count ?? 0;
    const jobs: LoggedJob[] = [];
    for (let last = '00000000-0000-0000-0000-000000000000'; ;) {
      const { rows } = await client.query<JobRead>(
        `SELECT id, machine_id, family, taken_in_at, closed_at, summary FROM jobs
         WHERE shop_id = $1 AND id > $2 AND summary IS NOT NULL AND closed_at IS NOT NULL ORDER BY id LIMIT $3`,
        [shopId, last, AT_ONCE],
      );
      for (const { id, machine_id: machineId, family, taken_in_at: taken, closed_at: closed, summary } of rows)
        jobs.push({ ...summary, id, machineId, family, takenInAt: taken.toISOString(), closedAt: closed.toISOString() });
      seen[0] = jobs.length;
      const end = rows.at(-1);
      if (!end) break;
      last = end.id;
    }
    const meters = (await client.query<MeterReading>(METERS, [shopId])).rows.map(
      ({ machine_id: machineId, on, hours, km }): MeterValue => ({
        machineId,
        on,
        hours,
        km,
      }),
    );
    return learnFrom({ jobs, meters, now: new Date().toISOString() });
  } finally {
    await client.end();
  }
}
