import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { cylindricalDimensions } from '../gear/cylindrical/dimensions.ts';
import { radians } from '../quantity/angle.ts';
import { lengthMm } from '../quantity/bounds.ts';
import { bevelSolid } from './bevelSolid.ts';
import { holeOf } from './bore.ts';
import { internalFace, rackFace, sectorFace } from './flatParts.ts';
import { to3mf, toBase64, toDxf, toStl, toSvg } from './formats.ts';
import type { Hub, Solid } from './loft.ts';
import { madePart, type MadePart } from './madeParts.ts';
import { gearOutlineToMake, growthOf, madeFaceWidth, madeFor, madeGear, NO_FAMILY, outlineInput } from './outline.ts';
import { arc, offset, reachOf, type Point } from './polyline.ts';
import { scaled, solidOf, type Face } from './solid.ts';
import { wormSolid } from './wormSolid.ts';
import { wormThread } from './wormThread.ts';
import { wheelGeometry, wormWheelSolid } from './wormWheel.ts';

export const MADE_FORMATS = ['svg', 'dxf', 'stl', '3mf'] as const;
export const MADE_PIECES = ['gear', 'threeTeeth', 'bore', 'seat'] as const;
const MOST_LAYERS = 200;
/** More triangles than this is no gear that a slicer would take. */
const MOST_TRIANGLES = 400_000;

