import { z } from 'zod';
import { measuredLength } from '../quantity/measured.ts';
import { MOST_DIAMETRAL_PITCH, MOST_TEETH, countUpTo, lengthMm, name, plusMinus, positiveUpTo } from '../quantity/bounds.ts';

const length = z.union([lengthMm, measuredLength]);
const angle = z.union([z.number().min(-360).max(360), z.strictObject({ value: z.number().min(-360).max(360), plusMinus })]);
const count = countUpTo(MOST_TEETH);

export const BORE_SHAPES = ['round', 'dFlat', 'doubleD', 'square', 'hex', 'key', 'spline', 'tab'] as const;
export const GEAR_TYPES = ['worm', 'wormWheel', 'spur', 'helical', 'bevel', 'rack', 'sector', 'screw'] as const;
/** Parts that are no gears, each with its own few dimensions (`PLAIN_DIMENSIONS`). */
export const PLAIN_TYPES = ['bearing', 'seal', 'axle', 'pin', 'key', 'spring', 'clip', 'cable', 'unit'] as const;
export type PlainType = (typeof PLAIN_TYPES)[number];
export const PART_TYPES = [...GEAR_TYPES, ...PLAIN_TYPES] as const;
export type PartType = (typeof PART_TYPES)[number];

/** What a part is, attribute by attribute; a number may be exact or a reading with its ±. Lengths mm, angles degrees. */
export const partAttributes = z.strictObject({
  type: z.enum(PART_TYPES).optional(),
  starts: count.optional(),
  teeth: count.optional(),
  axialModuleMm: length.optional(),
  normalModuleMm: length.optional(),
  diametralPitch: positiveUpTo(MOST_DIAMETRAL_PITCH).optional(),
  pressureAngleDeg: angle.optional(),
  helixAngleDeg: angle.optional(),
  leadAngleDeg: angle.optional(),
  hand: z.enum(['right', 'left']).optional(),
  pitchDiameterMm: length.optional(),
  tipDiameterMm: length.optional(),
  outsideDiameterMm: length.optional(),
  centreDistanceMm: length.optional(),
  boreShape: z.enum(BORE_SHAPES).optional(),
  boreDiameterMm: length.optional(),
  dFlatMm: length.optional(),
  keyWidthMm: length.optional(),
  splineTeeth: count.optional(),
  faceWidthMm: length.optional(),
  hubDiameterMm: length.optional(),
  hubLengthMm: length.optional(),
  material: name.optional(),
  mateTeeth: count.optional(),
  shaftDiameterMm: length.optional(),
  widthMm: length.optional(),
  heightMm: length.optional(),
  lengthMm: length.optional(),
  thicknessMm: length.optional(),
  wireDiameterMm: length.optional(),
  coils: positiveUpTo(1000).optional(),
});
export type PartAttributes = z.infer<typeof partAttributes>;
export type AttributeName = keyof PartAttributes;

export const FIT_STATES = ['fits', 'fitsAfterWork', 'doesNotFit', 'unknown'] as const;

/** What makes a part fit, or tells whether it does; by how much stands in the attribute's difference. Worded by the wording package. */
export const PART_WORKS = [
  'measure',
  'lookAt',
  'checkWeakestLink',
  'openBore',
  'bond',
  'sleeve',
  'narrowFace',
  'turnHub',
  'shortenHub',
  'spacer',
  'cutLength',
] as const;
export type PartWork = (typeof PART_WORKS)[number];

export const matchFitInput = z.strictObject({
  wanted: partAttributes,
  part: partAttributes,
  /** What the seller says it fits; evidence, never proof. */
  claims: z.array(name).max(200).optional(),
  machine: z.string().max(200).optional(),
});
export type MatchFitInput = z.infer<typeof matchFitInput>;

const attributeFit = z.object({
  name: z.string(),
  state: z.enum(FIT_STATES),
  /** Part less wanted, in the attribute's own unit. */
  difference: z.number().optional(),
  /** How far it may be off and still fit as it is, in the attribute's own unit. */
  allowed: z.number().optional(),
  work: z.enum(PART_WORKS).optional(),
  probability: z.number(),
  wanted: z.union([z.number(), z.string()]).optional(),
  part: z.union([z.number(), z.string()]).optional(),
});
export type AttributeFit = z.infer<typeof attributeFit>;

export const matchFitOutput = z.object({
  probability: z.number(),
  deciding: z.string().nullable(),
  attributes: z.array(attributeFit),
  contradiction: z.string().optional(),
});
export type MatchFit = z.infer<typeof matchFitOutput>;
