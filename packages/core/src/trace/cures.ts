import type { Evidence, Observation } from './evidence.ts';
import type { Complaint, Pack } from './pack.ts';
import type { TraceOutput } from './schema.ts';

export interface Cures {
  /** What was seen, as it counts: the complaint as it showed before the cure, and no cure after which it still shows. */
  readonly seen: readonly Observation[];
  /** Faults whose cure took the complaint away. */
  readonly proven: ReadonlySet<string>;
  /** A cure that seems to have worked, and the look in which the complaint had shown itself before it. */
  readonly toConfirm: TraceOutput['toLookAt'];
}

/** The faults that a result settles, cures and sights alike. */
export function settledFaults({ looks }: Pack, { look, result }: Observation): readonly string[] {
  const asked = looks.find(({ id }) => id === look);
  if (asked?.kind !== 'table') return [];
  const parts = result.split('+');
  return asked.results.flatMap(({ id, settles }) => (settles && parts.includes(id) ? [settles] : []));
}

export const isCure = ({ looks }: Pack, { look }: Observation): boolean =>
  looks.some((each) => each.id === look && each.kind === 'table' && each.tries);

/** The faults that a sight settles; a cure is looked at in its complaint instead. */
export const settledOnSight = (pack: Pack, seen: Observation): readonly string[] => (isCure(pack, seen) ? [] : settledFaults(pack, seen));

/**
 * What cures tell. One that worked is the fault it cures where the complaint had been seen before it and is gone after: it is
 * looked at once more. Where it had not been seen before, the cure is evidence like any other look.
 * @param observations all of them, in their order
 * @param last the last of each look
 */
export function curesIn(
  pack: Pack,
  {
    observations,
    last,
    said,
    evidence,
  }: { observations: readonly Observation[]; last: readonly Observation[]; said: readonly Complaint[]; evidence: Evidence },
): Cures {
  const proven = new Set<string>();
  const failed = new Set<Observation>();
  const asBefore = new Map<string, Observation>();
  let toConfirm: Cures['toConfirm'] = null;
  for (const cure of last.filter((each) => isCure(pack, each))) {
    const [fault] = settledFaults(pack, cure);
    if (fault === undefined) continue;
    const tried = observations.lastIndexOf(cure);
    for (const { shownBy } of said) {
      const before = observations.slice(0, tried).findLast(({ look }) => look === shownBy);
      const after = observations.slice(tried).findLast(({ look }) => look === shownBy);
      if (!before || !evidence.isFinding(before)) continue;
      if (!after) toConfirm = { fault, look: before.look };
      else if (evidence.isFinding(after)) failed.add(cure);
      else {
        proven.add(fault);
        asBefore.set(before.look, before);
      }
    }
  }
  return { seen: last.filter((each) => !failed.has(each)).map((each) => asBefore.get(each.look) ?? each), proven, toConfirm };
}
