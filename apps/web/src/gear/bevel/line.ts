import { t } from '@patient-badger/wording/gear';
import type { LengthUnit } from '@patient-badger/core';
import { bevel, type BevelCandidate } from '@patient-badger/core/gear';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = {
  pinionTipDiameterMm: t.overTheTipsTheSmaller,
  wheelTipDiameterMm: t.overTheTipsTheLarger,
  outerConeDistanceMm: t.coneTipToLargeEnd,
  toothHeightMm: t.toothHeight,
} as const;

export const bevelLine = (candidate: BevelCandidate, unit: LengthUnit): CandidateLine => ({
  key: bevel.identification.key(candidate),
  title: t.andTeeth(sizeText(candidate), candidate.pinionTeeth, candidate.wheelTeeth),
  probability: candidate.probability,
  detail:
    Math.abs(candidate.profileShift) < 0.05 ? t.bothAddendaAlike : t.pinionsAddendumLongerByModules(candidate.profileShift.toFixed(2)),
  expected: expectations(NAMES, candidate, unit),
});
