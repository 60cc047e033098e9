import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { degrees } from '../../quantity/angle.ts';
import { INSTRUMENTS, measuredAngle, measuredLength } from '../../quantity/measured.ts';
import { LARGEST_MM, plusMinus } from '../../quantity/bounds.ts';
import { gearSystems, nextMeasurement } from '../identifySchema.ts';
import { identifySize, type Readable } from '../identifySize.ts';
import { BEVEL_SHIFTS } from '../priors.ts';
import { GEAR_SYSTEMS, standardSizes, type StandardSize } from '../standardSizes.ts';
import { coneAngles } from './dimensions.ts';

export const bevelIdentifyInput = z.strictObject({
  pinionTeeth: z.int().min(4).max(500),
  wheelTeeth: z.int().min(4).max(500),
  shaftAngleDeg: z.number().gt(0).lt(180).default(90),
  /** How far apart the shafts pass each other: those of bevels meet, those of hypoid gears do not. */
  shaftOffsetMm: z.strictObject({ value: z.number().min(0).max(LARGEST_MM), plusMinus }).optional(),
  measurements: z.strictObject({
    pinionTipDiameterMm: measuredLength.optional(),
    wheelTipDiameterMm: measuredLength.optional(),
    outerConeDistanceMm: measuredLength.optional(),
    toothHeightMm: measuredLength.optional(),
    pinionConeAngleDeg: measuredAngle.optional(),
  }),
  wear: z.strictObject({ maxTipLossMm: z.number().min(0).max(5).default(0.3) }).default({ maxTipLossMm: 0.3 }),
  systems: gearSystems,
});
export type BevelIdentifyInput = z.output<typeof bevelIdentifyInput>;

export const bevelIdentifyOutput = z.object({
  candidates: z.array(
    z.object({
      system: z.enum(GEAR_SYSTEMS),
      size: z.number(),
      outerModuleMm: z.number(),
      pinionTeeth: z.number(),
      wheelTeeth: z.number(),
      /** Addendum that the pinion has more and the wheel less, modules. */
      profileShift: z.number(),
      probability: z.number(),
      predicted: z.record(z.string(), z.number()),
      residuals: z.record(z.string(), z.number()),
    }),
  ),
  noneOfTheseProbability: z.number(),
  nextMeasurement,
});
export type BevelIdentification = z.infer<typeof bevelIdentifyOutput>;
export type BevelCandidate = BevelIdentification['candidates'][number];

const DEPTH_SD = 0.1;
/** Shafts meet within so many standard deviations of a reading, none of which is finer than a rule held by eye, mm. */
const [MOST_OFFSET_SIGMAS, LEAST_OFFSET_MM] = [3, 0.3];

/**
 * Which standard straight bevel pair was this, from what can be read at its large end. Teeth of both are
 * counted; the shift that lengthens the pinion's teeth and shortens the wheel's is a continuous unknown,
 * integrated out; tips only ever wear off. Lengths mm, angles degrees.
 * Sources: ISO 23509 / DIN 3971 (geometry), ISO 678 (modules).
 * @throws CoreFailure where nothing was measured, the shafts leave no cone, or pass each other (ISO 23509: hypoid)
 * @example 12 and 24 teeth, wheel 50.0 ± 0.05 over the tips → module 2
 */
export function identifyBevel(input: BevelIdentifyInput): z.input<typeof bevelIdentifyOutput> {
  const { measurements, pinionTeeth, wheelTeeth } = input;
  if (Object.values(measurements).every((each) => each === undefined)) {
    throw fail('nothingGiven', 'measurements', { reason: 'measureLargeEndFirst' });
  }
  const { shaftOffsetMm } = input;
  if (shaftOffsetMm && shaftOffsetMm.value > MOST_OFFSET_SIGMAS * Math.max(shaftOffsetMm.plusMinus, LEAST_OFFSET_MM)) {
    throw fail('contradiction', 'shaftOffsetMm', { reason: 'shaftsPassEachOther', given: shaftOffsetMm.value });
  }
  const cones = coneAngles(pinionTeeth, wheelTeeth, input.shaftAngleDeg);
  const hypotheses = standardSizes(input.systems).map((size) => ({ of: size, prior: size.share }));
  const { ranked, ...rest } = identifySize(hypotheses, readables(input, cones), BEVEL_SHIFTS);
  return {
    ...rest,
    candidates: ranked.map(({ of: size, shift, shiftSd: _, ...each }) => ({
      system: size.system,
      size: size.size,
      outerModuleMm: size.moduleMm,
      pinionTeeth,
      wheelTeeth,
      profileShift: shift,
      ...each,
    })),
  };
}

function readables(
  { measurements, pinionTeeth, wheelTeeth, wear }: BevelIdentifyInput,
  [pinion, wheel]: readonly [number, number],
): readonly Readable<StandardSize>[] {
  const caliper = INSTRUMENTS.digitalCaliper.plusMinus;
  const tip = (teeth: number, cone: number, sign: 1 | -1) => (size: StandardSize, shift: number) =>
    size.moduleMm * (teeth + 2 * (1 + sign * shift) * Math.cos(cone));
  return [
    {
      quantity: 'pinionTipDiameterMm',
      minutes: 0.5,
      how: 'overPinionTips',
      read: measurements.pinionTipDiameterMm,
      predict: tip(pinionTeeth, pinion, 1),
      maxLossMm: wear.maxTipLossMm,
      plusMinus: caliper * 2,
    },
    {
      quantity: 'wheelTipDiameterMm',
      minutes: 0.5,
      how: 'overWheelTips',
      read: measurements.wheelTipDiameterMm,
      predict: tip(wheelTeeth, wheel, -1),
      maxLossMm: wear.maxTipLossMm,
      plusMinus: caliper * 2,
    },
    {
      quantity: 'outerConeDistanceMm',
      minutes: 2,
      how: 'alongCone',
      read: measurements.outerConeDistanceMm,
      predict: (size) => (size.moduleMm * pinionTeeth) / (2 * Math.sin(pinion)),
      plusMinus: 0.5,
    },
    {
      quantity: 'toothHeightMm',
      minutes: 1,
      how: 'depthAtLargeEnd',
      read: measurements.toothHeightMm,
      predict: (size) => 2.25 * size.moduleMm,
      makerSd: (size) => DEPTH_SD * size.moduleMm,
      maxLossMm: wear.maxTipLossMm,
      plusMinus: caliper * 2,
    },
    {
      quantity: 'pinionConeAngleDeg',
      minutes: 3,
      how: 'coneAngle',
      read: measurements.pinionConeAngleDeg,
      predict: () => degrees(pinion),
      plusMinus: 1,
      logRange: 2,
    },
  ];
}
