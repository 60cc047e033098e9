import { z } from 'zod';
import { accessPlan, type Aim } from './access/plan.ts';
import { reassembly } from './access/reassembly.ts';
import { CoreFailure, fail } from './failure/CoreFailure.ts';
import { operation } from './operation/operation.ts';
import { planInput, planOutput } from './planSchema.ts';
import { checkPack } from './trace/checkPack.ts';
import { idsOf, need } from './trace/names.ts';
import { traceNext } from './trace/next.ts';
import { packSchema, type Pack } from './trace/pack.ts';
import { name } from './quantity/bounds.ts';
import { facts, traceInput, traceOutput } from './trace/schema.ts';
import { packForFacts } from './trace/overrides.ts';
import { remediesIn, remedyChosen } from './trace/remedies.ts';
import { findByWords } from './trace/words.ts';
import { workPlanFields, workPlanOutput, type RemedyName } from './work/schema.ts';
import { workPlan } from './work/workPlan.ts';
import { wordsInput, wordsOutput } from './trace/wordsSchema.ts';

/** Families are data: whoever opens the core says where they are found. */
export interface Families {
  readonly find: (id: string) => Pack | undefined;
  readonly ids: () => readonly string[];
}

/** Finds a family by its id. @throws CoreFailure at the field that named it where there is none */
export const familyIn =
  ({ find, ids }: Families) =>
  (given: string, field = 'family'): Pack => {
    const found = find(given);
    if (!found) throw fail('unknownId', field, { given, known: ids().join(', ') });
    return found;
  };

/** The operations that work on a machine family, named or handed in whole. */
export function packOperations(families: Families) {
  const named = familyIn(families);
  const family = (given: string | Pack, field = 'family'): Pack =>
    typeof given === 'string' ? named(given, field) : inside(field, () => checkPack(given));
  const eachOnce = (list: readonly (string | Pack)[]): readonly Pack[] =>
    list.map((given, i) => family(given, `families.${i}`)).filter(({ id }, i, all) => all.findIndex((other) => other.id === id) === i);
  let every: readonly Pack[] | undefined;
  const all = () => (every ??= families.ids().map((id) => named(id)));
  return {
    'access.plan': operation({
      input: planInput,
      output: planOutput,
      heavy: true,
      work: ({ family: given, ...asked }) => planFor(family(given), asked),
    }),
    'work.plan': operation({
      input: workPlanInput,
      output: workPlanOutput,
      heavy: true,
      work: ({ family: given, facts: known, ...asked }) => workFor(packForFacts(family(given), known), asked),
    }),
    'trace.next': operation({
      input: traceInput,
      output: traceOutput,
      heavy: true,
      work: (input) => traceNext(input, family(input.family)),
    }),
    'trace.words': operation({
      input: wordsInput,
      output: wordsOutput,
      work: ({ words, families: given, most }) => ({
        matches: [...findByWords(given.length > 0 ? eachOnce(given) : all(), words, most)],
      }),
    }),
  };
}

const needAll = (known: ReadonlySet<string>, list: readonly string[], path: string) =>
  list.forEach((given, i) => need(known, given, `${path}.${i}`));

interface PlanRequest extends Required<Aim> {
  readonly opened: readonly string[];
  readonly stuck: readonly string[];
}

function planFor(pack: Pack, { opened, stuck, ...aim }: PlanRequest): z.input<typeof planOutput> {
  const steps = idsOf(pack.steps);
  const places = idsOf([...pack.driveline.bodies, ...pack.driveline.joints, ...pack.auxiliaries]);
  needAll(places, aim.places, 'places');
  needAll(steps, aim.steps, 'steps');
  needAll(steps, opened, 'opened');
  needAll(steps, stuck, 'stuck');
  const plan = accessPlan(pack, aim, { opened, stuck });
  const back = reassembly(pack, [...opened, ...(plan?.steps.map(({ id }) => id) ?? [])]);
  return {
    plan: plan && {
      ...plan,
      steps: [...plan.steps],
      tools: [...plan.tools],
      helperFor: [...plan.helperFor],
      whileOpen: [...plan.whileOpen],
    },
    reassembly: [...back],
  };
}

const workPlanInput = z.strictObject({ family: z.union([name, packSchema]), facts: facts.default({}), ...workPlanFields });

interface WorkRequest {
  readonly chosen: readonly RemedyName[];
  readonly besides: readonly string[];
  readonly opened: readonly string[];
  readonly stuck: readonly string[];
  readonly done: readonly string[];
}

function workFor(pack: Pack, { chosen, besides, ...asked }: WorkRequest): z.input<typeof workPlanOutput> {
  const steps = idsOf(pack.steps);
  needAll(steps, asked.opened, 'opened');
  needAll(steps, asked.stuck, 'stuck');
  const remedies = chosen.map((each, i) => ({ remedy: remedyChosen(pack, each, `chosen.${i}`), path: `chosen.${i}` }));
  const small = pack.whileOpen.filter(({ id }) => besides.includes(id));
  const every = remediesIn(pack);
  needAll(idsOf([...every, ...pack.whileOpen]), besides, 'besides');
  besides.forEach((id, i) => {
    const remedy = small.some((each) => each.id === id) ? undefined : every.find((each) => each.id === id);
    if (remedy) remedies.push({ remedy, path: `besides.${i}` });
  });
  const once = remedies.filter(({ remedy }, i) => remedies.findIndex((other) => other.remedy.id === remedy.id) === i);
  return workPlan(pack, { remedies: once, besides: small, ...asked });
}

/** Runs a check whose paths start below a field of the input. */
function inside<T>(field: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CoreFailure)) throw error;
    throw fail(error.code, `${field}.${error.path}`, error.detail);
  }
}
