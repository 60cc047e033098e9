import { fail } from '../failure/CoreFailure.ts';
import { own } from '../operation/own.ts';
import type { ClosingStep } from '../access/step.ts';
import { checkPack } from './checkPack.ts';
import { isInReach } from './checkRemedies.ts';
import { modelOverrides, type ModelOverrides } from './modelOverrides.ts';
import { idsOf, need } from './names.ts';
import { packSchema, type Fault, type Pack } from './pack.ts';

const remembered = new WeakMap<Pack, Map<string, Pack>>();

/**
 * The family as one model has it. The same pack and overrides give the same object, so that what was
 * worked out for it is found again.
 * @throws CoreFailure where an override names what the family does not have, or does not belong to that kind of joint
 */
export function applyOverrides(pack: Pack, overrides: ModelOverrides | null | undefined): Pack {
  if (!overrides || isEmpty(overrides)) return pack;
  const models = remembered.get(pack) ?? new Map<string, Pack>();
  remembered.set(pack, models);
  const key = JSON.stringify(overrides);
  const made = models.get(key) ?? checkPack(changed(variantOf(pack, overrides.variant), overrides));
  models.set(key, made);
  return made;
}

/** The fact that says which of the family's variants a machine is. */
export const VARIANT_FACT = 'variant';

/** The family in the variant that the facts name; as it is where they name none that it has. */
export function packForFacts(pack: Pack, facts: Readonly<Record<string, unknown>>): Pack {
  const variant = own(facts, VARIANT_FACT);
  return typeof variant === 'string' && pack.variants.some(({ id }) => id === variant)
    ? applyOverrides(pack, modelOverrides.parse({ variant }))
    : pack;
}

/** The family and every variant of it: what a job may speak of, whatever its machine turns out to be. */
export const inEveryVariant = (pack: Pack): readonly Pack[] => [
  pack,
  ...pack.variants.map(({ id }) => packForFacts(pack, { [VARIANT_FACT]: id })),
];

function variantOf(pack: Pack, variant: string | undefined): Pack {
  if (variant === undefined) return pack;
  const found = pack.variants.find(({ id }) => id === variant);
  if (!found) throw fail('unknownId', 'variant', { given: variant, known: pack.variants.map(({ id }) => id).join(', ') });
  // A variant that names another would go on for ever; it is laid on the family as it is described.
  return changed(pack, { ...found.overrides, variant: undefined });
}

const isEmpty = (overrides: ModelOverrides) =>
  Object.values(overrides).every((each) => each === undefined || Object.keys(each).length === 0);

/** Entries put in the place of those of the same id, or added, and some left out. */
function puttingIn<T extends { readonly id: string }>(list: readonly T[], put: readonly T[] = [], without: readonly string[] = []): T[] {
  const kept = list.filter(({ id }) => !without.includes(id)).map((each) => put.find(({ id }) => id === each.id) ?? each);
  return [...kept, ...put.filter(({ id }) => !list.some((each) => each.id === id))];
}

function changed(pack: Pack, overrides: ModelOverrides): Pack {
  checkNamed(pack, overrides);
  const { put, without } = overrides;
  const gone = { faults: new Set(without.faults), looks: new Set(without.looks) };
  const steps = stepsOf(pack, overrides);
  const closing = puttingIn(overrides.closing ?? pack.closing, [], without.closing);
  const shown = new Set(steps.list.map(({ id }) => id));
  const looks = puttingIn(pack.looks, put.looks, without.looks).map((look) => ({
    ...look,
    needs: steps.needsOf(look.needs),
    ...(look.kind === 'table' && { likelihoods: leaving(look.likelihoods, gone.faults) }),
  }));
  return read(pack, {
    ...pack,
    driveline: {
      bodies: puttingIn(pack.driveline.bodies, put.bodies, without.bodies).map((each) => ({ ...each, ...own(overrides.bodies, each.id) })),
      joints: puttingIn(pack.driveline.joints, put.joints, without.joints).map((each) => ({ ...each, ...own(overrides.joints, each.id) })),
    },
    states: puttingIn(pack.states, put.states),
    auxiliaries: puttingIn(pack.auxiliaries, put.auxiliaries),
    cautions: puttingIn(pack.cautions, put.cautions),
    faults: remediesLeft(
      pack,
      puttingIn(pack.faults, put.faults, without.faults).map((each) => ({ ...each, ...own(overrides.faults, each.id) })),
      { needsOf: steps.needsOf, steps: steps.list as Pack['steps'], gone: new Set([...(without.bodies ?? []), ...(without.joints ?? [])]) },
    ),
    together: pack.together.filter(({ faults }) => !faults.some((id) => gone.faults.has(id))),
    complaints: pack.complaints.map((complaint) => ({
      ...complaint,
      points: complaint.points.filter(({ fault }) => !gone.faults.has(fault)),
      first: complaint.first.filter((id) => !gone.looks.has(id)),
    })),
    finds: pack.finds.filter(({ look }) => !gone.looks.has(look)),
    textbookOrder: pack.textbookOrder.filter((id) => !gone.looks.has(id)),
    order: overrides.order ?? pack.order,
    branches: overrides.branches ?? pack.branches,
    looks,
    steps: steps.list,
    closing: settingsKept(pack, closing)
      .filter(({ closes, after }) => [...closes, ...after].length === 0 || [...closes, ...after].some((id) => shown.has(id)))
      .map((each) => ({ ...each, closes: each.closes.filter((id) => shown.has(id)), after: each.after.filter((id) => shown.has(id)) })),
    variants: [],
  });
}

