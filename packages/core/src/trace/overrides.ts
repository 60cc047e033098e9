import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { checkPack } from './checkPack.ts';
import { packSchema, type Pack } from './pack.ts';
import { countUpTo, name, positiveUpTo, sentence } from '../quantity/bounds.ts';
import { own } from '../operation/own.ts';

const byId = <T extends z.ZodType>(change: T) => z.record(name, change).default({});
const teeth = countUpTo(10_000).optional();
const positive = positiveUpTo(10_000).optional();
const material = name.optional();
const minutes = z.number().min(0).max(600).optional();

/** What one machine model has otherwise than its family: counts, materials, steps it does not have or that take longer. */
export const modelOverrides = z.strictObject({
  bodies: byId(z.strictObject({ name: name.optional(), material })),
  joints: byId(
    z.strictObject({
      teethA: teeth,
      teethB: teeth,
      starts: teeth,
      teeth,
      moduleMm: positive,
      leadMm: positive,
      ratio: positive,
      travelMm: positive,
      travelDeg: positive,
      material,
    }),
  ),
  steps: byId(z.strictObject({ minutes, how: sentence.optional() })),
  /** Steps this model is spared: what needed them needs what they needed. */
  withoutSteps: z.array(name).max(30).default([]),
});
export type ModelOverrides = z.infer<typeof modelOverrides>;

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
  const made = models.get(key) ?? checkPack(changed(pack, overrides));
  models.set(key, made);
  return made;
}

const isEmpty = ({ bodies, joints, steps, withoutSteps }: ModelOverrides) =>
  [bodies, joints, steps].every((each) => Object.keys(each).length === 0) && withoutSteps.length === 0;

function changed(pack: Pack, { bodies, joints, steps, withoutSteps }: ModelOverrides): Pack {
  const known = (list: readonly { readonly id: string }[], ids: readonly string[], path: string) =>
    ids.forEach((id) => {
      if (!list.some((each) => each.id === id)) {
        throw fail('unknownId', `${path}.${id}`, { given: id, known: list.map((each) => each.id).join(', ') });
      }
    });
  known(pack.driveline.bodies, Object.keys(bodies), 'bodies');
  known(pack.driveline.joints, Object.keys(joints), 'joints');
  known(pack.steps, [...Object.keys(steps), ...withoutSteps], 'steps');
  const gone = new Set(withoutSteps);
  const needsOf = (ids: readonly string[]): string[] => [
    ...new Set(ids.flatMap((id) => (gone.has(id) ? needsOf(pack.steps.find((each) => each.id === id)?.needs ?? []) : [id]))),
  ];
  // A way that has become no work at all leaves no choice.
  const waysOf = (ways: readonly (readonly string[])[]) => {
    const left = ways.map(needsOf);
    return left.some((way) => way.length === 0) ? [] : left;
  };
  const parsed = packSchema.safeParse({
    ...pack,
    driveline: {
      bodies: pack.driveline.bodies.map((each) => ({ ...each, ...own(bodies, each.id) })),
      joints: pack.driveline.joints.map((each) => ({ ...each, ...own(joints, each.id) })),
    },
    steps: pack.steps
      .filter(({ id }) => !gone.has(id))
      .map((each) => ({ ...each, ...own(steps, each.id), needs: needsOf(each.needs), ways: waysOf(each.ways) })),
    looks: pack.looks.map((each) => ({ ...each, needs: needsOf(each.needs) })),
    closing: pack.closing
      .filter(({ closes }) => closes.length === 0 || closes.some((id) => !gone.has(id)))
      .map((each) => ({ ...each, closes: each.closes.filter((id) => !gone.has(id)), after: each.after.filter((id) => !gone.has(id)) })),
  });
  if (parsed.success) return parsed.data;
  const where = parsed.error.issues[0]?.path.map(String) ?? [];
  const joint = where[1] === 'joints' ? pack.driveline.joints[Number(where[2])] : undefined;
  throw fail('contradiction', joint ? `joints.${joint.id}` : where.join('.'), {
    ...(joint ? { reason: 'notOfThisJoint', id: joint.id, type: joint.type } : { reason: 'notForModels' }),
  });
}
