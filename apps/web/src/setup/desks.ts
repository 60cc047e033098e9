import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { isWithin } from '@patient-badger/core';
import { runOperation } from '../data/runOperation.ts';
import type { DeskInput, DeskSpec } from './FigureDesk.tsx';
import { readShims } from './readShims.ts';

const isNumber = (...figures: readonly (number | undefined)[]): boolean => figures.every((figure) => Number.isFinite(figure));
/** A limit that somebody typed without saying whose it is. */
const sourceOf = ({ source }: DeskInput): string => source || 'typed';

const stackText = (stack: readonly { readonly thicknessMm: number; readonly count: number }[]) =>
  stack.length === 0 ? t.noShim : stack.map(({ thicknessMm, count }) => `${count} × ${thicknessMm} mm`).join(' + ');

/** End float brought into its range by the shims at hand, fewest first. */
export const SHIMS: DeskSpec = {
  id: 'shims',
  fields: [
    ['float', t.endFloatNowMm],
    ['least', t.wantedFromMm],
    ['most', t.wantedToMm],
  ],
  words: {
    label: t.shimsAtHandMmAnd,
    example: '0.1x4, 0.2x2, 0.5',
    testID: 'setup-shims',
    problem: (words) => (words.trim() !== '' && readShims(words) === null ? t.writeThemLike01x4 : undefined),
  },
  source: t.whoseFigureTheRangeIs,
  answer: ({ figures: { float = NaN, least = NaN, most = NaN }, words }) => {
    const shims = readShims(words);
    if (!isNumber(float, least, most) || shims === null || shims.length === 0) return null;
    const worked = runOperation('setup.shims', {
      floatMm: { value: float, plusMinus: 0.02 },
      wanted: { minMm: least, maxMm: most },
      shims,
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { stack, leftMm } = worked.output;
    if (!stack) return { problem: t.noStackOfTheseBrings };
    return {
      lines: [{ text: t.mmLeft(stackText(stack), leftMm.toFixed(3)), variant: 'strong', testID: 'shim-stack' }],
      entry: { label: t.theyAreIn, figures: t.mmOfEndFloat(stackText(stack), leftMm.toFixed(2)), isPrimary: true, testID: 'shims-set' },
    };
  },
};

/** A gap by the feeler: a press-on worm from its motor, a shaft from its screw. */
export const STAND_OFF: DeskSpec = {
  id: 'stand-off',
  intro: t.theThickestFeelerThatStill,
  fields: [
    ['feeler', t.feelerGoesMm],
    ['least', t.wantedFromMm],
    ['most', t.wantedToMm],
  ],
  source: shared.whoseFigureThatIs,
  answer: ({ figures: { feeler = NaN, least: min = NaN, most: max = NaN } }) => {
    if (max < min) return { problem: t.theLeastWantedIsMore };
    if (!(feeler >= 0 && min >= 0 && max >= min)) return null;
    const within = isWithin({ min, max }, feeler);
    const isNear = feeler < min;
    const off = t.mmToo((isNear ? min - feeler : feeler - max).toFixed(2), isNear ? t.nearDrawItOff : t.farPressItOn);
    return {
      lines: [{ text: within ? t.within : off, variant: within ? 'strong' : 'danger', testID: 'stand-off-found' }],
      entry: { figures: t.mmByTheFeelerTo(feeler, min, max), isPrimary: within, testID: 'stand-off-set' },
    };
  },
};

const BACKLASH_VERDICTS = {
  tight: t.tooTightItRunsHot,
  within: t.withinTheLimits,
  loose: t.tooLoose,
  noLimit: t.noLimitGivenLookIt,
} as const;

/** Backlash read at any radius, brought to the pitch circle and held against its limits. */
export const BACKLASH: DeskSpec = {
  id: 'backlash',
  intro: t.holdTheOtherEndThe,
  fields: [
    ['reading', t.itShowsMm],
    ['at', t.readAtARadiusOf],
    ['pitch', t.pitchRadiusMm],
    ['helix', t.helix, '0'],
    ['least', t.allowedFromMm],
    ['most', t.allowedToMm],
  ],
  dial: 'reading',
  source: shared.whoseFigureThatIs,
  answer: (typed) => {
    const { reading = NaN, at = NaN, pitch = NaN, helix = NaN, least = NaN, most = NaN } = typed.figures;
    if (!(reading >= 0 && at > 0 && pitch > 0)) return null;
    const worked = runOperation('setup.backlash', {
      readingMm: reading,
      readAtRadiusMm: at,
      pitchRadiusMm: pitch,
      helixAngleDeg: helix || 0,
      ...(isNumber(least, most) && { limits: { minMm: least, maxMm: most, source: sourceOf(typed) } }),
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { circumferentialMm, normalMm, degrees, verdict } = worked.output;
    return {
      lines: [
        {
          text: t.mmAtThePitchCircle(circumferentialMm.toFixed(3), normalMm.toFixed(3), degrees.toFixed(2)),
          variant: 'strong',
          testID: 'backlash-found',
        },
        { text: BACKLASH_VERDICTS[verdict], variant: verdict === 'within' ? 'body' : 'danger' },
      ],
      entry: { figures: t.backlashMmAtThePitch(circumferentialMm.toFixed(3)), testID: 'backlash-set' },
    };
  },
};

/** Play at the rim through the reduction: what of it the mesh makes, and what the joints. */
export const RIM_PLAY: DeskSpec = {
  id: 'rim-play',
  caution: t.steeringTheMakersManualLocal,
  fields: [
    ['play', t.freeMovementAtTheRim],
    ['radius', t.radiusOfTheRimMm],
    ['ratio', t.turnsOfTheWheelFor, '1'],
    ['mesh', t.backlashOfTheMeshAlone],
    ['pitch', t.pitchRadiusOfTheOutput],
    ['most', t.allowedAtTheRimMm],
  ],
  dial: 'mesh',
  source: t.whoseLimitThatIs,
  answer: (typed) => {
    const { play = NaN, radius = NaN, ratio = NaN, mesh = NaN, pitch = NaN, most = NaN } = typed.figures;
    if (!(play >= 0 && radius > 0 && ratio > 0)) return null;
    const worked = runOperation('setup.rimPlay', {
      playMm: play,
      rimRadiusMm: radius,
      ratio,
      ...(mesh >= 0 && pitch > 0 && { mesh: { backlashMm: mesh, pitchRadiusMm: pitch } }),
      ...(most > 0 && { limit: { maxMm: most, source: sourceOf(typed) } }),
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { wheelDeg, outputDeg, mesh: ofMesh, jointsMm, verdict } = worked.output;
    const shares =
      ofMesh && jointsMm !== null
        ? ({ text: t.theMeshMakesMmOf(ofMesh.rimMm.toFixed(1), Math.round(ofMesh.sharePercent), jointsMm.toFixed(1)) } as const)
        : ({ text: t.withTheBacklashOfThe, variant: 'soft' } as const);
    const isWithinLimit = verdict === 'within';
    return {
      lines: [
        { text: t.atTheWheelAtThe(wheelDeg.toFixed(1), outputDeg.toFixed(2)), variant: 'strong', testID: 'rim-found' },
        shares,
        ...(verdict === 'noLimit'
          ? []
          : [{ text: isWithinLimit ? t.withinTheLimit : t.moreThanTheLimit, variant: isWithinLimit ? 'body' : 'danger' } as const]),
      ],
      entry: { figures: t.mmOfPlayAtThe(play), testID: 'rim-set' },
    };
  },
};

/** Two sides of a slide: how far out of step, which is behind, and how many teeth to jump or turns at the crank. */
export const TIMING: DeskSpec = {
  id: 'timing',
  caution: t.neverUnderAnUnsupportedRoom,
  fields: [
    ['left', t.outOnTheLeftMm],
    ['right', t.outOnTheRightMm],
    ['tolerance', t.allowedApartMm, '3'],
    ['teeth', shared.teethOfThePinion],
    ['module', shared.moduleMm],
    ['crank', t.crankTurnsForOneOf, '1'],
  ],
  answer: ({ figures: { left = NaN, right = NaN, tolerance = NaN, teeth = NaN, module = NaN, crank = NaN } }) => {
    if (!(left >= 0 && right >= 0 && tolerance >= 0 && teeth > 0 && module > 0)) return null;
    const worked = runOperation('setup.timing', {
      leftMm: left,
      rightMm: right,
      toleranceMm: tolerance,
      teeth,
      moduleMm: module,
      crankTurnsPerPinionTurn: crank > 0 ? crank : 1,
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { within, differenceMm, behind, teeth: toJump, crankTurns, leftOverMm } = worked.output;
    const off = differenceMm.toFixed(1);
    if (within)
      return {
        lines: [{ text: t.inStepMmApart(off), variant: 'strong', testID: 'timing-found' }],
        entry: { label: t.theyAreInStep, figures: t.twoSidesInStepMm(off), testID: 'timing-set' },
      };
    const side = behind ?? '';
    return {
      lines: [
        {
          text: t.theSideIsMmBehind(side, off, toJump, toJump === 1 ? t.tooth : t.teeth, crankTurns.toFixed(2)),
          variant: 'strong',
          testID: 'timing-found',
        },
        { text: t.mmAreLeftOverAfter(Math.abs(leftOverMm).toFixed(1)) },
      ],
      entry: { figures: t.theSideMmBehind(side, off), testID: 'timing-set' },
    };
  },
};
