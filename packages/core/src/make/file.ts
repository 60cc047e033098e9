import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { cylindricalDimensions } from '../gear/cylindrical/dimensions.ts';
import { radians } from '../quantity/angle.ts';
import { lengthMm } from '../quantity/bounds.ts';
import { gearOutlineToMake, growthOf, madeFor, NO_FAMILY, outlineInput } from './outline.ts';
import { to3mf, toBase64, toDxf, toStl, toSvg } from './formats.ts';
import { arc, reachOf, type Point } from './polyline.ts';
import { solidOf, type Face, type Solid, type SolidOptions } from './solid.ts';

export const MADE_FORMATS = ['svg', 'dxf', 'stl', '3mf'] as const;
export const MADE_PIECES = ['gear', 'threeTeeth', 'bore'] as const;
const MOST_LAYERS = 200;
/** More triangles than this is no gear that a slicer would take. */
const MOST_TRIANGLES = 400_000;

export const fileInput = z.strictObject({
  ...outlineInput.shape,
  faceWidthMm: z.number().min(0.1).max(1000),
  hub: z.strictObject({ diameterMm: lengthMm, lengthMm: z.number().min(0.01).max(1000) }).optional(),
  format: z.enum(MADE_FORMATS),
  /** The whole gear, or a test print: three teeth, or a ring with the bore. */
  piece: z.enum(MADE_PIECES).default('gear'),
  family: madeFor,
});
export type FileInput = z.output<typeof fileInput>;

export const fileOutput = z.object({ name: z.string(), type: z.string(), base64: z.string() });
export type MadeFile = z.infer<typeof fileOutput>;

const TYPES: Readonly<Record<FileInput['format'], string>> = {
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  stl: 'model/stl',
  '3mf': 'model/3mf',
};

/** The body of a gear as it is to be made, with its allowances. Exported for who checks that it is closed. */
export function gearSolid(input: FileInput): Solid {
  const face = faceOf(input);
  const { gear, faceWidthMm, chordToleranceMm } = input;
  const grown = growthOf(input.allowance);
  const helix = input.piece === 'bore' ? 0 : radians(gear.helixAngleDeg);
  const twist = helix === 0 ? 0 : (2 * faceWidthMm * Math.tan(helix)) / cylindricalDimensions(gear).pitchDiameterMm;
  // A straight edge between two layers lies off the helix by no more than a chord does.
  const tipRadius = reachOf(face.outline).most;
  const layers = Math.min(MOST_LAYERS, Math.max(1, Math.ceil(Math.abs(twist) * Math.sqrt(tipRadius / (8 * chordToleranceMm)))));
  const triangles = 2 * (layers + 1) * face.outline.length;
  if (triangles > MOST_TRIANGLES) throw fail('tooMany', 'chordToleranceMm', { maximum: MOST_TRIANGLES, given: triangles });
  return solidOf({ face, heightMm: faceWidthMm * grown, layers, twist, hub: input.piece === 'gear' ? hubOf(input, face) : undefined });
}

/** A hub as it is to be made. @throws CoreFailure where it lies in the bore or reaches the roots */
function hubOf({ hub, allowance, chordToleranceMm }: FileInput, { outline, hole = [] }: Face): SolidOptions['hub'] {
  if (!hub) return undefined;
  const grown = growthOf(allowance);
  const radius = (hub.diameterMm / 2) * grown;
  const [least, most] = [reachOf(hole).most, reachOf(outline).least];
  if (radius <= least || radius >= most)
    throw fail('outOfRange', 'hub.diameterMm', { minimum: (2 * least) / grown, maximum: (2 * most) / grown, given: hub.diameterMm });
  return { ring: arc(radius, [0, 2 * Math.PI], chordToleranceMm).points, heightMm: hub.lengthMm * grown };
}

/** What of the gear is made: all of it, three of its teeth on a piece of the rim, or its bore in a ring. */
function faceOf(input: FileInput): Face {
  const { outline, holes } = gearOutlineToMake(input);
  const [hole] = holes;
  const [reach, root] = [reachOf(hole ?? []).most, reachOf(outline).least];
  switch (input.piece) {
    case 'gear':
      return { outline, hole };
    case 'bore':
      if (!hole) throw fail('missing', 'bore.sizeMm');
      return { outline: arc((reach + root) / 2, [0, 2 * Math.PI], input.chordToleranceMm).points, hole };
    case 'threeTeeth': {
      // The outline begins in the space right of the upright tooth, and every tooth has as many points.
      const each = outline.length / input.gear.teeth;
      const teeth = [...outline.slice(-each), ...outline.slice(0, 2 * each + 1)];
      const half = (3 * Math.PI) / input.gear.teeth;
      const inner = Math.max(reach, root / 2);
      const rim = arc(inner, [Math.PI / 2 + half, Math.PI / 2 - half], input.chordToleranceMm).points;
      const last: Point = [inner * Math.sin(half), inner * Math.cos(half)];
      return { outline: [...teeth, ...rim, last] };
    }
  }
}

/** A gear as a file for a machine, as base64. Flat drawings have no face width. */
export function gearFile(input: FileInput): MadeFile {
  const { teeth, normalModuleMm } = input.gear;
  const size = normalModuleMm === undefined ? `DP${input.gear.diametralPitch}` : `m${normalModuleMm}`;
  // What is for no machine says so on every computer that it comes to.
  const bench = input.family === NO_FAMILY ? 'bench-only-' : '';
  const name = `${bench}gear-${teeth}-${size}${input.piece === 'gear' ? '' : `-${input.piece === 'bore' ? 'bore' : 'three-teeth'}`}.${input.format}`;
  return { name, type: TYPES[input.format], base64: toBase64(bytesOf(input)) };
}

function bytesOf(input: FileInput): Uint8Array {
  switch (input.format) {
    case 'svg':
      return toSvg(faceOf(input));
    case 'dxf':
      return toDxf(faceOf(input));
    case 'stl':
      return toStl(gearSolid(input));
    case '3mf':
      return to3mf(gearSolid(input));
  }
}
