import { t } from '@patient-badger/wording/gear';
import { formatLength, type LengthUnit } from '@patient-badger/core';
import { cylindrical, type Candidate } from '@patient-badger/core/gear';
import { expectation, expectations, signed, sizeText, WORN_MM, type CandidateLine } from '../candidateLine.ts';

const NAMES = { tipDiameterMm: t.overTheTipsUnworn, rootDiameterMm: t.root } as const;
/** Less shift than this is none, modules. */
const SHIFTED = 0.05;

export function cylindricalLine(candidate: Candidate, unit: LengthUnit): CandidateLine {
  const { teeth, pressureAngleDeg, helixAngleDeg, profileShift, toothThinningMm, predicted, spans } = candidate;
  const helix = helixAngleDeg === 0 ? '' : t.helix(helixAngleDeg.toFixed(1));
  const shift = Math.abs(profileShift) < SHIFTED ? t.notShifted : t.shiftedByModules(signed(profileShift));
  const worn = toothThinningMm > WORN_MM ? t.teethThinnerBy(formatLength(toothThinningMm, unit)) : '';
  return {
    key: cylindrical.identification.key(candidate),
    title: t.teeth(sizeText(candidate), teeth, pressureAngleDeg, helix),
    probability: candidate.probability,
    detail: t.pitchDiameter(formatLength(predicted.pitchDiameterMm ?? NaN, unit), shift, worn),
    expected: [
      ...expectations(NAMES, candidate, unit),
      ...spans.map(({ teeth: over, predictedMm, residualMm }) =>
        expectation({ name: t.spanOver(over), value: predictedMm, residual: residualMm }, unit),
      ),
    ],
  };
}
