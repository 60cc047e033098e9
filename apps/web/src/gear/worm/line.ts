import { formatLength, worm, type LengthUnit, type WormCandidate } from '@patient-badger/core';
import { expectations, sizeText, WORN_MM, type CandidateLine } from '../candidateLine.ts';

const NAMES = { tipDiameterMm: 'Over the tips, unworn', rootDiameterMm: 'Root', axialPitchMm: 'One pitch' } as const;

export function wormLine(each: WormCandidate, unit: LengthUnit): CandidateLine {
  const { starts, predicted, residuals, tipLossMm } = each;
  const worn = tipLossMm > WORN_MM ? `, tips worn by ${formatLength(tipLossMm, unit)}` : '';
  const { tipDiameterMm, rootDiameterMm, axialPitchMm } = predicted;
  return {
    key: worm.identification.key(each),
    title: `${sizeText(each)}, ${starts} ${starts === 1 ? 'start' : 'starts'}`,
    probability: each.probability,
    detail: `Pitch diameter ${formatLength(each.wormPitchDiameterMm, unit)}, lead angle ${predicted.leadAngleDeg.toFixed(2)}°${worn}`,
    expected: expectations(NAMES, { predicted: { tipDiameterMm, rootDiameterMm, axialPitchMm }, residuals }, unit),
  };
}
