import { formatLength, worm, type LengthUnit, type WormCandidate } from '@patient-badger/core';
import { expectations, sizeText, WORN_MM, type CandidateLine } from '../candidateLine.ts';

const NAMES = { tipDiameterMm: 'Over the tips, unworn', rootDiameterMm: 'Root', axialPitchMm: 'One pitch' } as const;

export function wormLine(candidate: WormCandidate, unit: LengthUnit): CandidateLine {
  const { starts, predicted, residuals, tipLossMm } = candidate;
  const worn = tipLossMm > WORN_MM ? `, tips worn by ${formatLength(tipLossMm, unit)}` : '';
  const { tipDiameterMm, rootDiameterMm, axialPitchMm } = predicted;
  return {
    key: worm.identification.key(candidate),
    title: `${sizeText(candidate)}, ${starts} ${starts === 1 ? 'start' : 'starts'}`,
    probability: candidate.probability,
    detail: `Pitch diameter ${formatLength(candidate.wormPitchDiameterMm, unit)}, lead angle ${predicted.leadAngleDeg.toFixed(2)}°${worn}`,
    expected: expectations(NAMES, { predicted: { tipDiameterMm, rootDiameterMm, axialPitchMm }, residuals }, unit),
  };
}
