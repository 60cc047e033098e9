import type { Joint } from './schema.ts';

/** A joint between exactly two bodies, as motion of `to` per unit of motion of `from`. */
export interface Tie {
  readonly from: string;
  readonly to: string;
  readonly factor: number;
}

/** The bodies a joint holds together, in the order of its fields. */
export function bodiesOf(joint: Joint): readonly string[] {
  switch (joint.type) {
    case 'worm':
      return [joint.worm, joint.wheel];
    case 'rack':
      return [joint.pinion, joint.rack];
    case 'screw':
      return [joint.screw, joint.nut];
    case 'oneWay':
      return [joint.driver, joint.driven];
    case 'differential':
      return [joint.case, joint.left, joint.right];
    default:
      return [joint.a, joint.b];
  }
}

/**
 * The linear tie of a two-body joint; null for a differential, which ties three.
 * Turns for rotors, mm for sliders. External meshes and bevels reverse; internal meshes, belts and
 * seats keep the direction; a right-handed worm turns its wheel + starts/teeth per + turn.
 */
export function tieOf(joint: Joint): Tie | null {
  const [from, to] = bodiesOf(joint) as [string, string];
  switch (joint.type) {
    case 'mesh':
      return { from, to, factor: ((joint.internal ? 1 : -1) * joint.teethA) / joint.teethB };
    case 'bevel':
      return { from, to, factor: -joint.teethA / joint.teethB };
    case 'worm':
      return { from, to, factor: ((joint.hand === 'left' ? -1 : 1) * joint.starts) / joint.teeth };
    case 'rack':
      return { from, to, factor: Math.PI * joint.moduleMm * joint.teeth };
    case 'screw':
      return { from, to, factor: joint.leadMm };
    case 'belt':
      return { from, to, factor: 1 / joint.ratio };
    case 'seat':
    case 'oneWay':
      return { from, to, factor: 1 };
    case 'differential':
      return null;
  }
}
