import type { Colour, Patch, Vector } from './splat.ts';

/*
 * Gears as solids, each from its own plain formula: involute flanks by angles, threads by their trapezoid. In mm, lying on the
 * bench as somebody would lay them there to be photographed.
 */

const TURN = 2 * Math.PI;
const radians = (deg: number) => (deg * Math.PI) / 180;

export interface Placement {
  readonly colour: Colour;
  readonly gloss?: number;
  /** Where its middle lies on the bench, and how it is turned there. */
  readonly x?: number;
  readonly y?: number;
  readonly turnedDeg?: number;
}

/** Points of a solid, laid where it lies. */
function laid({ x = 0, y = 0, turnedDeg = 0 }: Placement, at: (u: number, v: number) => Vector): (u: number, v: number) => Vector {
  const [c, s] = [Math.cos(radians(turnedDeg)), Math.sin(radians(turnedDeg))];
  return (u, v) => {
    const [px, py, pz] = at(u, v);
    return [x + c * px - s * py, y + s * px + c * py, pz];
  };
}

/** Makes pieces of a solid's surface, laid where it lies; as glossy as it says, else as such things are. */
const pieceOf =
  (given: Placement, usualGloss: number) =>
  (at: (u: number, v: number) => Vector, along: readonly [number, number]): Patch => ({
    at: laid(given, at),
    along,
    colour: given.colour,
    gloss: given.gloss ?? usualGloss,
  });

export interface Worm extends Placement {
  readonly pitchMm: number;
  readonly starts: number;
  readonly hand: 'right' | 'left';
  readonly tipRadiusMm: number;
  readonly depthMm: number;
  readonly threadedMm: number;
  readonly shaftRadiusMm: number;
  readonly shaftMm: number;
}

/** A worm on its side: threads with straight flanks of 20° in the axial section, shafts to both ends. */
export function worm(given: Worm): readonly Patch[] {
  const { pitchMm, starts, hand, tipRadiusMm, depthMm, threadedMm, shaftRadiusMm, shaftMm } = given;
  const flank = (depthMm * Math.tan(radians(20))) / pitchMm;
  const sign = hand === 'right' ? 1 : -1;
  /** How far out the surface is at this place along the axis and this angle round it. */
  const radius = (along: number, angle: number) => {
    // The angle runs from the top towards y: against the thread of a right hand.
    const phase = along / pitchMm + (sign * starts * angle) / TURN;
    const off = Math.abs(phase - Math.round(phase));
    // Half a pitch is thread half way up.
    const up = Math.min(1, Math.max(0, (0.25 + flank / 2 - off) / flank));
    return tipRadiusMm - depthMm * (1 - up);
  };
  const point = (along: number, angle: number, r: number): Vector => [along, r * Math.sin(angle), tipRadiusMm + r * Math.cos(angle)];
  const half = threadedMm / 2;
  const round = TURN * tipRadiusMm;
  const piece = pieceOf(given, 0.3);
  return [
    piece((u, v) => point(-half + u * threadedMm, v * TURN, radius(-half + u * threadedMm, v * TURN)), [threadedMm * 2.2, round]),
    ...[-1, 1].flatMap((side) => [
      piece((u, v) => point(side * (half + u * shaftMm), v * TURN, shaftRadiusMm), [shaftMm, TURN * shaftRadiusMm]),
      piece(
        (u, v) => {
          const outer = radius(side * half, v * TURN);
          return point(side * half, v * TURN, shaftRadiusMm + u * (outer - shaftRadiusMm));
        },
        [tipRadiusMm, round],
      ),
      piece((u, v) => point(side * (half + shaftMm), v * TURN, u * shaftRadiusMm), [shaftRadiusMm, TURN * shaftRadiusMm]),
    ]),
  ];
}

export interface Toothed extends Placement {
  readonly teeth: number;
  readonly moduleMm: number;
  /** What is worn off the flank that leads anticlockwise, as a share of the tooth at the pitch circle. */
  readonly wornShare?: number;
  readonly missing?: readonly number[];
}

