import type { Thing } from './things.ts';

/** Where something long lies: its middle, its direction, and how far it reaches along and across, in pixels. */
export interface Axis {
  readonly x: number;
  readonly y: number;
  /** Radians from the right, clockwise as the picture's y runs down. */
  readonly direction: number;
  readonly along: number;
  readonly across: number;
}

/** The principal axis of a thing (the direction in which its pixels spread most), on a plate finer by `factor`. */
export function axisOf({ pixels, width }: Thing, factor: number): Axis {
  const places = pixels.map((at) => [(at % width) + 0.5, Math.floor(at / width) + 0.5] as const);
  const [x, y] = [0, 1].map((i) => places.reduce((sum, each) => sum + (each[i] as number), 0) / places.length) as [number, number];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [px, py] of places) {
    xx += (px - x) ** 2;
    xy += (px - x) * (py - y);
    yy += (py - y) ** 2;
  }
  const direction = 0.5 * Math.atan2(2 * xy, xx - yy);
  const [c, s] = [Math.cos(direction), Math.sin(direction)];
  let [along, across] = [0, 0];
  for (const [px, py] of places) {
    along = Math.max(along, Math.abs(c * (px - x) + s * (py - y)));
    across = Math.max(across, Math.abs(c * (py - y) - s * (px - x)));
  }
  return { x: x * factor, y: y * factor, direction, along: along * factor, across: across * factor };
}
