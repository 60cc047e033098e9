import { waysAlone } from './hypotheses.ts';
import type { Pack } from './pack.ts';
import { packModel } from './packModel.ts';

export interface ResultChance {
  readonly result: string;
  /** By fault: how likely this result is where it is that fault alone. */
  readonly likelihood: Readonly<Record<string, number>>;
}

interface LookChancesOptions {
  readonly faults: readonly string[];
  /** Faults that are in the machine whatever else is. */
  readonly found?: readonly string[] | undefined;
}

/**
 * How likely each result of a look is under each of these faults, as `decide.worth` takes it: a fault that shows in several
 * ways counts them by their shares. The results of a look sum to one for each fault.
 */
export function lookChances(pack: Pack, look: string, { faults, found = [] }: LookChancesOptions): readonly ResultChance[] {
  const { hypotheses, outcomes } = packModel(pack, found);
  const results = outcomes.get(look) ?? [];
  const columns = faults.map((fault) => {
    const ways = waysAlone(hypotheses, fault);
    const sum = ways.reduce((total, { share }) => total + share, 0);
    const chances = results.map((each) => ways.reduce((total, { id, share }) => total + each.likelihood(id) * share, 0) / (sum || 1));
    const whole = chances.reduce((total, each) => total + each, 0);
    return [fault, chances.map((each) => (whole > 0 ? each / whole : 1 / results.length))] as const;
  });
  return results.map(({ result }, i) => ({
    result,
    likelihood: Object.fromEntries(columns.map(([fault, chances]) => [fault, chances[i] ?? 0])),
  }));
}
