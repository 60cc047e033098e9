import { hypothesesOf, type Hypothesis } from './hypotheses.ts';
import { outcomesOf, type LookOutcome } from './outcomes.ts';
import type { Pack } from './pack.ts';

/** Results of every look, by look. */
export type Outcomes = ReadonlyMap<string, readonly LookOutcome[]>;

/** What a pack implies, whatever was seen. */
export interface PackModel {
  readonly hypotheses: readonly Hypothesis[];
  readonly outcomes: Outcomes;
}

const remembered = new WeakMap<Pack, PackModel>();

/** Hypotheses and look outcomes of a pack. Some hundred motions, so they are worked out once per pack. */
export function packModel(pack: Pack): PackModel {
  const before = remembered.get(pack);
  if (before) return before;
  const hypotheses = hypothesesOf(pack);
  const made: PackModel = {
    hypotheses,
    outcomes: new Map(pack.looks.map((look) => [look.id, table(outcomesOf(pack, look, hypotheses), hypotheses)])),
  };
  remembered.set(pack, made);
  return made;
}

/** The same outcomes with their likelihoods looked up instead of worked out. */
function table(outcomes: readonly LookOutcome[], hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  return outcomes.map((outcome) => {
    const row = new Map(hypotheses.map(({ id }) => [id, outcome.likelihood(id)]));
    return { ...outcome, likelihood: (id: string) => row.get(id) ?? 0 };
  });
}
