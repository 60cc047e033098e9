import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { measuredAngle, measuredLength } from '../../quantity/measured.ts';
import { gearSystems, NONE_OF_THESE_PRIOR, nextMeasurement } from '../identifySchema.ts';
import { GEAR_SYSTEMS, standardSizes } from '../standardSizes.ts';
import { adviseWorm } from './advise.ts';
import { rankedByEvidence } from '../rankedByEvidence.ts';
import { evidence, noneOfTheseEvidence } from './evidence.ts';
import { predictWorm, residualsOf } from './predict.ts';
import { WORM_STARTS } from '../priors.ts';
import type { WormReadings } from './hypothesis.ts';
import { MOST_TEETH, countUpTo } from '../../quantity/bounds.ts';

const diametersAndPitch = z.strictObject({
  tipDiameterMm: measuredLength.optional(),
  rootDiameterMm: measuredLength.optional(),
  axialPitch: z.strictObject({ threads: countUpTo(MOST_TEETH), lengthMm: measuredLength }).optional(),
  leadAngleDeg: measuredAngle.optional(),
  centreDistanceMm: z.strictObject({ wheelTeeth: countUpTo(MOST_TEETH), distanceMm: measuredLength }).optional(),
});

export const wormIdentifyInput = z.strictObject({
  measurements: diametersAndPitch,
  starts: z.int().positive().max(12).optional(),
  wear: z.strictObject({ maxTipLossMm: z.number().min(0).max(5).default(0.2) }).default({ maxTipLossMm: 0.2 }),
  systems: gearSystems,
});
export type WormIdentifyInput = z.infer<typeof wormIdentifyInput>;

const quantities = z.object({
  tipDiameterMm: z.number(),
  rootDiameterMm: z.number(),
  axialPitchMm: z.number(),
  leadMm: z.number(),
  leadAngleDeg: z.number(),
  centreDistanceMm: z.number().optional(),
});

export const wormIdentifyOutput = z.object({
  candidates: z.array(
    z.object({
      system: z.enum(GEAR_SYSTEMS),
      size: z.number(),
      axialModuleMm: z.number(),
      starts: z.number(),
      diameterQuotient: z.number(),
      wormPitchDiameterMm: z.number(),
      tipLossMm: z.number(),
      probability: z.number(),
      predicted: quantities,
      residuals: z.record(z.string(), z.number()),
    }),
  ),
  noneOfTheseProbability: z.number(),
  nextMeasurement,
});
export type WormIdentification = z.infer<typeof wormIdentifyOutput>;
export type WormCandidate = WormIdentification['candidates'][number];

/** Candidates less likely than this are dropped, and the rest shared out again. */
const NEGLIGIBLE = 1e-9;

/**
 * Which standard worm is this? Ranks axial modules and diametral pitches, each with its number of
 * starts, from any subset of readings. The pitch diameter is a continuous unknown (small worms keep
 * to no series of q), tip wear only ever takes metal off. Lengths mm, angles degrees, ± one standard
 * deviation. Bayes' rule with the pitch diameter integrated out; "none of these" is kept.
 *
 * Sources: ISO 54, DIN 780-2, AGMA (sizes); ISO/TR 10828 (worm geometry).
 * @throws CoreFailure where nothing was measured, or the root is thicker than the tips.
 * @example tip 20.00 ± 0.03, 3 pitches 9.42 ± 0.03 → module 1, q 18, before 24 DP
 */
export function identifyWorm(input: WormIdentifyInput): WormIdentification {
  const readings = check(input);
  const starts = input.starts === undefined ? WORM_STARTS : { [input.starts]: 1 };
  const found = standardSizes(input.systems).flatMap((size) =>
    Object.entries(starts).flatMap(([n, share]) => {
      const hypothesis = { size, starts: Number(n) };
      const each = evidence(hypothesis, readings, input.wear.maxTipLossMm);
      return each ? [{ hypothesis, ...each, log: each.log + Math.log(share * size.share * (1 - NONE_OF_THESE_PRIOR)) }] : [];
    }),
  );
  const none = Math.log(NONE_OF_THESE_PRIOR) + noneOfTheseEvidence(readings);
  const { ranked, noneOfTheseProbability } = rankedByEvidence(found, none, NEGLIGIBLE);

  return {
    candidates: ranked.map(({ hypothesis, pitchDiameterMm, probability }) => {
      const m = hypothesis.size.moduleMm;
      const predicted = predictWorm(m, hypothesis.starts, pitchDiameterMm, readings.centreDistanceMm?.wheelTeeth);
      const lost = readings.tipDiameterMm ? predicted.tipDiameterMm - readings.tipDiameterMm.value : 0;
      return {
        system: hypothesis.size.system,
        size: hypothesis.size.size,
        axialModuleMm: m,
        starts: hypothesis.starts,
        diameterQuotient: pitchDiameterMm / m,
        wormPitchDiameterMm: pitchDiameterMm,
        tipLossMm: Math.min(Math.max(lost, 0), input.wear.maxTipLossMm),
        probability,
        predicted,
        residuals: residualsOf(readings, predicted),
      };
    }),
    noneOfTheseProbability,
    nextMeasurement: adviseWorm(ranked, noneOfTheseProbability, readings, input.starts),
  };
}

function check({ measurements }: WormIdentifyInput): WormReadings {
  const { tipDiameterMm: tip, rootDiameterMm: root, leadAngleDeg: lead } = measurements;
  if (Object.values(measurements).every((each) => each === undefined)) {
    throw fail('nothingGiven', 'measurements', { reason: 'measureWormFirst' });
  }
  if (tip && root && root.value >= tip.value) {
    throw fail('contradiction', 'measurements.rootDiameterMm', { reason: 'rootAsThickAsTips' });
  }
  if (lead && (lead.value <= 0 || lead.value >= 90)) {
    throw fail('outOfRange', 'measurements.leadAngleDeg.value', { minimum: 0, maximum: 90, given: lead.value });
  }
  return measurements;
}
