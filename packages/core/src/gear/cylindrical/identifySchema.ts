import { z } from 'zod';
import { measured, measuredAngle, measuredLength } from '../../quantity/measured.ts';
import { gearSystems, nextMeasurement } from '../identifySchema.ts';
import { GEAR_SYSTEMS } from '../standardSizes.ts';
import { MOST_TEETH, positiveUpTo } from '../../quantity/bounds.ts';
import { thicknessReadings } from './schema.ts';

export const identifyInput = z.strictObject({
  teeth: z.int().min(4).max(500).optional(),
  /** A piece of the rim: so many pitches over so many degrees. */
  teethOverArc: z.strictObject({ teeth: positiveUpTo(500), arcDeg: measured }).optional(),
  measurements: z.strictObject({
    tipDiameterMm: measuredLength.optional(),
    rootDiameterMm: measuredLength.optional(),
    ...thicknessReadings,
    helixAngleDeg: measuredAngle.optional(),
    /** Says nothing of the size; of a helical gear it says which spans can be taken. */
    faceWidthMm: measuredLength.optional(),
    centreDistanceMm: z.strictObject({ mateTeeth: z.int().min(4).max(MOST_TEETH), distanceMm: measuredLength }).optional(),
  }),
  wear: z
    .strictObject({ maxThinningMm: z.number().min(0).max(2).default(0.2), maxTipLossMm: z.number().min(0).max(5).default(0.2) })
    .default({ maxThinningMm: 0.2, maxTipLossMm: 0.2 }),
  systems: gearSystems,
});
export type IdentifyInput = z.infer<typeof identifyInput>;

const values = z.record(z.string(), z.number());

export const identifyOutput = z.object({
  candidates: z.array(
    z.object({
      system: z.enum(GEAR_SYSTEMS),
      size: z.number(),
      normalModuleMm: z.number(),
      teeth: z.number(),
      pressureAngleDeg: z.number(),
      helixAngleDeg: z.number(),
      profileShift: z.number(),
      toothThinningMm: z.number(),
      probability: z.number(),
      predicted: values,
      residuals: values,
      /** The span that is easiest to take, and every one that was read: what it should be, and read less that. */
      spans: z.array(z.object({ teeth: z.number(), predictedMm: z.number(), residualMm: z.number().optional() })),
    }),
  ),
  noneOfTheseProbability: z.number(),
  nextMeasurement,
});
export type Identification = z.infer<typeof identifyOutput>;
export type Candidate = Identification['candidates'][number];
