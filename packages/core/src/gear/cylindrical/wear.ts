import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { combine, measuredLength, type Measurement } from '../../quantity/measured.ts';
import { checked } from './dimensions.ts';
import { overPins, thinningFromPins } from './overPins.ts';
import { cutOf, POINTED_TIP, profileOf, thicknessAt, type Cut, type Profile } from './profile.ts';
import { cylindricalInput, thicknessReadings } from './schema.ts';
import { thinningFromSpan } from './span.ts';
import { moduleFrom } from '../moduleFrom.ts';
import { againstLimit, limitSaid, thinningLimits, thumbLimit } from '../thinningLimit.ts';
import { MOST_TEETH } from '../../quantity/bounds.ts';

export const wearInput = z.strictObject({
  gear: cylindricalInput,
  measured: z.strictObject({
    ...thicknessReadings,
    tipDiameterMm: measuredLength.optional(),
  }),
  missingTeeth: z.int().min(0).max(MOST_TEETH).default(0),
  limits: thinningLimits,
});
export type WearInput = z.infer<typeof wearInput>;

/** Why a gear is judged so; worded by the wording package from the figures beside it. */
export const WEAR_REASONS = ['teethMissing', 'thinned', 'wornToPoints', 'littleTipLeft', 'notSharpEnough'] as const;
export type WearReason = (typeof WEAR_REASONS)[number];

export const wearOutput = z.object({
  thinningMm: z.object({ value: z.number(), plusMinus: z.number() }),
  tipLossMm: z.number().optional(),
  tipThicknessLeftMm: z.number(),
  limitMm: z.number(),
  /** Whose limit it is, where that was said. */
  limitSource: z.string().optional(),
  /** Somebody gave a limit; without one it is the rule of thumb. */
  limitGiven: z.boolean(),
  missingTeeth: z.int(),
  verdict: z.enum(['good', 'watch', 'replace']),
  reasons: z.array(z.enum(WEAR_REASONS)),
});
export type Wear = z.infer<typeof wearOutput>;

/** No thinning is known finer than this, however sharp the readings. */
const FINEST_THINNING_MM = 1e-4;

/**
 * How worn a cylindrical gear is: thinning against the gear as drawn, from spans or over pins (several
 * readings weighed by their ±), what is left of the tip, and good, watch or replace with the reasons.
 * The limit is the maker's where one is given, and says whose it is. Lengths mm; the thinning is normal
 * at the pitch circle, the tip loss on the diameter.
 *
 * Sources: ISO 21771:2007 / DIN 3960 (span, balls); the limit is the maker's, or a marked rule of thumb.
 * @throws CoreFailure where neither span nor pins were measured, or a reading fits no gear of the kind
 * @example 25 teeth of module 1, span over 3 read 7.60 → thinned 0.139 mm, replace
 */
export function gearWear(input: WearInput): Wear {
  const normalModuleMm = moduleFrom(input.gear, 'gear');
  const cut = cutOf({ ...input.gear, normalModuleMm });
  const profile = checked(cut, profileOf(cut), {}, 'gear');
  checkCounts(input);
  const thinning = combine(readings(input, cut, profile), FINEST_THINNING_MM);
  const worn = { ...cut, thinningMm: cut.thinningMm + Math.max(0, thinning.value) };
  const tip = tipOf(input, cut, profile);
  const tipThicknessLeftMm = thicknessAt(worn, profileOf(worn), Math.max(tip, profile.baseDiameterMm));
  const limitMm = input.limits.thinningMm ?? thumbLimit(normalModuleMm);
  const judged = judge({ thinning, limitMm, tipThicknessLeftMm, module: normalModuleMm, missing: input.missingTeeth });
  return {
    thinningMm: thinning,
    ...(input.measured.tipDiameterMm && { tipLossMm: profile.tipDiameterMm - tip }),
    tipThicknessLeftMm,
    limitMm,
    ...limitSaid(input.limits),
    missingTeeth: input.missingTeeth,
    ...judged,
  };
}

function checkCounts({ gear, missingTeeth }: WearInput): void {
  if (missingTeeth > gear.teeth) throw fail('outOfRange', 'missingTeeth', { minimum: 0, maximum: gear.teeth, given: missingTeeth });
}

/** A gear may be a little larger than drawn, by its tolerance and the hand that measured it; beyond that it is another reading or another gear. */
const largest = (module: number, plusMinus: number) => Math.max(0.05, 0.15 * module) + 4 * plusMinus;

