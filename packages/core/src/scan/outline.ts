import { quantile } from '../inference/leastSquares.ts';
import { DEPTHS, RADIUS_STEP, radiusAt, RAYS, stepAt, type UnrolledRing } from './unwrap.ts';

/** How far the gear reaches along each ray, in radii of the frame, with the radii of tips and roots. */
export interface RadialExtent {
  readonly reach: Float32Array;
  readonly tip: number;
  readonly root: number;
}

/**
 * The gear's reach along each ray: gear added up from inside the roots outwards, so that a speck in a
 * space or a scratch on a tooth moves it a little and not to the next edge.
 */
export function reachOf({ gear }: UnrolledRing, root: number): RadialExtent {
  const from = stepAt(root - 0.06);
  const reach = new Float32Array(RAYS);
  const most = stepAt(1.2);
  for (let ray = 0; ray < RAYS; ray++) {
    let sum = 0;
    for (let step = from; step <= most; step++) sum += gear[ray * DEPTHS + step] as number;
    reach[ray] = radiusAt(from) - RADIUS_STEP / 2 + sum * RADIUS_STEP;
  }
  return { reach, tip: quantile(reach, 0.93), root: quantile(reach, 0.12) };
}

/** Radius inside which nearly every ray is gear: where the spaces end. */
export function rootOf({ gear }: UnrolledRing): number {
  const full: number[] = [];
  for (let step = 0; step < DEPTHS; step++) {
    let sum = 0;
    for (let ray = 0; ray < RAYS; ray += 4) sum += gear[ray * DEPTHS + step] as number;
    full.push((4 * sum) / RAYS);
  }
  // From the outside in: first where half is gear, then on to where the share stops growing.
  let step = stepAt(1.1);
  while (step > 0 && (full[step] as number) < 0.5) step--;
  const most = Math.max(...full.slice(0, step + 1));
  while (step > 0 && (full[step] as number) < 0.93 * most) step--;
  return radiusAt(step);
}
