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
export function axisOf(thing: Thing, factor: number): Axis {
  const { pixels, width } = thing;
  let [sumX, sumY] = [0, 0];
  for (const at of pixels) {
    sumX += (at % width) + 0.5;
    sumY += Math.floor(at / width) + 0.5;
  }
  const [x, y] = [sumX / pixels.length, sumY / pixels.length];
  let [xx, xy, yy] = [0, 0, 0];
  for (const at of pixels) {
    const [dx, dy] = [(at % width) + 0.5 - x, Math.floor(at / width) + 0.5 - y];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
  }
  return axisAlong(thing, { x: x * factor, y: y * factor, direction: 0.5 * Math.atan2(2 * xy, xx - yy), factor });
}

/** How far a thing reaches along a direction through a place and across it, on a plate finer by `factor`. */
export function axisAlong({ rim }: Thing, { factor, ...line }: Pick<Axis, 'x' | 'y' | 'direction'> & { readonly factor: number }): Axis {
  const [c, s] = [Math.cos(line.direction), Math.sin(line.direction)];
  let [along, across] = [0, 0];
  for (const [px, py] of rim) {
    const [dx, dy] = [px * factor - line.x, py * factor - line.y];
    along = Math.max(along, Math.abs(c * dx + s * dy));
    across = Math.max(across, Math.abs(c * dy - s * dx));
  }
  return { ...line, along, across };
}
