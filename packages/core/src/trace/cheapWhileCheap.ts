import { openAfter, reachOf } from '../access/state.ts';
import type { Pack } from './pack.ts';
import type { LookAdvice } from './schema.ts';
import { lookWants, wantedBy } from './wanted.ts';

/** A look takes no longer than this, and tells at least so much, where it goes before another that ends its moment. */
const QUICK_MINUTES = 1;
const QUICK_BITS = 0.05;

/**
 * Quick looks that the next one would end, or make dearer, go before it: on the whole machine, before an opening for which things
 * would have to be put back; at the parts as they were found, before they are cleaned.
 */
export function cheapWhileCheap(pack: Pack, advice: readonly LookAdvice[], reached: readonly string[]): LookAdvice[] {
  const [next] = advice;
  if (!next) return [];
  const looks = new Map(pack.looks.map((look) => [look.id, look]));
  const ended = looks.get(next.look)?.takes ?? [];
  const reach = reachOf(pack);
  const open = openAfter(next, reached);
  const isDearerAfterIt = ({ look: id, minutes, lookMinutes }: LookAdvice) => {
    const look = looks.get(id);
    if (!look) return false;
    const way = reach.approachOf(lookWants(pack, look), open);
    return !way || way.minutes > minutes - lookMinutes || wantedBy(pack, look).some((state) => ended.includes(state));
  };
  const onItsWay = new Set(next.steps.map(({ id }) => id));
  const quick = advice
    .slice(1)
    .filter((advised) => {
      const { lookMinutes, expectedBits, steps, undo } = advised;
      const isOnTheWay = undo.length === 0 && steps.every(({ id }) => onItsWay.has(id));
      return isOnTheWay && lookMinutes <= QUICK_MINUTES && expectedBits >= QUICK_BITS && isDearerAfterIt(advised);
    })
    // What wants less opening goes first.
    .sort((p, q) => p.steps.length - q.steps.length);
  return [...quick, ...advice.filter((each) => !quick.includes(each))];
}
