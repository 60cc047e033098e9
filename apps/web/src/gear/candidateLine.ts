import { formatLength, type Candidate, type LengthUnit, type WormCandidate } from '@patient-badger/core';
import { candidateKey, cylindricalKey, sizeText } from './candidateKey.ts';

/** A candidate in words. */
export interface CandidateLine {
  readonly key: string;
  readonly title: string;
  readonly probability: number;
  readonly detail: string;
  /** What the caliper should find, were it this one, and how far the readings are off. */
  readonly expected: readonly string[];
}

/** Less wear than this is not worth a word. */
const WORN_MM = 0.02;

export function wormLine(each: WormCandidate, unit: LengthUnit): CandidateLine {
  const { starts, predicted, residuals, tipLossMm } = each;
  const worn = tipLossMm > WORN_MM ? `, tips worn by ${formatLength(tipLossMm, unit)}` : '';
  return {
    key: candidateKey(each),
    title: `${sizeText(each)}, ${starts} ${starts === 1 ? 'start' : 'starts'}`,
    probability: each.probability,
    detail: `Pitch diameter ${formatLength(each.wormPitchDiameterMm, unit)}, lead angle ${predicted.leadAngleDeg.toFixed(2)}°${worn}`,
    expected: [
      expectation('Over the tips, unworn', predicted.tipDiameterMm, residuals.tipDiameterMm, unit),
      expectation('Root', predicted.rootDiameterMm, residuals.rootDiameterMm, unit),
      expectation('One pitch', predicted.axialPitchMm, residuals.axialPitchMm, unit),
    ],
  };
}

export function cylindricalLine(each: Candidate, unit: LengthUnit): CandidateLine {
  const { teeth, pressureAngleDeg, helixAngleDeg, profileShift, toothThinningMm, predicted, residuals } = each;
  const helix = helixAngleDeg === 0 ? '' : `, helix ${helixAngleDeg.toFixed(1)}°`;
  const shift = Math.abs(profileShift) < 0.05 ? 'not shifted' : `shifted by ${signed(profileShift)} modules`;
  const worn = toothThinningMm > WORN_MM ? `, teeth thinner by ${formatLength(toothThinningMm, unit)}` : '';
  const spans = Object.entries(predicted).flatMap(([name, value]) => {
    const over = /^spanOver(\d+)Mm$/.exec(name)?.[1];
    return over ? [expectation(`Span over ${over}`, value, residuals[name], unit)] : [];
  });
  return {
    key: cylindricalKey(each),
    title: `${sizeText(each)}, ${teeth} teeth, ${pressureAngleDeg}°${helix}`,
    probability: each.probability,
    detail: `Pitch diameter ${formatLength(predicted.pitchDiameterMm ?? NaN, unit)}, ${shift}${worn}`,
    expected: [
      expectation('Over the tips, unworn', predicted.tipDiameterMm ?? NaN, residuals.tipDiameterMm, unit),
      expectation('Root', predicted.rootDiameterMm ?? NaN, residuals.rootDiameterMm, unit),
      ...spans,
    ],
  };
}

const signed = (value: number) => `${value >= 0 ? '+' : '−'}${Math.abs(value).toFixed(2)}`;

function expectation(name: string, value: number, residual: number | undefined, unit: LengthUnit): string {
  return `${name}: ${formatLength(value, unit)}${residual === undefined ? ' (not read)' : ` (read ${signed(residual)} mm)`}`;
}
