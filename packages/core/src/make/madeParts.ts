import { z } from 'zod';
import { bevelPart } from './bevelSolid.ts';
import { internalPart, rackPart } from './flatParts.ts';
import { madeFaceWidth as faceWidthMm, madeGear } from './outline.ts';
import { wormWheelPart } from './wormWheel.ts';
import { wormPart } from './wormThread.ts';

const straight = madeGear.omit({ helixAngleDeg: true }).extend({ faceWidthMm });

export const spurPart = straight.extend({ kind: z.literal('spur') });
export const helicalPart = madeGear.extend({ kind: z.literal('helical'), faceWidthMm });
export const sectorPart = straight.extend({ kind: z.literal('sector'), teethPresent: z.int().min(1).max(400) });

const kinds = z.discriminatedUnion('kind', [spurPart, helicalPart, internalPart, sectorPart, rackPart, wormPart, wormWheelPart, bevelPart]);

/** A gear that can be made, by its kind; one that says none is a spur or helical gear as before. */
export const madePart = z.preprocess(
  (raw) => (raw !== null && typeof raw === 'object' && !Array.isArray(raw) && !('kind' in raw) ? { kind: 'helical', ...raw } : raw),
  kinds,
);
export type MadePart = z.output<typeof kinds>;
