import { motion, moved } from '../driveline/motion.ts';
import type { FaultMode, MotionOutput } from '../driveline/schema.ts';
import type { KinematicLook, Pack } from './pack.ts';

/** A rotor is seen to turn from here on, degrees. */
export const VISIBLE_DEG = 20;
/** A slider is seen to travel from here on, mm. */
export const VISIBLE_MM = 2;

interface JointFault {
  readonly joint: string;
  readonly mode: FaultMode;
}

/** Whether something resists while it is turned. */
export const isLoaded = ({ load, underLoad }: Pick<KinematicLook, 'load' | 'underLoad'>): boolean =>
  load === undefined ? underLoad : load !== 'none';

const questionOf = (pack: Pack, look: KinematicLook, faults: readonly JointFault[]) => ({
  driveline:
    look.apart.length === 0
      ? pack.driveline
      : { ...pack.driveline, joints: pack.driveline.joints.filter(({ id }) => !look.apart.includes(id)) },
  drive: [look.drive],
  held: look.held,
  faults: faults.filter(({ joint }) => !look.apart.includes(joint)),
  underLoad: isLoaded(look),
});

/** What the chain does in a look, with these faults in it. A joint that is taken apart for the look carries nothing, faulty or not. */
export const lookMotion = (pack: Pack, look: KinematicLook, faults: readonly JointFault[] = [], watch = look.watch): MotionOutput =>
  motion({ ...questionOf(pack, look, faults), visibleDeg: VISIBLE_DEG, visibleMm: VISIBLE_MM, watch });

/** What every body does in a look, asked for hundreds of sets of faults: the question is checked with the sound chain, and each set worked out once. */
export function bodiesInLook(pack: Pack, look: KinematicLook): (faults: readonly JointFault[]) => MotionOutput['bodies'] {
  const known = new Map([['', lookMotion(pack, look).bodies]]);
  return (faults) => {
    const there = faults.filter(({ joint }) => !look.apart.includes(joint));
    const key = there
      .map(({ joint, mode }) => `${joint} ${mode}`)
      .sort()
      .join(',');
    const made = known.get(key) ?? moved(questionOf(pack, look, there)).bodies;
    known.set(key, made);
    return made;
  };
}

/** Turns of a rotor, or mm of a slider, that a sound chain gives the watched body in this look. */
export function soundMovement(pack: Pack, look: KinematicLook, watch = look.watch): number {
  const { turns, travelMm } = lookMotion(pack, look, [], watch).bodies[watch] ?? {};
  return travelMm ?? turns ?? 0;
}

/** How far the driven body must go, in its own turns or mm, until a sound chain shows it at the watched body; absent where it never does. */
export const inputToSee = (pack: Pack, look: KinematicLook): number | undefined => lookMotion(pack, look).inputTurnsToSee;
