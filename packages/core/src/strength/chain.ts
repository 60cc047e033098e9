import { z } from 'zod';
import { drivelineSchema, type Driveline } from '../driveline/schema.ts';
import { fail } from '../failure/CoreFailure.ts';
import { own } from '../operation/own.ts';
import { name, positiveUpTo } from '../quantity/bounds.ts';
import { transfersOf } from './transfer.ts';

const torque = positiveUpTo(1e9);
const link = z.strictObject({ joint: name, capacityNm: torque });

export const chainInput = z.strictObject({
  driveline: drivelineSchema,
  drive: z.strictObject({ body: name, torqueNm: torque }),
  /** Capacity: the torque at the joint's driven body; of a seat or one-way clutch the torque through it. */
  links: z.array(link).min(1).max(500),
  changes: z.array(link).max(500).default([]),
  efficiencies: z.record(name, z.number().min(0).max(1)).default({}),
});

const loaded = z.object({ joint: z.string(), loadNm: z.number(), capacityNm: z.number(), utilisation: z.number() });
const ranked = { links: z.array(loaded), fuse: z.string(), stallBreaks: z.string().nullable() };
export const chainOutput = z.object({ ...ranked, after: z.object(ranked).optional() });
export type LoadedLink = z.infer<typeof loaded>;
type Links = z.infer<typeof link>[];

/**
 * From the stall torque of a driver through every joint to each link's load against its capacity; the one with the highest
 * utilisation is the fuse, and `stallBreaks` where the driver reaches it. `changes` put other capacities in the place of
 * some, and `after` says which link is the fuse then. N·m. The torque goes everywhere at once, as if each end were held: what
 * a branch that turns free would take off the others is left out.
 *
 * Efficiencies are rules of thumb of the joint's kind unless given; a worm's and a screw's are worked out from a usual lead angle.
 * @throws CoreFailure where body, joint or efficiency names nothing of the drive line
 * @example a motor of 1 N·m on a worm 1:40 of 0.53 → 21 N·m at the wheel
 */
export function chainStrength(input: z.infer<typeof chainInput>): z.infer<typeof chainOutput> {
  const { driveline, drive, links, changes, efficiencies } = input;
  if (!driveline.bodies.some(({ id }) => id === drive.body)) throw fail('unknownId', 'drive.body', { given: drive.body });
  const known = new Set(driveline.joints.map(({ id }) => id));
  const need = (list: readonly { joint: string }[], path: string) =>
    list.forEach(({ joint }, i) => {
      if (!known.has(joint)) throw fail('unknownId', `${path}.${i}.joint`, { given: joint });
    });
  need(links, 'links');
  need(changes, 'changes');
  for (const joint of Object.keys(efficiencies)) if (!known.has(joint)) throw fail('unknownId', `efficiencies.${joint}`, { given: joint });
  const loads = loadsOf(driveline, drive, efficiencies);
  const now = rank(links, loads);
  if (changes.length === 0) return now;
  const changed = new Map(changes.map((each) => [each.joint, each]));
  const kept = links.map((each) => changed.get(each.joint) ?? each);
  const added = changes.filter(({ joint }) => !links.some((each) => each.joint === joint));
  return { ...now, after: rank([...kept, ...added], loads) };
}

function rank(links: Links, loads: ReadonlyMap<string, number>): Omit<z.infer<typeof chainOutput>, 'after'> {
  const list = links
    .map(({ joint, capacityNm }) => ({
      joint,
      loadNm: loads.get(joint) ?? 0,
      capacityNm,
      utilisation: (loads.get(joint) ?? 0) / capacityNm,
    }))
    .sort((p, q) => q.utilisation - p.utilisation);
  const [first] = list as [LoadedLink, ...LoadedLink[]];
  return { links: list, fuse: first.joint, stallBreaks: first.utilisation > 1 ? first.joint : null };
}

/** The torque at the driven body of each joint that the driver reaches, breadth first; a body that two ways lead to has the larger. */
function loadsOf({ joints }: Driveline, drive: { body: string; torqueNm: number }, efficiencies: Readonly<Record<string, number>>) {
  const ways = new Map<string, { joint: string; to: string; torque: number }[]>();
  for (const joint of joints) {
    for (const { from, to, torque: through } of transfersOf(joint, own(efficiencies, joint.id)))
      ways.set(from, [...(ways.get(from) ?? []), { joint: joint.id, to, torque: through }]);
  }
  const reached = new Map([[drive.body, drive.torqueNm]]);
  const loads = new Map<string, number>();
  const queue = [drive.body];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    for (const { joint, to, torque: through } of ways.get(at) ?? []) {
      if (reached.has(to)) continue;
      const there = (reached.get(at) ?? 0) * through;
      reached.set(to, there);
      loads.set(joint, Math.max(loads.get(joint) ?? 0, there));
      queue.push(to);
    }
  }
  return loads;
}
