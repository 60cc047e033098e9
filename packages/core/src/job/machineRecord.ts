import type { EntryPayload } from './entry.ts';
import type { JobState } from './jobState.ts';

/** A part that went into the machine, or was accepted for it. */
export interface PartInMachine {
  readonly jobId: string;
  readonly gear: string;
  readonly partNumber: string;
  readonly at: string;
  /** Accepted at receiving and not noted as fitted: it may lie in a box. */
  readonly state: 'fitted' | 'accepted';
  readonly fromShelf: boolean;
  /** Hours and km on the machine when it went in, as taken in. */
  readonly hours?: number;
  readonly km?: number;
  /** What it has worked until the machine was last seen. */
  readonly workedHours?: number;
  readonly workedKm?: number;
}

export interface MachineRecord {
  /** Newest first. */
  readonly parts: readonly PartInMachine[];
  /** Part numbers read off the machine, newest first, each once. */
  readonly plates: readonly (Extract<EntryPayload, { kind: 'plateRead' }> & { readonly jobId: string; readonly at: string })[];
  /** What it wants again: the last word on each, in the order in which that was said. */
  readonly intervals: JobState['intervals'];
  /** Newest first. */
  readonly jobs: readonly JobState[];
  /** Gears that went in more than once: the gear may not be the cause. */
  readonly again: readonly { readonly gear: string; readonly times: number }[];
}

/**
 * What is known of one machine from all its jobs, in any order: parts that went in and what they have
 * worked since, plates, and gears that were replaced before. Hours and km as noted at the take-ins.
 */
export function machineRecord(jobs: readonly JobState[]): MachineRecord {
  const newest = [...jobs].sort((p, q) => ((p.takenInAt ?? '') < (q.takenInAt ?? '') ? 1 : -1));
  const now = { hours: latest(newest, 'hours'), km: latest(newest, 'distanceKm') };
  const parts = newest.flatMap((job) => partsOf(job, now)).sort((p, q) => (p.at < q.at ? 1 : -1));
  const plates = newest
    .flatMap(({ jobId, active }) => active.flatMap(({ at, payload }) => (payload.kind === 'plateRead' ? [{ ...payload, jobId, at }] : [])))
    .sort((p, q) => (p.at < q.at ? 1 : -1));
  const fitted = parts.filter(({ state }) => state === 'fitted');
  const intervals = newest.flatMap((job) => job.intervals).sort((p, q) => (p.at < q.at ? -1 : 1));
  const gears = [...new Set(fitted.map(({ gear }) => gear))];
  return {
    parts,
    plates: plates.filter(({ partNumber }, i) => plates.findIndex((each) => each.partNumber === partNumber) === i),
    intervals: intervals.filter(({ what }, i) => !intervals.slice(i + 1).some((later) => later.what === what)),
    jobs: newest,
    again: gears.map((gear) => ({ gear, times: fitted.filter((each) => each.gear === gear).length })).filter(({ times }) => times > 1),
  };
}

interface Meter {
  readonly hours: number | undefined;
  readonly km: number | undefined;
}

function partsOf({ jobId, active, facts }: JobState, now: Meter): readonly PartInMachine[] {
  const then = { hours: numberIn(facts.hours), km: numberIn(facts.distanceKm) };
  const went = active.flatMap(({ payload }) => (payload.kind === 'partFitted' ? [`${payload.gear} ${payload.partNumber}`] : []));
  return active.flatMap(({ at, payload }): PartInMachine[] => {
    const fitted = payload.kind === 'partFitted';
    if (!fitted && payload.kind !== 'partAccepted') return [];
    const { gear, partNumber } = payload;
    if (!fitted && went.includes(`${gear} ${partNumber}`)) return [];
    return [
      {
        jobId,
        gear,
        partNumber,
        at,
        state: fitted ? 'fitted' : 'accepted',
        fromShelf: fitted && payload.source === 'shelf',
        ...(then.hours !== undefined && { hours: then.hours, workedHours: since(now.hours, then.hours) }),
        ...(then.km !== undefined && { km: then.km, workedKm: since(now.km, then.km) }),
      },
    ];
  });
}

/** A meter that was changed or read wrong never makes a part younger than new. */
const since = (now: number | undefined, then: number) => Math.max(0, (now ?? then) - then);

const latest = (newest: readonly JobState[], fact: string) =>
  newest.map(({ facts }) => numberIn(facts[fact])).find((each) => each !== undefined);

const numberIn = (given: unknown): number | undefined => (typeof given === 'number' ? given : undefined);
