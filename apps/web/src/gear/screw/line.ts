import { t } from '@patient-badger/wording/gear';
import type { LengthUnit } from '@patient-badger/core';
import { screw, type ScrewCandidate } from '@patient-badger/core/gear';
import { expectations, type CandidateLine } from '../candidateLine.ts';

const NAMES = { pitchMm: t.onePitch, leadMm: t.travelOfOneTurn } as const;

const FORMS = { vee: t.veeThread, trapezoidal: t.trapezoidalThread } as const;

export const screwLine = (candidate: ScrewCandidate, unit: LengthUnit): CandidateLine => ({
  key: screw.identification.key(candidate),
  title: `${
    candidate.series === 'metric'
      ? t.pitchMmWithStarts(candidate.size, candidate.starts)
      : t.threadsAnInchWithStarts(candidate.size, candidate.starts)
  }, ${FORMS[candidate.form]}`,
  probability: candidate.probability,
  detail: t.oneTurnMovesTheNut(candidate.leadMm.toFixed(3)),
  expected: expectations(NAMES, candidate, unit),
});
