import { t } from '@patient-badger/wording/trace';
import type { JobView } from '../job/JobView.ts';
import { percent } from '../wording/words.ts';

/** After a find: that there is nothing else on the list, or that more looks are not worth it; null while the search goes on. */
export function leftAtThat({ state, trace }: JobView): { readonly label: string; readonly head: string; readonly text: string } | null {
  if (state.found.length === 0 || !trace.end) return null;
  const label = t.sureThatNothingElseOf(percent(trace.nothingElseProbability ?? 0));
  if (trace.end.kind === 'nothingElse')
    return {
      label,
      head: t.nothingElseOnThisList,
      text: t.whatWasFoundIsAll,
    };
  if (trace.end.kind !== 'notWorthIt') return null;
  return {
    label,
    head: t.notWorthLookingForMore,
    text: t.moreLooksWouldCostMore,
  };
}
