import { t } from '@patient-badger/wording/setup';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { limitsOf, setup, sourceOf, type Setup } from './setup.ts';
import { lengthText } from '../../preferences/lengthText.ts';

/** Play at the rim through the reduction: what of it the mesh makes, and what the joints. */
export const RIM_PLAY: DeskSpec<Setup> = {
  id: 'rim-play',
  prefix: 'setup',
  caution: t.steeringTheMakersManualLocal,
  starts: { ratio: '1' },
  fields: [
    ['play', t.freeMovementAtTheRim],
    ['radius', t.radiusOfTheRimIn, 'mm'],
    ['ratio', t.turnsOfTheWheelFor],
    ['mesh', t.backlashOfTheMeshAloneIn, 'mm'],
    ['pitch', t.pitchRadiusOfTheOutputIn, 'mm'],
    ['most', t.allowedAtTheRimIn, 'mm'],
    { kind: 'text', name: 'source', label: t.whoseLimitThatIs },
  ],
  known: limitsOf,
  dial: 'mesh',
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
        ? ({ text: t.theMeshMakes(lengthText(ofMesh.rimMm, 1), Math.round(ofMesh.sharePercent), lengthText(jointsMm, 1)) } as const)
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
      entry: { written: setup(typed, t.playMeasured(lengthText(play, 1))), testID: 'rim-set' },
    };
  },
};