export const fileInput = z.strictObject({
  ...outlineInput.omit({ gear: true }).shape,
  /** The gear by its kind; or a spur or helical one as it was asked for before, with its face width beside it. */
  part: madePart.optional(),
  gear: madeGear.optional(),
  faceWidthMm: madeFaceWidth.optional(),
  hub: z.strictObject({ diameterMm: lengthMm, lengthMm: z.number().min(0.01).max(1000) }).optional(),
  format: z.enum(MADE_FORMATS),
  /** The whole gear, or a test print: three teeth, or a ring with the seat. */
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

/** What is made, by its kind. @throws CoreFailure where nothing, or a gear without its face width, is asked for */
export function partAsked({ part, gear, faceWidthMm }: Pick<FileInput, 'part' | 'gear' | 'faceWidthMm'>): MadePart {
  if (part) return part;
  if (!gear) throw fail('missing', 'part');
  if (faceWidthMm === undefined) throw fail('missing', 'faceWidthMm');
  return { kind: 'helical', ...gear, faceWidthMm };
}

/** The body of a gear as it is to be made, with its allowances. Exported for who checks that it is closed. */
export function gearSolid(input: FileInput): Solid {
  const part = partAsked(input);
  if (isSeat(input)) return seatSolid(input, part);
  return isFlat(part) ? raised(input, part) : scaled(shaped(input, part), growthOf(input.allowance));
}

/** A gear that no plane shows, in its own size. */
function shaped(input: FileInput, part: Exclude<MadePart, FlatPart>): Solid {
  const { chordToleranceMm } = input;
  const hole = holeOf(input.bore, chordToleranceMm);
  const few = input.piece === 'threeTeeth' ? FEW : undefined;
  switch (part.kind) {
    case 'worm': {
      const thread = wormThread(part);
      // Its ends run out: a little more than three threads.
      const lengthMm = few ? Math.min(part.lengthMm, (FEW + 1.5) * thread.axialPitchMm) : part.lengthMm;
      return wormSolid(thread, { hole, chordToleranceMm, lengthMm });
    }
    case 'wormWheel': {
      const hub = few ? undefined : hubOn(input, wheelGeometry(part).rootRadiusMm);
      return wormWheelSolid(part, { hole, chordToleranceMm, fewTeeth: few, hub });
    }
    case 'bevel':
      return bevelSolid(part, { hole, fewTeeth: few });
  }
}

const FEW = 3;
const isSeat = ({ piece }: FileInput) => piece === 'bore' || piece === 'seat';

/** A flat gear drawn up over its face width, turned on the way where it is a helical one. */
function raised(input: FileInput, part: FlatPart): Solid {
  const face = faceOf(input, part);
  const { chordToleranceMm } = input;
  const twist = part.kind === 'helical' ? twistOf(part) : 0;
  // A straight edge between two layers lies off the helix by no more than a chord does.
  const tipRadius = reachOf(face.outline).most;
  const layers = Math.min(MOST_LAYERS, Math.max(1, Math.ceil(Math.abs(twist) * Math.sqrt(tipRadius / (8 * chordToleranceMm)))));
  const triangles = 2 * (layers + 1) * face.outline.length;
  if (triangles > MOST_TRIANGLES) throw fail('tooMany', 'chordToleranceMm', { maximum: MOST_TRIANGLES, given: triangles });
  const grown = growthOf(input.allowance);
  const carriesHub = input.piece === 'gear' && part.kind !== 'rack' && part.kind !== 'internal';
  const hub = carriesHub ? hubOn(input, reachOf(face.outline).least / grown, grown) : undefined;
  return solidOf({ face, heightMm: heightOf(input, part.faceWidthMm), layers, twist, hub });
}

/** How far the top of a helical gear is turned against its foot, radians. */
function twistOf(part: Extract<FlatPart, { kind: 'helical' }>): number {
  const { pitchDiameterMm } = cylindricalDimensions(gearOf(part));
  return (2 * part.faceWidthMm * Math.tan(radians(part.helixAngleDeg))) / pitchDiameterMm;
}

/** A height as it is made: drawn out for what shrinks, in whole layers where it is printed in some. */
function heightOf({ allowance }: FileInput, wantedMm: number): number {
  const { layerMm } = allowance;
  const heightMm = wantedMm * growthOf(allowance);
  return layerMm === undefined ? heightMm : Math.max(1, Math.round(heightMm / layerMm)) * layerMm;
}

/** A ring with the seat alone, to try on its shaft. */
function seatSolid(input: FileInput, part: MadePart): Solid {
  const heightMm = heightOf(input, 'faceWidthMm' in part ? part.faceWidthMm : part.lengthMm);
  return solidOf({ face: seatFace(input), heightMm, layers: 1, twist: 0 });
}

/** How thick the ring round a seat is, of how far the seat reaches. */
const SEAT_WALL = 0.5;

function seatFace(input: FileInput): Face {
  const hole = holeOf(input.bore, input.chordToleranceMm);
  if (!hole) throw fail('missing', 'bore.sizeMm');
  const outline = arc((1 + SEAT_WALL) * hole.reachMm, [0, 2 * Math.PI], input.chordToleranceMm).points;
  return asMade(input, { outline, hole: hole.points });
}

/** A face drawn out for what shrinks, and by half of the tool's width. */
function asMade({ allowance }: FileInput, { outline, hole }: Face): Face {
  const grown = growthOf(allowance);
  const drawn = (points: readonly Point[], outwards: number) =>
    (outwards === 0 ? points : offset(points, outwards)).map(([x, y]): Point => [x * grown, y * grown]);
  const half = allowance.kerfMm / 2 / grown;
  return { outline: drawn(outline, half), hole: hole && drawn(hole, -half) };
}

/** A hub in its own size, times what it is drawn out by. @throws CoreFailure where it lies in the bore or reaches the roots */
function hubOn({ hub, bore, chordToleranceMm }: FileInput, rootRadiusMm: number, grown = 1): Hub | undefined {
  if (!hub) return undefined;
  const radius = hub.diameterMm / 2;
  const least = holeOf(bore, chordToleranceMm)?.reachMm ?? 0;
  if (radius <= least || radius >= rootRadiusMm)
    throw fail('outOfRange', 'hub.diameterMm', { minimum: 2 * least, maximum: 2 * rootRadiusMm, given: hub.diameterMm });
  return { ring: arc(radius * grown, [0, 2 * Math.PI], chordToleranceMm).points, heightMm: hub.lengthMm * grown };
}

type FlatPart = Extract<MadePart, { kind: 'spur' | 'helical' | 'internal' | 'sector' | 'rack' }>;

const isFlat = (part: MadePart): part is FlatPart => part.kind !== 'worm' && part.kind !== 'wormWheel' && part.kind !== 'bevel';

/** The gear of an outline, of a part that is one. */
function gearOf(part: Extract<FlatPart, { kind: 'spur' | 'helical' | 'sector' }>): z.output<typeof madeGear> {
  const { kind: _, faceWidthMm: __, ...gear } = part;
  if ('teethPresent' in gear) {
    const { teethPresent: ___, ...whole } = gear;
    return { ...whole, helixAngleDeg: 0 };
  }
  return { helixAngleDeg: 0, ...gear };
}

/** What of the gear is drawn: all of it, or three of its teeth on a piece of the rim. */
function faceOf(input: FileInput, part: FlatPart): Face {
  const isTry = input.piece === 'threeTeeth';
  if (part.kind === 'rack') return asMade(input, rackFace(isTry ? { ...part, teeth: Math.min(FEW, part.teeth) } : part));
  if (part.kind === 'internal') {
    if (isTry) throw fail('invalid', 'piece', { reason: 'noTryOfRing' });
    return asMade(input, internalFace(part, input.chordToleranceMm));
  }
  const { outline, holes } = gearOutlineToMake({ ...input, gear: gearOf(part) });
  const [hole] = holes;
  const [reach, root] = [reachOf(hole ?? []).most, reachOf(outline).least];
  if (part.kind === 'sector' && input.piece === 'gear') {
    if (part.teethPresent > part.teeth)
      throw fail('outOfRange', 'part.teethPresent', { minimum: 1, maximum: part.teeth, given: part.teethPresent });
    return part.teethPresent === part.teeth
      ? { outline, hole }
      : sectorFace({ outline, hole, teeth: part.teeth, present: part.teethPresent });
  }
  if (!isTry) return { outline, hole };
  // The outline begins in the space right of the upright tooth, and every tooth has as many points.
  const each = outline.length / part.teeth;
  const teeth = [...outline.slice(-each), ...outline.slice(0, 2 * each + 1)];
  const half = (3 * Math.PI) / part.teeth;
  const inner = Math.max(reach, root / 2);
  const rim = arc(inner, [Math.PI / 2 + half, Math.PI / 2 - half], input.chordToleranceMm).points;
  const last: Point = [inner * Math.sin(half), inner * Math.cos(half)];
  return { outline: [...teeth, ...rim, last] };
}

/** A gear as a file for a machine, as base64. Flat drawings have no face width. */
export function gearFile(input: FileInput): MadeFile {
  // What is for no machine says so on every computer that it comes to.
  const bench = input.family === NO_FAMILY ? 'bench-only-' : '';
  const piece = isSeat(input) ? '-seat' : '-three-teeth';
  const name = `${bench}${nameOf(partAsked(input))}${input.piece === 'gear' ? '' : piece}.${input.format}`;
  return { name, type: TYPES[input.format], base64: toBase64(bytesOf(input)) };
}

function nameOf(part: MadePart): string {
  switch (part.kind) {
    case 'worm':
      return `worm-${part.starts}-m${part.axialModuleMm}`;
    case 'wormWheel':
      return `worm-wheel-${part.wheelTeeth}-m${part.worm.axialModuleMm}`;
    case 'bevel':
      return `bevel-${part.member === 'pinion' ? part.pinionTeeth : part.wheelTeeth}-m${part.outerModuleMm}`;
    case 'rack':
    case 'internal':
      return `${part.kind}-${part.teeth}-m${part.normalModuleMm}`;
    default: {
      const size = part.normalModuleMm === undefined ? `DP${part.diametralPitch}` : `m${part.normalModuleMm}`;
      return `${part.kind === 'sector' ? 'sector' : 'gear'}-${part.teeth}-${size}`;
    }
  }
}

/** What a flat tool follows. @throws CoreFailure for a gear that no plane shows */
function flatOf(input: FileInput): Face {
  const part = partAsked(input);
  if (isSeat(input)) return seatFace(input);
  if (!isFlat(part)) throw fail('invalid', 'format', { reason: 'notFlat' });
  return faceOf(input, part);
}

function bytesOf(input: FileInput): Uint8Array {
  switch (input.format) {
    case 'svg':
      return toSvg(flatOf(input));
    case 'dxf':
      return toDxf(flatOf(input));
    case 'stl':
      return toStl(gearSolid(input));
    case '3mf':
      return to3mf(gearSolid(input));
  }
}
