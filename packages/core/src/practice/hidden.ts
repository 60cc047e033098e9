import { openAfter, reachOf } from '../access/state.ts';
import { complaintChance, keysOf, priorOf } from '../trace/hypotheses.ts';
import type { Look, Pack } from '../trace/pack.ts';
import { packModel } from '../trace/packModel.ts';
import { lookWants } from '../trace/wanted.ts';

/**
 * A machine with something in it that nobody is told: what practice deals out, and what the bench of tracing follows. Chance
 * is handed in, so that the same chance makes the same machine.
 */
export interface Truth {
  readonly hypothesis: string;
  readonly faults: readonly string[];
}

/** One of the names, each by its weight; the last where rounding leaves a rest. */
export function drawn(weights: ReadonlyMap<string, number>, random: () => number): string {
  let left = random() * [...weights.values()].reduce((sum, weight) => sum + weight, 0);
  let last = '';
  for (const [name, weight] of weights) {
    last = name;
    left -= weight;
    if (left <= 0) return name;
  }
  return last;
}

interface Possible extends Truth {
  readonly weight: number;
}

/** Everything that so many faults at once can be, by how often the family has it. */
export function possibleTruths(pack: Pack, count: 1 | 2): readonly Possible[] {
  const { hypotheses } = packModel(pack);
  const prior = priorOf(pack, {}, hypotheses);
  return hypotheses
    .filter(({ faults }) => faults.length === count)
    .map((each) => ({ hypothesis: each.id, faults: keysOf(each), weight: prior[each.id] ?? 0 }));
}

/** With which complaint the owner of such a machine comes, and how likely. */
export const complaintChances = (pack: Pack, faults: readonly string[]): ReadonlyMap<string, number> =>
  new Map(pack.complaints.map((each) => [each.id, faults.reduce((sum, fault) => sum + complaintChance(pack, each, fault), 0)]));

/** How far the world of a machine may be off what the family says: its chances are multiplied by 0.7 to 1.3. */
const DISTURBANCE = 0.3;

/** Chances of the results of a look on such a machine, misreadings counted; with `disturbed` they are off what the family says. */
export function chancesOf(
  pack: Pack,
  look: string,
  { hypothesis, disturbed }: { readonly hypothesis: string; readonly disturbed?: (() => number) | undefined },
): ReadonlyMap<string, number> {
  const outcomes = packModel(pack).outcomes.get(look) ?? [];
  return new Map(
    outcomes.map(({ result, likelihood }) => {
      const factor = disturbed ? 1 + DISTURBANCE * (2 * disturbed() - 1) : 1;
      return [result, likelihood(hypothesis) * factor];
    }),
  );
}

/** Minutes of getting to a look from what is open, and what is open then. A checked family has a way to each of its looks. */
export function wayTo(pack: Pack, look: Look, reached: readonly string[]): { minutes: number; reached: readonly string[] } {
  const way = reachOf(pack).approachOf(lookWants(pack, look), reached);
  return { minutes: way?.minutes ?? 0, reached: way ? openAfter(way, reached) : reached };
}
