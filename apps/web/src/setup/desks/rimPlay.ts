import { t } from '@patient-badger/wording/setup';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { limitsOf, setup, sourceOf, type Setup } from './setup.ts';

/** Play at the rim through the reduction: what of it the mesh makes, and what the joints. */
export const RIM_PLAY: DeskSpec<Setup> = {
  id: 'rim-play',
  prefix: 'setup',
  caution: t.steeringTheMakersManualLocal,
  fields: [
    ['play', t.freeMovementAtTheRim],
    ['radius', t.radiusOfTheRimMm, 'mm'],
    ['ratio', t.turnsOfTheWheelFor, undefined, '1'],
    ['mesh', t.backlashOfTheMeshAlone, 'mm'],
    ['pitch', t.pitchRadiusOfTheOutput, 'mm'],
    ['most', t.allowedAtTheRimMm, 'mm'],
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
      entry: { written: setup(typed, t.mmOfPlayAtThe(play)), testID: 'rim-set' },
    };
  },
};
