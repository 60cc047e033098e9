import { openNow } from '../access/state.ts';
import type { Pack } from '../trace/pack.ts';
import type { JobState } from './jobState.ts';

/** Steps that are open as the job stands: done, and not put back since. */
export const openSteps = (pack: Pack, { handled }: Pick<JobState, 'handled'>): readonly string[] => openNow(pack, handled);

/** Pieces of the way back that are done and were not opened again since. */
export function piecesBack(pack: Pack, { closingDone, handled }: Pick<JobState, 'closingDone' | 'handled'>): readonly string[] {
  const open = openSteps(pack, { handled });
  return closingDone.filter((id) => !(pack.closing.find((each) => each.id === id)?.closes ?? [id]).some((step) => open.includes(step)));
}
