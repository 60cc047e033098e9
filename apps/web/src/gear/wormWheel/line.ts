import { wormWheel, type LengthUnit, type WheelCandidate } from '@patient-badger/core';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = {
  throatDiameterMm: 'Over the tips in the throat',
  rimPitchMm: 'Tooth to tooth along the rim',
  toothHeightMm: 'Tooth height',
} as const;

export const wheelLine = (candidate: WheelCandidate, unit: LengthUnit): CandidateLine => ({
  key: wormWheel.identification.key(candidate),
  title: `${sizeText(candidate)}, ${candidate.teeth} teeth`,
  probability: candidate.probability,
  detail: Math.abs(candidate.wheelProfileShift) < 0.05 ? 'Not shifted' : `Shifted by ${candidate.wheelProfileShift.toFixed(2)} modules`,
  expected: expectations(NAMES, candidate, unit),
});
