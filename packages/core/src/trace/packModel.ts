import { hypothesesOf, SOUND_MACHINE, type Hypothesis } from './hypotheses.ts';
import type { LookOutcome } from './lookOutcome.ts';
import { outcomesOf } from './outcomes.ts';
import type { Pack } from './pack.ts';

/** Results of every look, by look; also under a sound machine. */
export type Outcomes = ReadonlyMap<string, readonly LookOutcome[]>;

/** What a pack implies, whatever was seen. */
export interface PackModel {
  readonly hypotheses: readonly Hypothesis[];
  readonly outcomes: Outcomes;
}

const remembered = new WeakMap<Pack, Map<string, PackModel>>();

/**
 * Hypotheses and look outcomes of a pack, with faults found already kept in the chain. Some hundred
 * motions, so they are worked out once per pack and findings.
 */
export function packModel(pack: Pack, found: readonly string[] = []): PackModel {
  const models = remembered.get(pack) ?? new Map<string, PackModel>();
  remembered.set(pack, models);
  const key = [...found].sort().join(' ');
  const before = models.get(key);
  if (before) return before;
  const hypotheses = hypothesesOf(pack, found);
  const asked = [...hypotheses.filter((each) => each !== SOUND_MACHINE), SOUND_MACHINE];
  const made: PackModel = {
    hypotheses,
    outcomes: new Map(pack.looks.map((look) => [look.id, table(outcomesOf(pack, look, asked), asked)])),
  };
  models.set(key, made);
  return made;
}

/** What a machine shows most often at each look, by look, under one hypothesis of the model or without any fault. */
export const likeliestResults = ({ outcomes }: PackModel, hypothesis: string): Readonly<Record<string, string>> =>
  Object.fromEntries(
    [...outcomes].map(([look, results]) => {
      const [likeliest] = [...results].sort((p, q) => q.likelihood(hypothesis) - p.likelihood(hypothesis));
      return [look, likeliest?.result ?? ''];
    }),
  );

/** The same outcomes with their likelihoods looked up instead of worked out. */
function table(outcomes: readonly LookOutcome[], hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  return outcomes.map((outcome) => {
    const row = new Map(hypotheses.map(({ id }) => [id, outcome.likelihood(id)]));
    return { ...outcome, likelihood: (id: string) => row.get(id) ?? 0 };
  });
}
