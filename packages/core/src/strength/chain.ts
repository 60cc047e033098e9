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

const loaded = z.object({
  joint: z.string(),
  loadNm: z.number(),
  capacityNm: z.number(),
  utilisation: z.number(),
  /** Whether any of the driver's torque gets there. */
  reached: z.boolean(),
});
const ranked = { links: z.array(loaded), fuse: z.string().nullable(), stallBreaks: z.string().nullable() };
export const chainOutput = z.object({ ...ranked, after: z.object(ranked).optional() });
type Links = z.infer<typeof link>[];

/**
 * From the stall torque of a driver through every joint to each link's load against its capacity; of those that it reaches
 * the one with the highest utilisation is the fuse, and `stallBreaks` where the driver reaches it. `changes` put other
 * capacities in the place of some, and `after` says which link is the fuse then. N·m. The torque goes everywhere at once, as
 * if each end were held, and where two ways meet each is reckoned as if it alone carried all: what one takes off the other
 * hangs on stiffness and play that nobody knows.
 *
 * Efficiencies are rules of thumb of the joint's kind unless given; a worm's and a screw's are worked out from a usual lead angle.
 * @throws CoreFailure where body, joint or efficiency names nothing of the drive line, or the ways from the driver run in a circle
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
    .map(({ joint, capacityNm }) => {
      const loadNm = loads.get(joint) ?? 0;
      return { joint, loadNm, capacityNm, utilisation: loadNm / capacityNm, reached: loadNm > 0 };
    })
    .sort((p, q) => q.utilisation - p.utilisation);
  const first = list.find(({ reached }) => reached);
  return { links: list, fuse: first?.joint ?? null, stallBreaks: first && first.utilisation > 1 ? first.joint : null };
}

interface Way {
  readonly joint: string;
  readonly from: string;
  readonly to: string;
  readonly torque: number;
  /** A seat holds two bodies together as one: it is no step further from the driver. */
  readonly steps: 0 | 1;
}

/** How far a body lies from the driver: joints that turn something against something, then all of them. */
type Distance = readonly [steps: number, joints: number];
/** Below nought where the first is nearer. */
const compare = ([a, b]: Distance, [c, d]: Distance): number => a - c || b - d;

/** The torque at the driven body of each joint that the driver's torque reaches, nearest first; where ways meet, the larger goes on. */
function loadsOf({ joints }: Driveline, drive: { body: string; torqueNm: number }, efficiencies: Readonly<Record<string, number>>) {
  const ways: readonly Way[] = joints.flatMap((joint) =>
    transfersOf(joint, own(efficiencies, joint.id))
      // What locks lets nothing through.
      .filter(({ torque: through }) => through > 0)
      .map(({ from, to, torque: through }) => ({ joint: joint.id, from, to, torque: through, steps: joint.type === 'seat' ? 0 : 1 })),
  );
  const distances = distancesFrom(drive.body, ways);
  const torques = new Map([[drive.body, drive.torqueNm]]);
  const loads = new Map<string, number>();
  const nearestFirst = [...distances].sort(([, p], [, q]) => compare(p, q)).map(([body]) => body);
  for (const from of nearestFirst) {
    for (const way of ways.filter((each) => each.from === from)) {
      const [here, there] = [distances.get(from), distances.get(way.to)];
      const further = here && there ? compare(there, here) : -1;
      if (further < 0) continue;
      // Two as far from the driver as each other that drive each other: round such a ring nothing turns.
      if (further === 0 && ways.some(({ joint, from: other, to }) => joint === way.joint && other === way.to && to === from))
        throw fail('impossibleGeometry', 'driveline.joints', { reason: 'drivenInCircle' });
      const carried = (torques.get(from) ?? 0) * way.torque;
      loads.set(way.joint, Math.max(loads.get(way.joint) ?? 0, carried));
      if (further > 0) torques.set(way.to, Math.max(torques.get(way.to) ?? 0, carried));
    }
  }
  return loads;
}

/** Every body that the driver reaches, by its nearest way. */
function distancesFrom(driver: string, ways: readonly Way[]): ReadonlyMap<string, Distance> {
  const distances = new Map<string, Distance>([[driver, [0, 0]]]);
  for (let grows = true; grows;) {
    grows = false;
    for (const { from, to, steps } of ways) {
      const here = distances.get(from);
      if (!here) continue;
      const there: Distance = [here[0] + steps, here[1] + 1];
      const before = distances.get(to);
      if (before && compare(there, before) >= 0) continue;
      distances.set(to, there);
      grows = true;
    }
  }
  return distances;
}
