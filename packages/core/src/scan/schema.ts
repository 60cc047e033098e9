import { because } from '../failure/FailureReason.ts';
import { z } from 'zod';
import { SIDES } from './flanks.ts';
import { FLAWS } from './flaws.ts';
import { positiveUpTo } from '../quantity/bounds.ts';
import { scanReference } from './reference.ts';

/** Least and most pixels along a side. */
const SIDE = [120, 12_000] as const;
/** Also beside the picture: a mark may be put there by hand. */
const pixel = z.number().min(-20_000).max(20_000);
export const point = z.strictObject({ xPx: pixel, yPx: pixel });
const pixels = z.custom<Uint8ClampedArray | Uint8Array>((given) => given instanceof Uint8ClampedArray || given instanceof Uint8Array, {
  message: because('notPixels'),
});

/** Two points on a known length, in the plane of the gear's face. */
export const scanScale = z.strictObject({ from: point, to: point, lengthMm: z.number().positive().max(2000) });

/** What a human saw better: the middle, how far out the tips lie, the count. */
export const scanCorrection = z.strictObject({
  centre: point.optional(),
  tipRadiusPx: positiveUpTo(20_000).optional(),
  teeth: z.int().min(4).max(500).optional(),
});

export type ScanScale = z.infer<typeof scanScale>;
export type ScanCorrection = z.infer<typeof scanCorrection>;

/** What every reader of photos takes. */
export const photoInput = {
  width: z.int().min(SIDE[0]).max(SIDE[1]),
  height: z.int().min(SIDE[0]).max(SIDE[1]),
  /** Red, green, blue and opacity of each pixel, row by row; over the wire a list of numbers. */
  rgba: z.union([
    pixels,
    z
      .array(z.int().min(0).max(255))
      .max(SIDE[1] * SIDE[1] * 4)
      .transform((list) => Uint8ClampedArray.from(list)),
  ]),
};

export const scanInput = z.strictObject({
  ...photoInput,
  scale: scanScale.optional(),
  /** Looked for on the photo where no two points were laid. */
  reference: scanReference.optional(),
  correction: scanCorrection.optional(),
});
export type ScanInput = z.infer<typeof scanInput>;

export const SCAN_REFUSALS = [
  'noGear',
  'cutOff',
  'tooSmall',
  'tooTilted',
  'lowContrast',
  'noTeeth',
  'notAGear',
  'tooFine',
  'countsDisagree',
] as const;
export type ScanRefusal = (typeof SCAN_REFUSALS)[number];

export const measuredMm = z.strictObject({ value: z.number(), plusMinus: z.number() });

export const scanRead = z.strictObject({
  read: z.literal(true),
  /** All places, the missing teeth among them. */
  teeth: z.number(),
  teethPresent: z.number(),
  confidence: z.number(),
  centre: point,
  /** As seen from straight above: along the long axis of the rim. */
  tipRadiusPx: z.number(),
  rootRadiusPx: z.number(),
  /** The rim as an ellipse in the picture. */
  rim: z.object({ longPx: z.number(), shortPx: z.number(), axisDeg: z.number() }),
  tiltDeg: z.number(),
  /** Teeth that are not as the others; angles clockwise from the top of the picture, points on the rim. */
  flaws: z.array(z.object({ kind: z.enum(FLAWS), angleDeg: z.number(), xPx: z.number(), yPx: z.number() })),
  /** What each way of counting found. */
  counts: z.object({ outline: z.number().nullable(), edges: z.number().nullable(), shading: z.number().nullable() }),
  /** Both flanks compared; absent where the teeth are too fine or too few. */
  flanks: z.object({ wornMore: z.enum(SIDES).nullable(), share: z.strictObject({ value: z.number(), plusMinus: z.number() }) }).optional(),
  corrected: z.array(z.enum(['centre', 'rim', 'teeth'])),
  tipDiameterMm: measuredMm.optional(),
  rootDiameterMm: measuredMm.optional(),
  /** Whether what was said to lie beside it was found; absent where nothing was. */
  referenceFound: z.boolean().optional(),
});
export type ScanRead = z.infer<typeof scanRead>;

export const scanOutput = z.discriminatedUnion('read', [
  scanRead,
  z.object({
    read: z.literal(false),
    reason: z.enum(SCAN_REFUSALS),
  }),
]);
export type Scan = z.infer<typeof scanOutput>;
