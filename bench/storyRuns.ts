import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { keysOf, likeliestResults, packModel, traceInput, traceNext, type Pack } from '@patient-badger/core/machine';
import { openAfter } from '../packages/core/src/access/state.ts';
import { forbidden } from '../packages/core/src/trace/forbidden.ts';

/** A machine told by the looks that people took, in their order, and what was wrong with it in the end. */
export interface Story {
  readonly title: string;
  readonly kind: string;
  readonly family: string;
  readonly facts: Readonly<Record<string, string | number | boolean>>;
  readonly observations: readonly { readonly look: string; readonly result: string }[];
  /** One fault, or two at once. */
  readonly verdict: readonly string[];
  /** Faults that it shows as well, and that may be named. */
  readonly accept?: readonly string[];
  readonly minProbability: number;
}

export const storiesIn = (folder: string): readonly Story[] =>
  readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .flatMap((file) => JSON.parse(readFileSync(join(folder, file), 'utf8')) as readonly Story[]);

/** A look is left unasked after so many: nobody takes more. */
const MOST_LOOKS = 30;

export function told({ family, facts, observations, verdict, accept = [], minProbability }: Story, pack: Pack) {
  const { suspects } = traceNext(traceInput.parse({ family, facts, observations }), pack);
  const first = suspects.slice(0, verdict.length);
  return {
    right: verdict.every((fault) => first.some((each) => each.fault === fault && each.probability >= minProbability)),
    // A wrong fault that would be the verdict, though the machine does not have it.
    wrong: suspects.some(({ fault, probability }) => probability >= 0.9 && ![...verdict, ...accept].includes(fault)),
    said: first.map(({ fault, probability }) => `${fault} ${probability.toFixed(2)}`).join(', '),
  };
}

/** What the machine of a story shows at each look: what was told, the last time it was, or else the likeliest. */
function machine({ observations, verdict }: Story, pack: Pack): (look: string) => string {
  const model = packModel(pack);
  const { hypotheses, outcomes } = model;
  const chance = (look: string, result: string, id: string) =>
    outcomes
      .get(look)
      ?.find((each) => each.result === result)
      ?.likelihood(id) ?? 0;
  const same = (keys: readonly string[]) => keys.length === verdict.length && verdict.every((each) => keys.includes(each));
  const fitting = hypotheses
    .filter((each) => same(keysOf(each)))
    .map(({ id }) => ({ id, fit: observations.reduce((sum, { look, result }) => sum + Math.log(chance(look, result, id) + 1e-4), 0) }))
    .sort((p, q) => q.fit - p.fit);
  const truth = fitting[0]?.id;
  if (truth === undefined) throw new Error(`no such machine: ${verdict.join(' and ')}`);
  const likeliest = likeliestResults(model, truth);
  return (look) => observations.findLast((each) => each.look === look)?.result ?? likeliest[look] ?? '';
}

export interface OwnResult {
  readonly right: boolean;
  readonly wrong: boolean;
  readonly forbidden: readonly string[];
  readonly looks: readonly string[];
  readonly minutes: number;
}

export function byItself(story: Story, pack: Pack): OwnResult {
  const shows = machine(story, pack);
  const seen: { look: string; result: string }[] = [];
  const found: string[] = [];
  const trespasses: string[] = [];
  let reached: readonly string[] = [];
  let minutes = 0;
  const end = (right: boolean, wrong: boolean) => ({ right, wrong, forbidden: trespasses, looks: seen.map(({ look }) => look), minutes });
  for (let count = 0; count < MOST_LOOKS; count++) {
    const {
      next,
      verdict,
      end: ended,
    } = traceNext(traceInput.parse({ family: story.family, facts: story.facts, observations: seen, reached, found }), pack);
    if (verdict) {
      if (verdict.faults.some((fault) => !story.verdict.includes(fault) && !story.accept?.includes(fault))) return end(false, true);
      found.push(...verdict.faults);
      if (story.verdict.every((fault) => found.includes(fault))) return end(true, false);
      continue;
    }
    // That there is nothing else would be a wrong verdict too, where there is.
    if (!next) return end(false, ended?.kind === 'nothingElse');
    trespasses.push(...forbidden(pack, next, reached));
    reached = openAfter(next, reached);
    minutes += next.minutes;
    seen.push({ look: next.look, result: shows(next.look) });
  }
  return end(false, false);
}
