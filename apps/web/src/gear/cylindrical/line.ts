import { cylindrical, formatLength, type Candidate, type LengthUnit } from '@patient-badger/core';
import { expectation, expectations, signed, sizeText, WORN_MM, type CandidateLine } from '../candidateLine.ts';

const NAMES = { tipDiameterMm: 'Over the tips, unworn', rootDiameterMm: 'Root' } as const;
/** Less shift than this is none, modules. */
const SHIFTED = 0.05;

export function cylindricalLine(candidate: Candidate, unit: LengthUnit): CandidateLine {
  const { teeth, pressureAngleDeg, helixAngleDeg, profileShift, toothThinningMm, predicted, spans } = candidate;
  const helix = helixAngleDeg === 0 ? '' : `, helix ${helixAngleDeg.toFixed(1)}°`;
  const shift = Math.abs(profileShift) < SHIFTED ? 'not shifted' : `shifted by ${signed(profileShift)} modules`;
  const worn = toothThinningMm > WORN_MM ? `, teeth thinner by ${formatLength(toothThinningMm, unit)}` : '';
  return {
    key: cylindrical.identification.key(candidate),
    title: `${sizeText(candidate)}, ${teeth} teeth, ${pressureAngleDeg}°${helix}`,
    probability: candidate.probability,
    detail: `Pitch diameter ${formatLength(predicted.pitchDiameterMm ?? NaN, unit)}, ${shift}${worn}`,
    expected: [
      ...expectations(NAMES, candidate, unit),
      ...spans.map(({ teeth: over, predictedMm, residualMm }) =>
        expectation({ name: `Span over ${over}`, value: predictedMm, residual: residualMm }, unit),
      ),
    ],
  };
}