interface Left {
  readonly needsOf: (ids: readonly string[]) => string[];
  readonly steps: Pack['steps'];
  /** Bodies and joints that the model does not have. */
  readonly gone: ReadonlySet<string>;
}

/** The remedies as a model can have them: without what it has not got, opened by the steps that it has. */
function remediesLeft<T extends Pick<Fault, 'remedies'>>(
  pack: Pack,
  faults: readonly T[],
  { needsOf, steps, gone }: Left,
): (T & Pick<Fault, 'remedies'>)[] {
  const left = new Set([...faults.flatMap(({ remedies }) => remedies), ...pack.whileOpen].map(({ id }) => id));
  return faults.map((fault) => ({
    ...fault,
    remedies: fault.remedies.map((remedy) => {
      const needs = needsOf(remedy.needs);
      return {
        ...remedy,
        needs,
        settings: remedy.settings.filter((id) => isInReach({ ...pack, steps }, needs, id)),
        parts: remedy.parts.filter(({ gear }) => gear === undefined || !gone.has(gear)),
        checks: remedy.checks.filter(({ about }) => !gone.has(about)),
        besides: remedy.besides.filter((each) => left.has(each.remedy)),
      };
    }),
  }));
}

/** A way back that a model brings says of its pieces what the family says of those of the same name, and fills what is filled. */
function settingsKept({ closing: family, settings }: Pack, closing: readonly ClosingStep[]): readonly ClosingStep[] {
  const named = closing.map((piece) => ({ ...piece, setting: piece.setting ?? family.find(({ id }) => id === piece.id)?.setting }));
  const fill = settings.find(({ id, desk }) => desk === 'fill' && !named.some(({ setting }) => setting === id))?.id;
  const unnamed = named.find(({ kind, setting }) => kind === 'fill' && setting === undefined);
  return named.map((piece) => (piece === unnamed && fill !== undefined ? { ...piece, setting: fill } : piece));
}

const leaving = <T>(record: Readonly<Record<string, T>>, gone: ReadonlySet<string>) =>
  Object.fromEntries(Object.entries(record).filter(([id]) => !gone.has(id)));

function checkNamed(pack: Pack, { bodies, joints, steps, faults, withoutSteps, without }: ModelOverrides): void {
  const known = (list: readonly { readonly id: string }[], ids: readonly string[] | undefined, path: string) =>
    ids?.forEach((id) => need(idsOf(list), id, `${path}.${id}`));
  known(pack.driveline.bodies, Object.keys(bodies), 'bodies');
  known(pack.driveline.joints, Object.keys(joints), 'joints');
  known(pack.steps, [...Object.keys(steps), ...withoutSteps], 'steps');
  known(pack.faults, Object.keys(faults), 'faults');
  known(pack.driveline.bodies, without.bodies, 'without.bodies');
  known(pack.driveline.joints, without.joints, 'without.joints');
  known(pack.faults, without.faults, 'without.faults');
  known(pack.looks, without.looks, 'without.looks');
  known(pack.closing, without.closing, 'without.closing');
}

/** The steps without those the model is spared: what needed them needs what they needed. */
function stepsOf(pack: Pack, { steps, withoutSteps, put }: ModelOverrides) {
  const gone = new Set(withoutSteps);
  const needsOf = (ids: readonly string[]): string[] => [
    ...new Set(ids.flatMap((id) => (gone.has(id) ? needsOf(pack.steps.find((each) => each.id === id)?.needs ?? []) : [id]))),
  ];
  // A way that has become no work at all leaves no choice.
  const waysOf = (ways: readonly (readonly string[])[]) => {
    const left = ways.map(needsOf);
    return left.some((way) => way.length === 0) ? [] : left;
  };
  const list = puttingIn(pack.steps, put.steps, withoutSteps).map((step) => ({
    ...step,
    ...own(steps, step.id),
    needs: needsOf(step.needs),
    ways: waysOf(step.ways),
  }));
  return { list, needsOf };
}

function read(pack: Pack, made: unknown): Pack {
  const parsed = packSchema.safeParse(made);
  if (parsed.success) return parsed.data;
  const where = parsed.error.issues[0]?.path.map(String) ?? [];
  const joint = where[1] === 'joints' ? pack.driveline.joints[Number(where[2])] : undefined;
  throw fail('contradiction', joint ? `joints.${joint.id}` : where.join('.'), {
    ...(joint ? { reason: 'notOfThisJoint', id: joint.id, type: joint.type } : { reason: 'notForModels' }),
  });
}
