import { halfAngleAt, profileOf, type Cut, type Profile } from './profile.ts';

/** A point of a tooth: radius in mm, and the angle from the tooth's middle in radians. */
export interface FlankPoint {
  readonly radiusMm: number;
  readonly halfAngle: number;
}

/** A tooth as a rack with rounded tips cuts it, from the middle of the space up to the tip. */
export interface GeneratedTooth {
  readonly profile: Profile;
  /** Along the root fillet: 0 in the middle of the rack tooth's tip, 1 where the involute takes over. */
  readonly fillet: (t: number) => FlankPoint;
  /** Along the involute: 0 where the fillet ends, 1 at the tip. */
  readonly flank: (t: number) => FlankPoint;
  /** Half the angle of the root circle between two fillets, in radians. */
  readonly rootHalfAngle: number;
  /** Radius where the flanks end: the tip circle, or further in where they meet in a point. */
  readonly tipRadiusMm: number;
  readonly roundingMm: number;
}

/** Tip rounding of the basic rack, in modules (ISO 53, profile A). */
export const RACK_ROUNDING = 0.38;

/**
 * The tooth that a basic rack cuts in rolling, exactly: its rounded tip leaves a trochoid at the root, which takes the
 * foot of the involute away where there are too few teeth (undercut). Transverse plane; the rack is the normal rack drawn out by
 * 1/cos β. A full radius where the rack is too narrow for the rounding.
 *
 * Source: Litvin, Gear Geometry, the equation of meshing of rack and gear: the normal at the cutting point goes through the pitch point.
 */
export function generatedTooth(cut: Cut, roundingModules = RACK_ROUNDING): GeneratedTooth {
  const profile = profileOf(cut);
  const { normalModuleMm: m, pressureAngle: alpha, profileShift, dedendum, thinningMm, teeth } = cut;
  const draw = 1 / Math.cos(cut.helixAngle);
  const r = profile.pitchDiameterMm / 2;
  // Half of the rack's tooth at its datum line, in the normal plane; thinned teeth are left by a thicker one.
  const halfTooth = (Math.PI * m) / 4 + thinningMm / 2;
  const full = ((halfTooth - dedendum * m * Math.tan(alpha)) * Math.cos(alpha)) / (1 - Math.sin(alpha));
  const roundingMm = Math.max(0, Math.min(roundingModules * m, full));
  const tipY = (profileShift - dedendum) * m;
  const centreY = tipY + roundingMm;
  const centreX = halfTooth - dedendum * m * Math.tan(alpha) - (roundingMm * (1 - Math.sin(alpha))) / Math.cos(alpha);

  /** Where the rack's rounding, at this angle of its normal below the pitch line, leaves the gear. */
  const cutBy = (theta: number): FlankPoint => {
    const [x, y] = [draw * (centreX + roundingMm * Math.cos(theta)), centreY - roundingMm * Math.sin(theta)];
    // The normal of the drawn-out rounding: along it the pitch point lies where this point cuts.
    const slope = -Math.cos(theta) / draw / Math.sin(theta);
    const across = y * slope;
    const turned = (across - x) / r;
    const [px, py] = [across, r + y];
    const fromSpace = turned - Math.atan2(px, py);
    return { radiusMm: Math.hypot(px, py), halfAngle: Math.PI / teeth + fromSpace };
  };
  const theta = (t: number) => Math.PI / 2 - t * (Math.PI / 2 - alpha);
  const baseRadius = profile.baseDiameterMm / 2;
  const onInvolute = (radiusMm: number) => halfAngleAt(cut, profile, 2 * radiusMm);
  /** The rounding has cut deeper than the involute here: undercut. */
  const isUnder = (t: number) => {
    const { radiusMm, halfAngle } = cutBy(theta(t));
    return radiusMm >= baseRadius && halfAngle < onInvolute(radiusMm) - SAME_ANGLE;
  };
  const end = endOfFillet(isUnder);
  const last = cutBy(theta(end));
  const from = Math.max(last.radiusMm, baseRadius);
  const tipRadiusMm = tipOf(cut, profile, from);
  return {
    profile,
    roundingMm,
    tipRadiusMm,
    rootHalfAngle: Math.max(0, (draw * centreX) / r),
    fillet: (t) => cutBy(theta(t * end)),
    flank: (t) => {
      // Even steps in the rolling angle lie closer where the involute bends more.
      const roll = (radius: number) => Math.sqrt(Math.max(0, (radius / baseRadius) ** 2 - 1));
      const rolled = roll(from) + (roll(tipRadiusMm) - roll(from)) * t;
      const radiusMm = baseRadius * Math.hypot(1, rolled);
      return { radiusMm, halfAngle: Math.max(0, onInvolute(radiusMm)) };
    },
  };
}

/** Angles so close are one: where nothing is undercut fillet and involute only touch. */
const SAME_ANGLE = 1e-9;
/** How finely the fillet is gone along to find where the involute crosses it; its place is then halved down to rounding. */
const STEPS = 200;

/** Where the involute takes over: at the end of the rounding, or where it comes out of the undercut. */
function endOfFillet(isUnder: (t: number) => boolean): number {
  for (let i = STEPS; i > 0; i--) {
    if (!isUnder((i - 1) / STEPS)) continue;
    let [low, high] = [(i - 1) / STEPS, i / STEPS];
    for (let k = 0; k < 50; k++) {
      const middle = (low + high) / 2;
      if (isUnder(middle)) low = middle;
      else high = middle;
    }
    return high;
  }
  return 1;
}

/** The tip circle, or the radius where the flanks meet before it. */
function tipOf(cut: Cut, profile: Profile, from: number): number {
  const tip = profile.tipDiameterMm / 2;
  if (halfAngleAt(cut, profile, 2 * tip) >= 0) return tip;
  let [low, high] = [from, tip];
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (halfAngleAt(cut, profile, 2 * middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}
