import { t } from '@patient-badger/wording/gear';
import { formatLength, type LengthUnit } from '@patient-badger/core';
import { worm, type WormCandidate } from '@patient-badger/core/gear';
import { expectations, sizeText, WORN_MM, type CandidateLine } from '../candidateLine.ts';

const NAMES = { tipDiameterMm: t.overTheTipsUnworn, rootDiameterMm: t.root, axialPitchMm: t.onePitch } as const;

export function wormLine(candidate: WormCandidate, unit: LengthUnit): CandidateLine {
  const { starts, predicted, residuals, tipLossMm } = candidate;
  const worn = tipLossMm > WORN_MM ? t.tipsWornBy(formatLength(tipLossMm, unit)) : '';
  const { tipDiameterMm, rootDiameterMm, axialPitchMm } = predicted;
  return {
    key: worm.identification.key(candidate),
    title: `${sizeText(candidate)}, ${starts} ${starts === 1 ? t.start : t.starts}`,
    probability: candidate.probability,
    detail: t.pitchDiameterLeadAngle(formatLength(candidate.wormPitchDiameterMm, unit), predicted.leadAngleDeg.toFixed(2), worn),
    expected: expectations(NAMES, { predicted: { tipDiameterMm, rootDiameterMm, axialPitchMm }, residuals }, unit),
  };
}
