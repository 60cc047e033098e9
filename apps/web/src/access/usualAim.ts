import { t } from '@patient-badger/wording/access';
import { remediesOfJob, toSetRight } from '@patient-badger/core/job';
import { advisedLooks, type Aim } from '@patient-badger/core/machine';
import { placeName } from '../driveline/placeName.ts';
import type { JobView } from '../job/JobView.ts';

/** What there is to open for, as the job stands: the work that was decided on, else the verdict, else the next look that needs opening. */
export function usualAim({ pack, state, trace }: JobView): { readonly name: string; readonly aim: Aim } {
  const remedies = remediesOfJob(pack, state);
  if (remedies.length > 0) {
    return { name: remedies.map((each) => each.name).join(', '), aim: { steps: remedies.flatMap(({ needs }) => needs) } };
  }
  const places = toSetRight(pack, state).map(({ at }) => at);
  const verdict = pack.faults.find(({ id }) => id === trace.verdict?.fault)?.at;
  const wanted = places.length > 0 ? places : [verdict].flatMap((each) => each ?? []);
  if (wanted.length > 0) return { name: wanted.map((each) => placeName(pack, each)).join(', '), aim: { places: wanted } };
  const look = advisedLooks(trace).find(({ steps }) => steps.length > 0);
  if (!look) return { name: t.nothingInParticular, aim: { places: [] } };
  return { name: look.name, aim: { steps: pack.looks.find(({ id }) => id === look.look)?.needs ?? [] } };
}
