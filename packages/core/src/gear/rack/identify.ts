import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { INSTRUMENTS, measuredAngle, measuredLength } from '../../quantity/measured.ts';
import { gearSystems, nextMeasurement } from '../identifySchema.ts';
import { identifySize } from '../identifySize.ts';
import { PRESSURE_ANGLES } from '../priors.ts';
import { GEAR_SYSTEMS, standardSizes } from '../standardSizes.ts';
import { MOST_TEETH, countUpTo, positiveUpTo } from '../../quantity/bounds.ts';
export const rackIdentifyInput = z.strictObject({
  measurements: z.strictObject({
    pitch: z.strictObject({ teeth: countUpTo(MOST_TEETH), lengthMm: measuredLength }).optional(),
    toothHeightMm: measuredLength.optional(),
    pressureAngleDeg: measuredAngle.optional(),
    pinionTravelMm: z
      .strictObject({ pinionTeeth: z.int().min(4).max(MOST_TEETH), turns: positiveUpTo(100_000), travelMm: measuredLength })
      .optional(),
  }),
  systems: gearSystems,
});
export const rackIdentifyOutput = z.object({
  candidates: z.array(
    z.object({
      system: z.enum(GEAR_SYSTEMS),
      size: z.number(),
      normalModuleMm: z.number(),
      pressureAngleDeg: z.number(),
      probability: z.number(),
      predicted: z.record(z.string(), z.number()),
      residuals: z.record(z.string(), z.number()),
    }),
  ),
  noneOfTheseProbability: z.number(),
  nextMeasurement,
});

export type RackCandidate = z.infer<typeof rackIdentifyOutput>['candidates'][number];

/** Pitches measured over, where more were not asked for. */
const PITCHES = 8;
/** Makers leave the foot a little deeper or shallower: modules. */
const DEPTH_SD = 0.1;

/**
 * Which standard rack was this, from its pitch over several teeth, the height of a tooth, the angle of a
 * flank and what a turn of its pinion moved. Lengths mm, angles degrees.
 * Sources: ISO 53, ISO 54; 14.5° is a common angle of old inch racks.
 * @throws CoreFailure where nothing was measured
 */
export function identifyRack({ measurements, systems }: z.output<typeof rackIdentifyInput>): z.input<typeof rackIdentifyOutput> {
  if (Object.values(measurements).every((each) => each === undefined)) {
    throw fail('nothingGiven', 'measurements', { reason: 'measureRackFirst' });
  }
  const { pitch, toothHeightMm, pressureAngleDeg, pinionTravelMm } = measurements;
  const hypotheses = standardSizes(systems).flatMap((size) =>
    PRESSURE_ANGLES[size.system].map(([angle, share]) => ({ of: { size, angle }, prior: share * size.share })),
  );
  const over = pitch?.teeth ?? PITCHES;
  const { ranked, ...rest } = identifySize(hypotheses, [
    {
      quantity: 'pitchMm',
      minutes: 1,
      how: 'alongRack',
      over: over,
      read: pitch && { value: pitch.lengthMm.value / over, plusMinus: pitch.lengthMm.plusMinus / over },
      predict: ({ size }) => Math.PI * size.moduleMm,
      plusMinus: INSTRUMENTS.digitalCaliper.plusMinus / PITCHES,
    },
    {
      quantity: 'toothHeightMm',
      minutes: 1,
      how: 'depthFromTip',
      read: toothHeightMm,
      predict: ({ size }) => 2.25 * size.moduleMm,
      makerSd: ({ size }) => DEPTH_SD * size.moduleMm,
      maxLossMm: 0.3,
      plusMinus: INSTRUMENTS.digitalCaliper.plusMinus * 2,
    },
    {
      quantity: 'pressureAngleDeg',
      minutes: 2,
      how: 'flankAngle',
      read: pressureAngleDeg,
      predict: ({ angle }) => angle,
      plusMinus: INSTRUMENTS.protractor.plusMinus * 2,
      logRange: 2,
    },
    {
      quantity: 'pinionTravelMm',
      minutes: 3,
      how: 'rackTravel',
      read: pinionTravelMm && {
        value: pinionTravelMm.travelMm.value / pinionTravelMm.turns / pinionTravelMm.pinionTeeth,
        plusMinus: pinionTravelMm.travelMm.plusMinus / pinionTravelMm.turns / pinionTravelMm.pinionTeeth,
      },
      predict: ({ size }) => Math.PI * size.moduleMm,
      plusMinus: 0.05,
    },
  ]);
  return {
    ...rest,
    candidates: ranked.map(({ of: { size, angle }, ...each }) => ({
      system: size.system,
      size: size.size,
      normalModuleMm: size.moduleMm,
      pressureAngleDeg: angle,
      ...each,
    })),
  };
}
