import type { JobView } from '../job/JobView.ts';
import { percent } from '../wording/words.ts';

/** After a find: that there is nothing else on the list, or that more looks are not worth it; null while the search goes on. */
export function leftAtThat({ state, trace }: JobView): { readonly label: string; readonly head: string; readonly text: string } | null {
  if (state.found.length === 0 || !trace.end) return null;
  const label = `${percent(trace.nothingElseProbability ?? 0)} sure that nothing else of the list is there`;
  if (trace.end.kind === 'nothingElse')
    return {
      label,
      head: 'Nothing else on this list',
      text: 'What was found is all that the list of this family knows of, as far as the looks tell.',
    };
  if (trace.end.kind !== 'notWorthIt') return null;
  return {
    label,
    head: 'Not worth looking for more',
    text: 'More looks would cost more than the doubt that is left. What was found is set right and proved.',
  };
}
