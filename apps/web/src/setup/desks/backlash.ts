import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { isNumber, limitsOf, setup, sourceOf, type Setup } from './setup.ts';
import { lengthText } from '../../preferences/lengthText.ts';

const BACKLASH_VERDICTS = {
  tight: t.tooTightItRunsHot,
  within: t.withinTheLimits,
  loose: t.tooLoose,
  noLimit: t.noLimitGivenLookIt,
} as const;

/** Backlash read at any radius, brought to the pitch circle and held against its limits. */
export const BACKLASH: DeskSpec<Setup> = {
  id: 'backlash',
  prefix: 'setup',
  intro: t.holdTheOtherEndThe,
  starts: { helix: '0' },
  fields: [
    ['reading', t.itShowsIn, 'mm'],
    ['at', t.readAtARadiusIn, 'mm'],
    ['pitch', t.pitchRadiusIn, 'mm'],
    ['helix', t.helix],
    ['least', t.allowedFromIn, 'mm'],
    ['most', t.allowedToIn, 'mm'],
    { kind: 'text', name: 'source', label: shared.whoseFigureThatIs },
  ],
  known: limitsOf,
  dial: 'reading',
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
          text: t.atThePitchCircleAndNormal(lengthText(circumferentialMm, 3), lengthText(normalMm, 3), degrees.toFixed(2)),
          variant: 'strong',
          testID: 'backlash-found',
        },
        { text: BACKLASH_VERDICTS[verdict], variant: verdict === 'within' ? 'body' : 'danger' },
      ],
      entry: { written: setup(typed, t.backlashAtThePitchCircle(lengthText(circumferentialMm, 3))), testID: 'backlash-set' },
    };
  },
};
