import { radians } from '../quantity/angle.ts';
import type { Joint } from '../driveline/schema.ts';

/** Shares of the torque that get through (rules of thumb: Niemann, Maschinenelemente 2). */
const MESH = 0.97;
const BEVEL = 0.96;
const RACK = 0.95;
const BELT = 0.95;
/** Where a drive line does not say how a worm is proportioned: its diameter quotient, normal pressure angle and friction (rules of thumb). */
const WORM = { diameterQuotient: 10, pressureAngle: radians(20), friction: 0.08 };
/** The same of a screw: trapezoidal thread of five times its lead across (ISO 2904), 15° flanks, greased. */
const SCREW = { diameterPerLead: 5, flankAngle: radians(15), friction: 0.12 };

/** What leaves a joint by one of its bodies for each N·m that comes in by another. */
export interface Transfer {
  readonly from: string;
  readonly to: string;
  readonly torque: number;
}

/** A wedge on a helix of this lead, driven round; what gets through of the ideal torque (0 where it locks). */
const round = (tangent: number, cosine: number, friction: number) => (cosine - friction * tangent) / (cosine + friction / tangent);
/** The same driven along. */
const along = (tangent: number, cosine: number, friction: number) =>
  Math.max(0, (cosine - friction / tangent) / (cosine + friction * tangent));

/**
 * What a joint makes of a torque, each way that one can go through it. `share` stands in the place of the rule of thumb. A slider
 * carries on the torque of what drives it: a rack's and a screw's load is counted at the body that turns.
 */
export function transfersOf(joint: Joint, share: number | undefined): readonly Transfer[] {
  const both = (a: string, b: string, { ratio, there, back }: { ratio: number; there: number; back: number }): readonly Transfer[] => [
    { from: a, to: b, torque: ratio * (share ?? there) },
    { from: b, to: a, torque: (share ?? back) / ratio },
  ];
  switch (joint.type) {
    case 'mesh':
      return both(joint.a, joint.b, { ratio: joint.teethB / joint.teethA, there: MESH, back: MESH });
    case 'bevel':
      return both(joint.a, joint.b, { ratio: joint.teethB / joint.teethA, there: BEVEL, back: BEVEL });
    case 'belt':
      return both(joint.a, joint.b, { ratio: joint.ratio, there: BELT, back: BELT });
    case 'worm': {
      const tangent = joint.starts / WORM.diameterQuotient;
      const cosine = Math.cos(WORM.pressureAngle);
      const back = joint.selfLocking ? 0 : along(tangent, cosine, WORM.friction);
      return both(joint.worm, joint.wheel, { ratio: joint.teeth / joint.starts, there: round(tangent, cosine, WORM.friction), back });
    }
    case 'rack':
      return both(joint.pinion, joint.rack, { ratio: 1, there: RACK, back: RACK });
    case 'screw': {
      const tangent = 1 / (Math.PI * SCREW.diameterPerLead);
      const cosine = Math.cos(SCREW.flankAngle);
      const [there, back] = [round(tangent, cosine, SCREW.friction), along(tangent, cosine, SCREW.friction)];
      return both(joint.screw, joint.nut, { ratio: 1, there, back });
    }
    case 'seat':
      return both(joint.a, joint.b, { ratio: 1, there: 1, back: 1 });
    case 'oneWay':
      return [{ from: joint.driver, to: joint.driven, torque: share ?? 1 }];
    case 'differential':
      return [joint.left, joint.right].flatMap((side) => [
        { from: joint.case, to: side, torque: (share ?? MESH) / 2 },
        { from: side, to: joint.case, torque: 2 * (share ?? MESH) },
      ]);
  }
}
