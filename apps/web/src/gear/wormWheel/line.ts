import { t } from '@patient-badger/wording/gear';
import { formatLength, type LengthUnit } from '@patient-badger/core';
import { wormWheel, type WheelCandidate } from '@patient-badger/core/gear';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = {
  throatDiameterMm: t.overTheTipsInThe,
  rimPitchMm: t.toothToToothAlongThe,
  toothHeightMm: t.toothHeight,
} as const;

const cutFor = ({ value, plusMinus }: NonNullable<WheelCandidate['wormPitchDiameterMm']>, unit: LengthUnit) =>
  t.cutForAWormOf(formatLength(value, unit), formatLength(plusMinus, unit));

export const wheelLine = (candidate: WheelCandidate, unit: LengthUnit): CandidateLine => ({
  key: wormWheel.identification.key(candidate),
  title: t.teethWithSizeAndTeeth(sizeText(candidate), candidate.teeth),
  probability: candidate.probability,
  detail: [
    Math.abs(candidate.wheelProfileShift) < 0.05
      ? t.notShifted2
      : t.shiftedByModulesWithWheelProfileShift(candidate.wheelProfileShift.toFixed(2)),
    ...(candidate.wormPitchDiameterMm ? [cutFor(candidate.wormPitchDiameterMm, unit)] : []),
  ].join('. '),
  expected: expectations(NAMES, candidate, unit),
});
