import { frameOf, type Frame } from './frame.ts';
import { convexHull, type Point } from './hull.ts';
import { robustFit } from '../inference/leastSquares.ts';
import type { Plate } from './picture.ts';
import { largestThing, type Thing, type ThingRefusal } from './things.ts';

/** The thing on the bench: the largest patch that is unlike the bench, and the ellipse round it. In pixels of the plate. */
export function findDisc(plate: Plate, isOther?: (thing: Thing) => boolean): Frame | ThingRefusal {
  const thing = largestThing(plate, { isOther });
  return typeof thing === 'string' ? thing : roundEllipse(convexHull(thing.rim));
}

/** The ellipse through most of the points: radius over angle with its first two harmonics, about a centre that follows. */
export function roundEllipse(points: readonly Point[]): Frame | ThingRefusal {
  let frame = frameOf(
    points.reduce((sum, [x]) => sum + x, 0) / points.length,
    points.reduce((sum, [, y]) => sum + y, 0) / points.length,
    1,
  );
  const mean = points.reduce((sum, [x, y]) => sum + Math.hypot(x - frame.x, y - frame.y), 0) / points.length;
  frame = frameOf(frame.x, frame.y, mean);
  const rows = () =>
    points.map(([x, y]) => {
      const { radius, angle } = frame.toPlane(x, y);
      const harmonics = points.length < 12 ? [] : [Math.cos(2 * angle), Math.sin(2 * angle)];
      return { factors: [1, Math.cos(angle), Math.sin(angle), ...harmonics], value: radius, weight: 1 };
    });
  for (let round = 0; round < 6; round++) {
    const fit = robustFit(rows(), points.length < 12 ? 3 : 5);
    if (!fit) return 'noGear';
    frame = frame.moved(fit);
  }
  return frame;
}
