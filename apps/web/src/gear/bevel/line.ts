import { bevel, type BevelCandidate, type LengthUnit } from '@patient-badger/core';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = {
  pinionTipDiameterMm: 'Over the tips, the smaller one',
  wheelTipDiameterMm: 'Over the tips, the larger one',
  outerConeDistanceMm: 'Cone, tip to large end',
  toothHeightMm: 'Tooth height',
} as const;

export const bevelLine = (candidate: BevelCandidate, unit: LengthUnit): CandidateLine => ({
  key: bevel.identification.key(candidate),
  title: `${sizeText(candidate)}, ${candidate.pinionTeeth} and ${candidate.wheelTeeth} teeth`,
  probability: candidate.probability,
  detail:
    Math.abs(candidate.profileShift) < 0.05
      ? 'Both addenda alike'
      : `Pinion’s addendum longer by ${candidate.profileShift.toFixed(2)} modules`,
  expected: expectations(NAMES, candidate, unit),
});
