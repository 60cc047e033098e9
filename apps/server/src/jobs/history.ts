import type { MachineHistory } from '@patient-badger/contract';
import { foldJob, machineRecord, yearlyUse, type Entry } from '@patient-badger/core/job';
import type { DataSource } from 'typeorm';
import { toEntry } from './commit.ts';
import { entries, jobs } from './entities.ts';

/** Kinds of entry that say what became of a machine. */
const TELLING = ['takenIn', 'partFitted', 'partAccepted', 'plateRead', 'intervalSet', 'withdrawn'];
/** So many of the latest are read. */
const MOST = 5000;

/** What is known of one machine from all its jobs; its jobs themselves come by page. */
export async function historyOf(dataSource: DataSource, shopId: string, machineId: string): Promise<MachineHistory> {
  const list = await dataSource
    .getRepository(entries)
    .createQueryBuilder('e')
    .innerJoin(jobs.options.name, 'j', 'j.id = e.job_id')
    .where("j.machine_id = :machineId AND j.shop_id = :shopId AND e.payload->>'kind' = ANY(:kinds)", { machineId, shopId, kinds: TELLING })
    .orderBy('e.seq', 'DESC')
    .limit(MOST)
    .getMany();
  const told = list.map(toEntry);
  const { parts, plates, again, intervals } = machineRecord(
    [...new Set(told.map(({ jobId }) => jobId))].map((jobId) => foldJob(jobId, told)),
  );
  const meters = await metersOf(dataSource, machineId, told);
  const yearly = (meter: 'hours' | 'km') =>
    yearlyUse(meters.flatMap(({ on, [meter]: value }) => (value === null ? [] : [{ at: on, value }])))?.perYear ?? null;
  return {
    parts: [...parts],
    plates: [...plates],
    again: [...again],
    intervals: intervals.map(({ kind: _, ...rest }) => rest),
    meters: [...meters],
    yearly: { hours: yearly('hours'), km: yearly('km') },
  };
}

interface Meter {
  readonly on: string;
  readonly hours: number | null;
  readonly km: number | null;
}

/** Meters as they were read by hand and at the take-ins, newest first. */
async function metersOf(dataSource: DataSource, machineId: string, told: readonly Entry[]): Promise<readonly Meter[]> {
  const byHand = await dataSource.query<Meter[]>(
    'SELECT to_char("on", \'YYYY-MM-DD\') AS "on", hours, km FROM meter_readings WHERE machine_id = $1 ORDER BY "on" DESC LIMIT 500',
    [machineId],
  );
  const taken = told.flatMap(({ at, payload }): Meter[] => {
    if (payload.kind !== 'takenIn') return [];
    const { hours, distanceKm } = payload.facts;
    const read = { hours: numberOr(hours), km: numberOr(distanceKm) };
    return read.hours === null && read.km === null ? [] : [{ on: at.slice(0, 10), ...read }];
  });
  return [...byHand, ...taken].sort((p, q) => (p.on < q.on ? 1 : -1));
}

const numberOr = (given: unknown): number | null => (typeof given === 'number' ? given : null);
