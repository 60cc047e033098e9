import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { INSTRUMENTS, measured, measuredLength } from '../../quantity/measured.ts';
import { gearSystems, nextMeasurement } from '../identifySchema.ts';
import { identifySize } from '../identifySize.ts';
import { WORM_WHEEL_SHIFTS } from '../priors.ts';
import { GEAR_SYSTEMS, standardSizes, type StandardSize } from '../standardSizes.ts';
import { MOST_TEETH, countUpTo, lengthMm } from '../../quantity/bounds.ts';

export const wheelIdentifyInput = z.strictObject({
  teeth: z.int().min(4).max(1000),
  measurements: z.strictObject({
    throatDiameterMm: measuredLength.optional(),
    rimPitch: z.strictObject({ teeth: countUpTo(MOST_TEETH), lengthMm: measuredLength }).optional(),
    toothHeightMm: measuredLength.optional(),
    /** Of the hollow that runs round the worm: says nothing of the size, and which worm it was cut for. */
    throatRadiusMm: measuredLength.optional(),
    centreDistanceMm: z.strictObject({ wormPitchDiameterMm: lengthMm, distanceMm: measuredLength }).optional(),
  }),
  wear: z.strictObject({ maxTipLossMm: z.number().min(0).max(5).default(0.3) }).default({ maxTipLossMm: 0.3 }),
  systems: gearSystems,
});
export const wheelIdentifyOutput = z.object({
  candidates: z.array(
    z.object({
      system: z.enum(GEAR_SYSTEMS),
      size: z.number(),
      axialModuleMm: z.number(),
      teeth: z.number(),
      wheelProfileShift: z.number(),
      /** Pitch diameter of the worm that fills the throat; where its radius was read. */
      wormPitchDiameterMm: measured.optional(),
      probability: z.number(),
      predicted: z.record(z.string(), z.number()),
      residuals: z.record(z.string(), z.number()),
    }),
  ),
  noneOfTheseProbability: z.number(),
  nextMeasurement,
});

export type WheelIdentification = z.infer<typeof wheelIdentifyOutput>;
export type WheelCandidate = WheelIdentification['candidates'][number];

const PITCHES = 5;

/**
 * Which standard worm wheel was this: its teeth are counted, and measured in the throat, along the rim or
 * in the housing. The shift of the wheel is a continuous unknown, integrated out. Lengths mm.
 * Sources: ISO/TR 10828, ISO 54.
 * @throws CoreFailure where nothing was measured
 * @example 40 teeth, throat 84.0 ± 0.03 → module 2
 */
export function identifyWheel({
  teeth,
  measurements,
  wear,
  systems,
}: z.output<typeof wheelIdentifyInput>): z.input<typeof wheelIdentifyOutput> {
  const { throatRadiusMm, ...ofSize } = measurements;
  if (Object.values(ofSize).every((each) => each === undefined)) {
    throw fail('nothingGiven', 'measurements', { reason: 'measureThroatFirst' });
  }
  const { throatDiameterMm, rimPitch, toothHeightMm, centreDistanceMm } = ofSize;
  const hypotheses = standardSizes(systems).map((size) => ({ of: size, prior: size.share }));
  const caliper = INSTRUMENTS.digitalCaliper.plusMinus;
  const { ranked, ...rest } = identifySize(
    hypotheses,
    [
      {
        quantity: 'throatDiameterMm',
        minutes: 1,
        how: 'overThroat',
        read: throatDiameterMm,
        predict: (size, shift) => size.moduleMm * (teeth + 2 + 2 * shift),
        maxLossMm: wear.maxTipLossMm,
        plusMinus: caliper * 2,
      },
      {
        quantity: 'rimPitchMm',
        minutes: 2,
        how: 'rollWheel',
        over: PITCHES,
        read: rimPitch && { value: rimPitch.lengthMm.value / rimPitch.teeth, plusMinus: rimPitch.lengthMm.plusMinus / rimPitch.teeth },
        predict: (size, shift) => (Math.PI * size.moduleMm * (teeth + 2 + 2 * shift)) / teeth,
        plusMinus: 0.1,
      },
      {
        quantity: 'toothHeightMm',
        minutes: 1,
        how: 'depthInThroat',
        read: toothHeightMm,
        predict: (size) => 2.2 * size.moduleMm,
        makerSd: (size) => 0.1 * size.moduleMm,
        maxLossMm: wear.maxTipLossMm,
        plusMinus: caliper * 3,
      },
      ...(centreDistanceMm
        ? [
            {
              quantity: 'centreDistanceMm',
              minutes: 3,
              how: 'betweenCentres' as const,
              read: centreDistanceMm.distanceMm,
              predict: (size: StandardSize, shift: number) =>
                (centreDistanceMm.wormPitchDiameterMm + size.moduleMm * (teeth + 2 * shift)) / 2,
              plusMinus: caliper * 3,
            },
          ]
        : []),
    ],
    WORM_WHEEL_SHIFTS,
  );
  return {
    ...rest,
    candidates: ranked.map(({ of: size, shift, shiftSd, ...each }) => ({
      system: size.system,
      size: size.size,
      axialModuleMm: size.moduleMm,
      teeth,
      wheelProfileShift: shift,
      // The throat lies a module within the worm's pitch circle, less the wheel's own shift (ISO/TR 10828: a − d_a2 / 2).
      ...(throatRadiusMm && {
        wormPitchDiameterMm: {
          value: 2 * (throatRadiusMm.value + size.moduleMm * (1 + shift)),
          plusMinus: 2 * Math.hypot(throatRadiusMm.plusMinus, size.moduleMm * shiftSd),
        },
      }),
      ...each,
    })),
  };
}