/** How far out the rim of a toothed wheel is at an angle from the middle of its first tooth, in radians. */
export function rimOf({ teeth, moduleMm, wornShare = 0, missing = [] }: Toothed): (angle: number) => number {
  const pitch = (teeth * moduleMm) / 2;
  const [tip, root] = [pitch + moduleMm, pitch - 1.25 * moduleMm];
  const base = pitch * Math.cos(radians(20));
  const inv = (r: number) => {
    const a = Math.acos(Math.min(1, base / r));
    return Math.tan(a) - a;
  };
  const half = (r: number) => Math.PI / (2 * teeth) + inv(pitch) - inv(Math.max(r, base));
  // By halving: the flank's own angle grows smaller outwards.
  const table = Array.from({ length: 200 }, (_, i) => {
    const r = Math.max(root, base) + ((tip - Math.max(root, base)) * i) / 199;
    return [r, half(r)] as const;
  });
  return (angle) => {
    const step = TURN / teeth;
    const place = Math.round(angle / step);
    if (missing.includes(((place % teeth) + teeth) % teeth)) return root;
    const off = angle - place * step;
    const at = (shift: number) => {
      const within = table.filter(([, halfAngle]) => Math.abs(off) + shift <= halfAngle);
      return within.length === 0 ? root : (within.at(-1)?.[0] ?? root);
    };
    if (off <= 0 || wornShare === 0) return at(0);
    // Wear takes most at the pitch circle and nothing at the foot.
    const shift = wornShare * (Math.PI / teeth);
    const worn = table.filter(([r, halfAngle]) => off + shift * Math.min(1, Math.max(0, (r - root) / (pitch - root))) <= halfAngle);
    return worn.length === 0 ? root : (worn.at(-1)?.[0] ?? root);
  };
}

/** A flat body whose edge lies so far out at each angle: its face, and the wall down to the bench. */
function flat(
  given: Placement,
  {
    rim,
    most,
    thickness,
    bore,
  }: { readonly rim: (angle: number) => number; readonly most: number; readonly thickness: number; readonly bore: number },
): readonly Patch[] {
  const ring = (angle: number, r: number, z: number): Vector => [r * Math.cos(angle), r * Math.sin(angle), z];
  // The edge is asked for once at each of many angles.
  const FINE = 7200;
  const edge = Float64Array.from({ length: FINE + 1 }, (_, i) => rim((TURN * i) / FINE));
  const reach = (u: number) => edge[Math.round(Math.min(1, u) * FINE)] as number;
  const piece = pieceOf(given, 0.2);
  return [
    piece((u, v) => ring(u * TURN, bore + v * (reach(u) - bore), thickness), [TURN * most, most - bore]),
    piece((u, v) => ring(u * TURN, reach(u), v * thickness), [TURN * most * 1.6, thickness]),
    piece((u, v) => ring(u * TURN, bore, v * thickness), [TURN * bore, thickness]),
  ];
}

/** A straight gear lying on the bench. */
export function spur(given: Toothed & { readonly thicknessMm: number; readonly boreMm: number }): readonly Patch[] {
  const most = (given.teeth * given.moduleMm) / 2 + given.moduleMm;
  return flat(given, { rim: rimOf(given), most, thickness: given.thicknessMm, bore: given.boreMm / 2 });
}

export interface Sector extends Toothed {
  /** Teeth that are there, of `teeth` round the whole circle. */
  readonly present: number;
  readonly hubRadiusMm: number;
  readonly thicknessMm: number;
}

/** A piece of a wheel on its hub: teeth over an arc, straight sides to the hub. */
export function sector(given: Sector): readonly Patch[] {
  const { teeth, moduleMm, present, hubRadiusMm, thicknessMm } = given;
  const whole = rimOf(given);
  const step = TURN / teeth;
  const half = (present * step) / 2;
  const middle = ((present - 1) * step) / 2;
  const outer = (teeth * moduleMm) / 2 - 1.25 * moduleMm;
  const rim = (angle: number) => {
    let off = angle - middle;
    off -= TURN * Math.round(off / TURN);
    if (Math.abs(off) <= half) return whole(off + middle);
    // From the end of the rim straight to where it touches the hub.
    const beyond = Math.abs(off) - half;
    const [ex, ey] = [outer, 0];
    const touch = Math.acos(Math.min(1, hubRadiusMm / outer));
    const [hx, hy] = [hubRadiusMm * Math.cos(touch), hubRadiusMm * Math.sin(touch)];
    if (beyond >= touch) return hubRadiusMm;
    // Where the ray at `beyond` cuts the line from (ex, ey) to (hx, hy).
    const [dx, dy] = [hx - ex, hy - ey];
    const [cx, cy] = [Math.cos(beyond), Math.sin(beyond)];
    const r = (ex * dy - ey * dx) / (cx * dy - cy * dx);
    return Math.max(hubRadiusMm, r);
  };
  return flat(given, { rim, most: outer + 2.25 * moduleMm, thickness: thicknessMm, bore: hubRadiusMm * 0.45 });
}

