import { z } from 'zod';
import { measuredMm, photoInput, point, scanScale } from './schema.ts';

export const wormScanInput = z.strictObject({ ...photoInput, scale: scanScale.optional() });
export type WormScanInput = z.infer<typeof wormScanInput>;

export const WORM_SCAN_REFUSALS = [
  'noGear',
  'cutOff',
  'tooSmall',
  'noThreads',
  'lowContrast',
  'tooFine',
  'countsDisagree',
  'notAWorm',
] as const;
export type WormScanRefusal = (typeof WORM_SCAN_REFUSALS)[number];

export const wormScanRead = z.strictObject({
  read: z.literal(true),
  /** Threads that were seen along it. */
  threads: z.number(),
  /** Null where the picture does not tell them: they are counted at the worm's end. */
  starts: z.number().nullable(),
  /** Null where the picture does not tell it: it is seen on the worm itself. */
  hand: z.enum(['right', 'left']).nullable(),
  confidence: z.number(),
  axialPitchPx: z.number(),
  outsidePx: z.number(),
  /** Axial pitch by outside diameter: what a photo without a scale knows. */
  pitchShare: measuredMm,
  /** At the outside diameter. */
  leadAngleDeg: z.number().optional(),
  /** Ends of the threads, on the axis. */
  from: point,
  to: point,
  axialPitchMm: measuredMm.optional(),
  tipDiameterMm: measuredMm.optional(),
});
export type WormScanRead = z.infer<typeof wormScanRead>;

export const wormScanOutput = z.discriminatedUnion('read', [
  wormScanRead,
  z.object({ read: z.literal(false), reason: z.enum(WORM_SCAN_REFUSALS) }),
]);
export type WormScan = z.infer<typeof wormScanOutput>;