function tipOf({ measured }: WearInput, cut: Cut, profile: Profile): number {
  const read = measured.tipDiameterMm;
  if (!read) return profile.tipDiameterMm;
  const most = profile.tipDiameterMm + largest(cut.normalModuleMm, read.plusMinus);
  if (read.value > most || read.value < profile.rootDiameterMm) {
    throw fail('impossibleGeometry', 'measured.tipDiameterMm.value', {
      reason: 'notTheseTips',
      drawnMm: profile.tipDiameterMm,
      rootMm: profile.rootDiameterMm,
      given: read.value,
    });
  }
  return read.value;
}

/** Teeth grow thinner, never thicker, and cannot lose more than they have. */
function checkThinning({ value, plusMinus }: Measurement, cut: Cut, profile: Profile, path: string): void {
  if (value < -largest(cut.normalModuleMm, plusMinus) || value > profile.thicknessMm + 4 * plusMinus) {
    throw fail('impossibleGeometry', path, { reason: 'notThisThickness', thinnerMm: value, thicknessMm: profile.thicknessMm });
  }
}

/** Thinning against the drawn gear, by each reading. */
function readings({ measured }: WearInput, cut: Cut, profile: Profile): readonly Measurement[] {
  const drawn = cut.thinningMm;
  const fromSpans = measured.spans.map(({ teeth, spanMm }, i) => {
    if (teeth >= cut.teeth) throw fail('outOfRange', `measured.spans.${i}.teeth`, { minimum: 1, maximum: cut.teeth - 1, given: teeth });
    const found = {
      value: thinningFromSpan(teeth, spanMm.value, cut, profile) - drawn,
      plusMinus: spanMm.plusMinus / Math.cos(cut.pressureAngle),
    };
    checkThinning(found, cut, profile, `measured.spans.${i}.spanMm`);
    return found;
  });
  const fromPins = measured.overPins.map(({ pinDiameterMm, overPinsMm }, i) => {
    const value = thinningFromPins(pinDiameterMm, overPinsMm.value, cut, profile);
    const slope = pinSlope(pinDiameterMm, cut, profile);
    if (value === null || slope === null) {
      throw fail('impossibleGeometry', `measured.overPins.${i}.overPinsMm`, {
        reason: 'noGearOverPins',
      });
    }
    const found = { value: value - drawn, plusMinus: overPinsMm.plusMinus * slope };
    checkThinning(found, cut, profile, `measured.overPins.${i}.overPinsMm`);
    return found;
  });
  const all = [...fromSpans, ...fromPins];
  if (all.length === 0)
    throw fail('nothingGiven', 'measured', {
      reason: 'measureSpanFirst',
    });
  return all;
}

/** How much thinning one millimetre over the pins means. */
function pinSlope(pinMm: number, cut: Cut, profile: Profile): number | null {
  const step = 1e-4 * cut.normalModuleMm;
  const [now, thinner] = [overPins(pinMm, cut, profile), overPins(pinMm, { ...cut, thinningMm: cut.thinningMm + step }, profile)];
  return now === null || thinner === null ? null : step / (now - thinner);
}

interface WearJudgement {
  readonly thinning: Measurement;
  readonly limitMm: number;
  readonly tipThicknessLeftMm: number;
  readonly module: number;
  readonly missing: number;
}

function judge({ thinning, limitMm, tipThicknessLeftMm, module, missing }: WearJudgement): Pick<Wear, 'verdict' | 'reasons'> {
  const { isOver, isNear, isUnsure } = againstLimit(thinning, limitMm);
  const replace: WearReason[] = [
    ...(missing > 0 ? (['teethMissing'] as const) : []),
    ...(isOver ? (['thinned'] as const) : []),
    ...(tipThicknessLeftMm <= 0 ? (['wornToPoints'] as const) : []),
  ];
  if (replace.length > 0) return { verdict: 'replace', reasons: replace };
  const watch: WearReason[] = [
    ...(isNear ? (['thinned'] as const) : []),
    ...(tipThicknessLeftMm < POINTED_TIP * module ? (['littleTipLeft'] as const) : []),
    ...(isUnsure ? (['notSharpEnough'] as const) : []),
  ];
  return watch.length > 0 ? { verdict: 'watch', reasons: watch } : { verdict: 'good', reasons: ['thinned'] };
}
