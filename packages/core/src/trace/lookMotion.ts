import { motion } from '../driveline/motion.ts';
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

/** What the chain does in a look, with these faults in it. A joint that is taken apart for the look carries nothing, faulty or not. */
export const lookMotion = (pack: Pack, look: KinematicLook, faults: readonly JointFault[] = [], watch = look.watch): MotionOutput =>
  motion({
    driveline:
      look.apart.length === 0
        ? pack.driveline
        : { ...pack.driveline, joints: pack.driveline.joints.filter(({ id }) => !look.apart.includes(id)) },
    drive: [look.drive],
    held: look.held,
    faults: faults.filter(({ joint }) => !look.apart.includes(joint)),
    underLoad: look.underLoad,
    visibleDeg: VISIBLE_DEG,
    visibleMm: VISIBLE_MM,
    watch,
  });

/** Turns of a rotor, or mm of a slider, that a sound chain gives the watched body in this look. */
export function soundMovement(pack: Pack, look: KinematicLook, watch = look.watch): number {
  const { turns, travelMm } = lookMotion(pack, look, [], watch).bodies[watch] ?? {};
  return travelMm ?? turns ?? 0;
}

/** How far the driven body must go, in its own turns or mm, until a sound chain shows it at the watched body; absent where it never does. */
export const inputToSee = (pack: Pack, look: KinematicLook): number | undefined => lookMotion(pack, look).inputTurnsToSee;
