import { z } from 'zod';
import { roundEllipse } from './disc.ts';
import { convexHull, type Point } from './hull.ts';
import type { Plate } from './picture.ts';
import type { Thing } from './things.ts';

/** Something of a known size that lies beside the gear: a card as of ISO/IEC 7810 (ID-1), or a disc such as a coin. */
export const scanReference = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('card') }),
  z.strictObject({ kind: z.literal('disc'), diameterMm: z.number().min(5).max(200) }),
]);
export type ScanReference = z.infer<typeof scanReference>;

/** ID-1 of ISO/IEC 7810:2019, mm. */
const CARD_MM = { long: 85.6, short: 53.98 } as const;
/** A thing fills the rectangle or the ellipse round it by so much, or it is another. */
const FILLS = 0.94;
/** A card from a camera that leans seems longer or shorter by so much at most. */
const RATIO_OFF = 0.16;
/** A disc from a camera that leans is this flat at most. */
const FLATTEST = 0.8;

/** How many pixels of a plate a square millimetre has on the bench, by the reference; null where a thing is none. */
export function pixelsPerSquareMm(thing: Thing, reference: ScanReference): number | null {
  if (thing.isCut) return null;
  const hull = convexHull(thing.rim);
  const area = thing.pixels.length;
  if (reference.kind === 'disc') {
    const frame = roundEllipse(hull);
    if (typeof frame === 'string' || frame.short / frame.long < FLATTEST) return null;
    const filled = area / (Math.PI * frame.long * frame.short);
    return filled > FILLS && filled < 1 / FILLS ? area / (Math.PI * (reference.diameterMm / 2) ** 2) : null;
  }
  const { long, short } = narrowestBox(hull);
  const ratio = long / short / (CARD_MM.long / CARD_MM.short);
  return area > FILLS * long * short && Math.abs(ratio - 1) < RATIO_OFF ? area / (CARD_MM.long * CARD_MM.short) : null;
}

/** The sides of the rectangle of least area round points: one of its sides lies on an edge of their hull. */
function narrowestBox(hull: readonly Point[]): { readonly long: number; readonly short: number } {
  let best = { long: Infinity, short: Infinity };
  hull.forEach(([x, y], i) => {
    const [nx, ny] = hull[(i + 1) % hull.length] as Point;
    const length = Math.hypot(nx - x, ny - y);
    if (length === 0) return;
    const [c, s] = [(nx - x) / length, (ny - y) / length];
    const along = hull.map(([px, py]) => c * px + s * py);
    const across = hull.map(([px, py]) => c * py - s * px);
    const [w, h] = [along, across].map((list) => Math.max(...list) - Math.min(...list)) as [number, number];
    if (w * h < best.long * best.short) best = { long: Math.max(w, h), short: Math.min(w, h) };
  });
  return best;
}

/** Whether a thing on the plate is what lies beside the gear; nothing is where nothing is said to. */
export const isReference = (reference: ScanReference | undefined) =>
  reference && ((thing: Thing) => pixelsPerSquareMm(thing, reference) !== null);

/** A gear's face lies nearer to the camera than what lies on the bench beside it: one standard deviation, by trial on scenes. */
const HEIGHT_SHARE = 0.02;

/**
 * Millimetres of a pixel of the photo by what lies on the bench; null where it is not found. Where the camera leans, along the
 * direction that it does not shorten: `flatness` is what is seen of the other.
 */
export function mmBeside(
  things: readonly Thing[],
  reference: ScanReference,
  { factor, flatness }: Pick<Plate, 'factor'> & { readonly flatness: number },
): { readonly value: number; readonly plusMinus: number } | null {
  for (const thing of things) {
    const perSquare = pixelsPerSquareMm(thing, reference);
    if (perSquare === null) continue;
    const px = Math.sqrt(perSquare / flatness) * factor;
    return { value: 1 / px, plusMinus: HEIGHT_SHARE / px };
  }
  return null;
}
