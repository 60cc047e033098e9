import { halfAngleAt, profileOf, type Cut } from '../gear/cylindrical/profile.ts';
import type { Picture } from './picture.ts';

type Colour = readonly [number, number, number];

/** What a made-up photo shows. Lengths in radii of the tips, angles in degrees clockwise from the top. */
export interface Scene {
  readonly teeth: number;
  /** Places of teeth that are gone, counted from the top clockwise. */
  readonly missing?: readonly number[];
  /** Places of teeth broken off half way up. */
  readonly chipped?: readonly number[];
  readonly random: () => number;
  readonly width?: number;
  readonly height?: number;
  readonly metal?: Colour;
  readonly bench?: Colour;
  /** Lines of the wood or of the grinding, as a share of the brightness. */
  readonly grain?: number;
  /** How far the camera leans from straight above, and to which side. */
  readonly tiltDeg?: number;
  readonly tiltTowardsDeg?: number;
  readonly thickness?: number;
  /** Blots of grease on the gear, chips and specks on the bench. */
  readonly blots?: number;
  readonly specks?: number;
  readonly noise?: number;
  /** How unevenly the light falls, 0 to 1. */
  readonly unevenness?: number;
  readonly shadow?: number;
  /** Half the shorter side of the picture is 1 / this many radii. */
  readonly fill?: number;
  readonly turnedDeg?: number;
  readonly holes?: number;
}

const STEEL: Colour = [168, 166, 160];
const WOOD: Colour = [112, 84, 58];
/** The camera stands this many tip radii above the bench. */
const CAMERA = 6;
const WALL_SLICES = 5;

/**
 * A made-up photo of a gear lying on a bench, seen in perspective: true involute teeth, the wall that
 * shows when the camera leans, its shadow, uneven light, grain, grease, specks and noise. For the
 * camera's stand-in, tests and benchmarks. The cost is a few looks at the shape for each pixel.
 */
export function gearPhoto(scene: Scene): Picture {
  const { random, width = 480, height = width, fill = 0.8, noise = 6, unevenness = 0.25, shadow = 0.45 } = scene;
  const { metal = STEEL, bench = WOOD, grain = 0.05, thickness = 0.15 } = scene;
  const shape = shapeOf(scene);
  const ray = rayOf(scene);
  const scale = (Math.min(width, height) / 2) * fill;
  const middle = [width / 2 + scale * 0.12 * (random() - 0.5), height / 2 + scale * 0.12 * (random() - 0.5)] as const;
  const lightAt = 2 * Math.PI * random();
  const [lx, ly] = [Math.cos(lightAt), Math.sin(lightAt)];
  const blots = spots(scene.blots ?? 0, 0.85, [0.04, 0.12], random);
  const specks = spots(scene.specks ?? 0, 1.3, [0.008, 0.02], random);
  const grainAt = Math.PI * random();
  const shine = 0.25 * random();
  const pixels = new Float32Array(width * height * 3);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [u, v] = [(x + 0.5 - middle[0]) / scale, (y + 0.5 - middle[1]) / scale];
      const hit = firstHit(ray(u, v), shape, thickness);
      const light = 1 + unevenness * (0.55 * (u * lx + v * ly) - 0.12 * (u * u + v * v));
      let [colour, brightness]: [Colour, number] = [metal, light];
      if (hit.on === 'bench') {
        colour = bench;
        const streak = Math.sin(38 * (hit.x * Math.cos(grainAt) + hit.y * Math.sin(grainAt)) + 3 * Math.sin(5 * hit.y));
        brightness *= 1 + grain * streak;
        brightness *= 1 - shadow * shadowAt(hit.x, hit.y, shape, thickness, lx, ly);
      } else if (hit.on === 'wall') {
        const facing = Math.hypot(hit.x, hit.y) > 0 ? (hit.x * lx + hit.y * ly) / Math.hypot(hit.x, hit.y) : 0;
        brightness *= 0.5 + 0.15 * facing;
      } else {
        brightness *= 1 + shine * Math.cos(2 * (Math.atan2(hit.y, hit.x) - lightAt)) * 0.5;
      }
      if (hit.on !== 'bench' && within(blots, hit.x, hit.y)) [colour, brightness] = [[58, 48, 36], light];
      if (hit.on === 'bench' && within(specks, hit.x, hit.y)) [colour, brightness] = [[150, 146, 140], light];
      const at = 3 * (y * width + x);
      for (let c = 0; c < 3; c++) pixels[at + c] = (colour[c] ?? 0) * brightness;
    }
  }
  return developed(pixels, width, height, noise, random);
}

/** Through a lens: neighbours run into each other a little, and the sensor adds its noise. */
function developed(pixels: Float32Array, width: number, height: number, noise: number, random: () => number): Picture {
  const rgba = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      const [left, right] = [x > 0 ? at - 1 : at, x < width - 1 ? at + 1 : at];
      const [up, down] = [y > 0 ? at - width : at, y < height - 1 ? at + width : at];
      const speckle = noise * (random() + random() + random() + random() - 2) * 1.7;
      for (let c = 0; c < 3; c++) {
        const of = (place: number) => pixels[3 * place + c] as number;
        rgba[4 * at + c] = 0.5 * of(at) + 0.125 * (of(left) + of(right) + of(up) + of(down)) + speckle;
      }
      rgba[4 * at + 3] = 255;
    }
  }
  return { width, height, rgba };
}

