export interface GearPhoto {
  readonly width: number;
  readonly height: number;
  /** Four bytes a pixel, row by row. */
  readonly rgba: Uint8ClampedArray;
}

interface Scene {
  readonly teeth: number;
  /** Places of teeth that are gone, counted from the top clockwise. */
  readonly missing: readonly number[];
  readonly random: () => number;
  /** Width and height of the picture in pixels. */
  readonly size?: number;
}

/** Tooth height and width as shares of the pitch: near enough a worn small gear to look at, no involute. */
const TIP = 0.8;
const ROOT = 0.69;

/**
 * A made-up photo of a small gear on a bench: light from one side, grain, some teeth gone.
 * The cost is one pass over the pixels.
 */
export function gearPhoto({ teeth, missing, random, size = 480 }: Scene): GearPhoto {
  const rgba = new Uint8ClampedArray(size * size * 4);
  const gone = new Set(missing.map((each) => each % teeth));
  const light = random() * 2 * Math.PI;
  const turned = random() / teeth;
  const half = size / 2;
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      const [dx, dy] = [(x - half) / half, (y - half) / half];
      const grey = shade(dx, dy, light) + 14 * (random() - 0.5);
      const steel = isGear(Math.hypot(dx, dy), Math.atan2(dx, -dy) / (2 * Math.PI) - turned, teeth, gone);
      rgba.set(steel ? [150 + grey, 148 + grey, 140 + grey, 255] : [96 + grey / 2, 74 + grey / 2, 52 + grey / 2, 255], 4 * (y * size + x));
    }
  }
  return { width: size, height: size, rgba };
}

const shade = (dx: number, dy: number, light: number) => 34 * (dx * Math.cos(light) + dy * Math.sin(light));

function isGear(radius: number, turn: number, teeth: number, gone: ReadonlySet<number>): boolean {
  if (radius < 0.16 || radius > TIP) return false;
  if (radius < ROOT) return true;
  const at = (((turn % 1) + 1) % 1) * teeth;
  const tooth = Math.round(at) % teeth;
  if (gone.has(tooth)) return false;
  // A tooth is half a pitch wide at its foot and a fifth at its tip.
  const halfWidth = 0.25 - (0.15 * (radius - ROOT)) / (TIP - ROOT);
  return Math.abs(at - Math.round(at)) < halfWidth;
}
