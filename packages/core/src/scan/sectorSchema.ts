import { z } from 'zod';
import { scanReference } from './reference.ts';
import { measuredMm, photoInput, point, scanScale } from './schema.ts';

export const sectorScanInput = z.strictObject({
  ...photoInput,
  scale: scanScale.optional(),
  /** Looked for on the photo where no two points were laid. */
  reference: scanReference.optional(),
});
export type SectorScanInput = z.infer<typeof sectorScanInput>;

export const SECTOR_SCAN_REFUSALS = ['noGear', 'cutOff', 'tooSmall', 'noTeeth', 'tooFine', 'countsDisagree', 'wholeGear'] as const;
export type SectorScanRefusal = (typeof SECTOR_SCAN_REFUSALS)[number];

export const sectorScanRead = z.strictObject({
  read: z.literal(true),
  /** Places on the arc, those of missing teeth among them. */
  teeth: z.number(),
  teethPresent: z.number(),
  /** From the middle of the first tooth to the middle of the last. */
  arcDeg: z.object({ value: z.number(), plusMinus: z.number() }),
  confidence: z.number(),
  /** Middle of the circle that the tips lie on; beside the thing where it has no hub. */
  centre: point,
  tipRadiusPx: z.number(),
  rootRadiusPx: z.number(),
  /** Tips of the first tooth and the last, clockwise. */
  from: point,
  to: point,
  tipDiameterMm: measuredMm.optional(),
  referenceFound: z.boolean().optional(),
});
export type SectorScanRead = z.infer<typeof sectorScanRead>;

export const sectorScanOutput = z.discriminatedUnion('read', [
  sectorScanRead,
  z.object({ read: z.literal(false), reason: z.enum(SECTOR_SCAN_REFUSALS) }),
]);
export type SectorScan = z.infer<typeof sectorScanOutput>;