export interface Bevel extends Toothed {
  readonly coneDeg: number;
  /** How long its teeth are, as a share of the cone distance. */
  readonly faceShare: number;
  readonly boreMm: number;
}

/** A bevel with its small end up: every section is the large end made smaller towards the apex. */
export function bevel(given: Bevel): readonly Patch[] {
  const { teeth, moduleMm, coneDeg, faceShare, boreMm } = given;
  const pitch = (teeth * moduleMm) / 2;
  const cone = radians(coneDeg);
  const [lead, most] = [rimOf({ ...given, teeth: Math.max(teeth, 6) }), pitch + moduleMm];
  // Teeth stand square to the cone: their height is foreshortened from above and rises with it.
  const outline = (angle: number) => {
    const high = lead(angle) - pitch;
    return { r: pitch + high * Math.cos(cone), z: -high * Math.sin(cone) };
  };
  const FINE = 7200;
  const edge = Array.from({ length: FINE + 1 }, (_, i) => outline((TURN * i) / FINE));
  const apex = pitch / Math.tan(cone);
  const small = 1 - faceShare;
  const at = (u: number, share: number): Vector => {
    const { r, z } = edge[Math.round(Math.min(1, u) * FINE)] as { r: number; z: number };
    return [share * r * Math.cos(u * TURN), share * r * Math.sin(u * TURN), (1 - share) * apex - share * z + moduleMm * 1.3];
  };
  const top = (1 - small) * apex + moduleMm * 1.3;
  const piece = pieceOf(given, 0.25);
  const bore = boreMm / 2;
  return [
    piece((u, v) => at(u, small + v * faceShare), [TURN * most * 1.6, (faceShare * pitch) / Math.sin(cone)]),
    piece(
      (u, v) => {
        const [x, y, z] = at(u, small);
        const r = Math.hypot(x, y);
        const share = (bore + v * (r - bore)) / r;
        return [x * share, y * share, top + v * (z - top)];
      },
      [TURN * most, most - bore],
    ),
    piece(
      (u, v) => {
        const [x, y, z] = at(u, 1);
        return [x, y, v * z];
      },
      [TURN * most * 1.6, 2 * moduleMm + 1],
    ),
  ];
}

/** A flat card with round corners, or any rectangle of so much by so much. */
export function card(
  given: Placement & { readonly widthMm: number; readonly heightMm: number; readonly cornerMm?: number },
): readonly Patch[] {
  const { widthMm, heightMm, cornerMm = 3 } = given;
  const piece = pieceOf(given, 0.1);
  const inset = (y: number) => {
    const over = Math.max(0, Math.abs(y) - (heightMm / 2 - cornerMm));
    return cornerMm - Math.sqrt(Math.max(0, cornerMm * cornerMm - over * over));
  };
  return [
    piece(
      (u, v) => {
        const y = (v - 0.5) * heightMm;
        return [(u - 0.5) * (widthMm - 2 * inset(y)), y, 0.8];
      },
      [widthMm, heightMm],
    ),
  ];
}

/** A coin: a disc with a rim that stands a little higher. */
export function coin(given: Placement & { readonly diameterMm: number }): readonly Patch[] {
  const r = given.diameterMm / 2;
  const piece = pieceOf(given, 0.35);
  return [
    piece(
      (u, v) => [
        v * r * Math.cos(u * TURN),
        v * r * Math.sin(u * TURN),
        v > 0.9 ? 2 : 1.8 + 0.12 * Math.sin(9 * u * TURN) * Math.sin(8 * v),
      ],
      [TURN * r, r],
    ),
    piece((u, v) => [r * Math.cos(u * TURN), r * Math.sin(u * TURN), 2 * v], [TURN * r, 2]),
  ];
}

/** A plain rod with grooves or none: what is no worm. */
export function rod(
  given: Placement & {
    readonly radiusMm: number;
    readonly lengthMm: number;
    readonly grooves?: readonly number[];
    readonly grooveMm?: number;
  },
): readonly Patch[] {
  const { radiusMm, lengthMm, grooves = [], grooveMm = 1 } = given;
  const piece = pieceOf(given, 0.3);
  const radius = (along: number) => (grooves.some((at) => Math.abs(along - at) < grooveMm / 2) ? radiusMm - grooveMm / 2 : radiusMm);
  return [
    piece(
      (u, v) => {
        const along = (u - 0.5) * lengthMm;
        const r = radius(along);
        return [along, r * Math.sin(v * TURN), radiusMm + r * Math.cos(v * TURN)];
      },
      [lengthMm * 1.5, TURN * radiusMm],
    ),
  ];
}
