import { formatLength, type BevelIdentification, type LengthUnit, type WheelIdentification } from '@patient-badger/core';
import { sizeKey, sizeText } from './candidateKey.ts';
import type { CandidateLine } from './candidateLine.ts';

type Bevel = BevelIdentification['candidates'][number];
type Wheel = WheelIdentification['candidates'][number];

const NAMES: Readonly<Record<string, string>> = {
  pinionTipDiameterMm: 'Over the tips, the smaller one',
  wheelTipDiameterMm: 'Over the tips, the larger one',
  outerConeDistanceMm: 'Cone, tip to large end',
  toothHeightMm: 'Tooth height',
  throatDiameterMm: 'Over the tips in the throat',
  rimPitchMm: 'Tooth to tooth along the rim',
};

export const bevelLine = (each: Bevel, unit: LengthUnit): CandidateLine => ({
  key: sizeKey(each),
  title: `${sizeText(each)}, ${each.pinionTeeth} and ${each.wheelTeeth} teeth`,
  probability: each.probability,
  detail: Math.abs(each.profileShift) < 0.05 ? 'Both addenda alike' : `Pinion’s addendum longer by ${each.profileShift.toFixed(2)} modules`,
  expected: expected(each.predicted, each.residuals, unit),
});

export const wheelLine = (each: Wheel, unit: LengthUnit): CandidateLine => ({
  key: sizeKey(each),
  title: `${sizeText(each)}, ${each.teeth} teeth`,
  probability: each.probability,
  detail: Math.abs(each.wheelProfileShift) < 0.05 ? 'Not shifted' : `Shifted by ${each.wheelProfileShift.toFixed(2)} modules`,
  expected: expected(each.predicted, each.residuals, unit),
});

function expected(
  predicted: Readonly<Record<string, number>>,
  residuals: Readonly<Record<string, number>>,
  unit: LengthUnit,
): readonly string[] {
  return Object.entries(predicted).flatMap(([name, value]) => {
    const words = NAMES[name];
    if (!words) return [];
    const off = residuals[name];
    return [
      `${words}: ${formatLength(value, unit)}${off === undefined ? ' (not read)' : ` (read ${off >= 0 ? '+' : '−'}${Math.abs(off).toFixed(2)} mm)`}`,
    ];
  });
}