interface Ray {
  readonly from: readonly [number, number, number];
  readonly along: readonly [number, number, number];
}

/** Rays of the camera in the frame of the gear, whose upper face lies at height 0. */
function rayOf({ tiltDeg = 0, tiltTowardsDeg = 0 }: Scene): (u: number, v: number) => Ray {
  const [tilt, towards] = [(tiltDeg * Math.PI) / 180, (tiltTowardsDeg * Math.PI) / 180];
  const [ax, ay] = [Math.cos(towards), Math.sin(towards)];
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  // Rodrigues' rotation about an axis (ax, ay, 0) in the plane of the picture.
  const turn = ([x, y, z]: readonly [number, number, number]) => {
    const dot = (ax * x + ay * y) * (1 - c);
    return [x * c + ay * z * s + ax * dot, y * c - ax * z * s + ay * dot, z * c + (ax * y - ay * x) * s] as const;
  };
  const from = turn([0, 0, CAMERA]);
  return (u, v) => ({ from, along: turn([u, v, -CAMERA]) });
}

type Shape = (x: number, y: number) => boolean;

/** The highest thing that a ray meets: face, wall or bench. */
function firstHit({ from, along }: Ray, shape: Shape, thickness: number) {
  for (let slice = 0; ; slice++) {
    const z = -(thickness * slice) / WALL_SLICES;
    const t = (z - from[2]) / along[2];
    const [x, y] = [from[0] + t * along[0], from[1] + t * along[1]];
    if (slice === WALL_SLICES) return { on: 'bench', x, y } as const;
    if (shape(x, y)) return { on: slice === 0 ? 'face' : 'wall', x, y } as const;
  }
}

/** How much of the light a spot of the bench loses to the gear: three looks towards the lamp. */
function shadowAt(x: number, y: number, shape: Shape, thickness: number, lx: number, ly: number): number {
  if (Math.hypot(x, y) > 1 + 2 * thickness) return 0;
  let dark = 0;
  for (const reach of [0.3, 0.6, 0.9]) if (shape(x + lx * reach * thickness, y + ly * reach * thickness)) dark += 1 / 3;
  return dark;
}

/** Whether a spot of the upper face's plane is gear; the tips lie at 1. */
function shapeOf({ teeth, missing = [], chipped = [], turnedDeg = 0, holes = 0 }: Scene): Shape {
  const cut: Cut = {
    teeth,
    normalModuleMm: 1,
    pressureAngle: Math.PI / 9,
    helixAngle: 0,
    profileShift: 0,
    addendum: 1,
    dedendum: 1.25,
    thinningMm: 0.05,
  };
  const profile = profileOf(cut);
  const root = profile.rootDiameterMm / profile.tipDiameterMm;
  const STEPS = 64;
  const half = Float32Array.from({ length: STEPS + 1 }, (_, i) => {
    const radius = root + ((1 - root) * i) / STEPS;
    return Math.max(0, halfAngleAt(cut, profile, Math.max(radius * profile.tipDiameterMm, profile.baseDiameterMm)));
  });
  const height = new Float32Array(teeth).fill(1);
  for (const each of chipped) height[each % teeth] = root + 0.45 * (1 - root);
  for (const each of missing) height[each % teeth] = root + 0.06 * (1 - root);
  const pitch = (2 * Math.PI) / teeth;
  const turned = (turnedDeg * Math.PI) / 180;
  const bore = 0.16 + 0.04 * (teeth % 3);
  const ring = (bore + root) / 2;
  const hole = (root - bore) * 0.28;
  return (x, y) => {
    const square = x * x + y * y;
    if (square > 1 || square < bore * bore) return false;
    const radius = Math.sqrt(square);
    // Clockwise from the top, in a picture whose y runs down.
    const angle = Math.atan2(x, -y) - turned;
    if (radius <= root) {
      if (holes === 0 || Math.abs(radius - ring) > hole) return true;
      const step = (2 * Math.PI) / holes;
      const off = (angle - Math.round(angle / step) * step) * ring;
      return off * off + (radius - ring) ** 2 > hole * hole;
    }
    const at = Math.round(angle / pitch);
    if (radius > (height[((at % teeth) + teeth) % teeth] as number)) return false;
    return Math.abs(angle - at * pitch) < (half[Math.round(((radius - root) / (1 - root)) * STEPS)] as number);
  };
}

type Spot = readonly [x: number, y: number, radius: number];

const spots = (count: number, reach: number, [least, most]: readonly [number, number], random: () => number): readonly Spot[] =>
  Array.from({ length: count }, () => {
    const [distance, angle] = [reach * Math.sqrt(random()), 2 * Math.PI * random()];
    return [distance * Math.cos(angle), distance * Math.sin(angle), least + (most - least) * random()] as const;
  });

function within(list: readonly Spot[], x: number, y: number): boolean {
  for (const [sx, sy, radius] of list) if ((x - sx) ** 2 + (y - sy) ** 2 < radius * radius) return true;
  return false;
}
