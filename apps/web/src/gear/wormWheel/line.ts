import { wormWheel, type LengthUnit, type WheelCandidate } from '@patient-badger/core';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = {
  throatDiameterMm: 'Over the tips in the throat',
  rimPitchMm: 'Tooth to tooth along the rim',
  toothHeightMm: 'Tooth height',
} as const;

export const wheelLine = (each: WheelCandidate, unit: LengthUnit): CandidateLine => ({
  key: wormWheel.identification.key(each),
  title: `${sizeText(each)}, ${each.teeth} teeth`,
  probability: each.probability,
  detail: Math.abs(each.wheelProfileShift) < 0.05 ? 'Not shifted' : `Shifted by ${each.wheelProfileShift.toFixed(2)} modules`,
  expected: expectations(NAMES, each, unit),
});
