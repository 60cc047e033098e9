import { NOTHING_ELSE, SOUND, waysAlone } from './hypotheses.ts';
import type { Pack } from './pack.ts';
import type { PackModel } from './packModel.ts';
import { SELDOM } from './tableOutcomes.ts';

/** A fault explains a finding that it shows so many times as often as a machine that does not have it. */
const EXPLAINS_TIMES = 5;
/** A fault's own sight: at least so often under it, and at most so often under any other and on a sound machine. */
const OWN_LEAST = 0.5;
const OWN_ELSEWHERE = 0.1;

export interface Observation {
  readonly look: string;
  readonly result: string;
}

/** What the results of the looks of a pack say about its faults, each alone. */
export interface Evidence {
  /** A sound machine, or one with nothing but what was found, would seldom show it. */
  isFinding(seen: Observation): boolean;
  explains(fault: string, seen: Observation): boolean;
  /** Chance that the look shows a finding that the fault explains, where it is that fault. */
  chanceOfFinding(fault: string, look: string): number;
  /** Looks in which the fault itself is seen, and no other that is still in play looks like it. */
  ownSights(fault: string, isInPlay: (other: string) => boolean): readonly string[];
}

const remembered = new WeakMap<PackModel, Evidence>();

/** @param model with the faults found already in it: what they explain is no finding */
export function evidenceOf(pack: Pack, model: PackModel, found: readonly string[] = []): Evidence {
  const before = remembered.get(model);
  if (before) return before;
  const base = found.length > 0 ? NOTHING_ELSE : SOUND;
  const faults = pack.faults.filter(({ id }) => !found.includes(id)).map(({ id }) => id);
  const ways = new Map(faults.map((fault) => [fault, waysAlone(model.hypotheses, fault)]));
  const looks = new Map(
    [...model.outcomes].map(([look, outcomes]) => {
      const results = outcomes.map((outcome) => ({
        result: outcome.result,
        parts: outcome.parts,
        without: outcome.likelihood(base),
        chances: new Map(
          faults.map((fault) => {
            const own = ways.get(fault) ?? [];
            const shares = own.reduce((sum, { share }) => sum + share, 0);
            return [fault, shares > 0 ? own.reduce((sum, { id, share }) => sum + share * outcome.likelihood(id), 0) / shares : 0];
          }),
        ),
      }));
      return [look, results] as const;
    }),
  );
  const of = ({ look, result }: Observation) => looks.get(look)?.find((each) => each.result === result);
  const seldom = ({ without }: { without: number }) => without <= SELDOM;
  const moreOften = (fault: string, { without, chances }: { without: number; chances: ReadonlyMap<string, number> }) =>
    (chances.get(fault) ?? 0) >= EXPLAINS_TIMES * without;
  const made: Evidence = {
    isFinding(seen) {
      const result = of(seen);
      return result !== undefined && seldom(result);
    },
    explains(fault, seen) {
      const result = of(seen);
      if (!result || !seldom(result)) return false;
      // Of two things seen at once, either is enough.
      const parts = looks.get(seen.look)?.filter((each) => result.parts?.includes(each.result)) ?? [];
      return [result, ...parts.filter(seldom)].some((each) => moreOften(fault, each));
    },
    chanceOfFinding: (fault, look) =>
      (looks.get(look) ?? [])
        .filter((each) => seldom(each) && moreOften(fault, each))
        .reduce((sum, { chances }) => sum + (chances.get(fault) ?? 0), 0),
    ownSights: (fault, isInPlay) =>
      [...looks]
        .filter(([, results]) =>
          results.some(
            ({ without, chances }) =>
              without <= OWN_ELSEWHERE &&
              (chances.get(fault) ?? 0) >= OWN_LEAST &&
              [...chances].every(([other, chance]) => other === fault || chance <= OWN_ELSEWHERE || !isInPlay(other)),
          ),
        )
        .map(([look]) => look),
  };
  remembered.set(model, made);
  return made;
}
