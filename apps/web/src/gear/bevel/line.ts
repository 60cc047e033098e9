import { bevel, type BevelCandidate, type LengthUnit } from '@patient-badger/core';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = {
  pinionTipDiameterMm: 'Over the tips, the smaller one',
  wheelTipDiameterMm: 'Over the tips, the larger one',
  outerConeDistanceMm: 'Cone, tip to large end',
  toothHeightMm: 'Tooth height',
} as const;

export const bevelLine = (each: BevelCandidate, unit: LengthUnit): CandidateLine => ({
  key: bevel.identification.key(each),
  title: `${sizeText(each)}, ${each.pinionTeeth} and ${each.wheelTeeth} teeth`,
  probability: each.probability,
  detail: Math.abs(each.profileShift) < 0.05 ? 'Both addenda alike' : `Pinion’s addendum longer by ${each.profileShift.toFixed(2)} modules`,
  expected: expectations(NAMES, each, unit),
});
