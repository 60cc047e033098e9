import { t } from '@patient-badger/wording/gear';
import type { LengthUnit } from '@patient-badger/core';
import { rack, type RackCandidate } from '@patient-badger/core/gear';
import { expectations, sizeText, type CandidateLine } from '../candidateLine.ts';

const NAMES = { pitchMm: t.onePitch, toothHeightMm: t.toothHeight } as const;

export const rackLine = (candidate: RackCandidate, unit: LengthUnit): CandidateLine => ({
  key: rack.identification.key(candidate),
  title: t.rackWithSize(sizeText(candidate), candidate.pressureAngleDeg),
  probability: candidate.probability,
  detail: t.aTurnOfAPinionMoves((Math.PI * candidate.normalModuleMm).toFixed(3)),
  expected: expectations(NAMES, candidate, unit),
});
