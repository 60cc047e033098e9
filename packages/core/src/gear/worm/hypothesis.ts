import type { Measurement } from '../../quantity/measured.ts';
import type { StandardSize } from '../standardSizes.ts';

export interface WormHypothesis {
  readonly size: StandardSize;
  readonly starts: number;
}

export interface WormReadings {
  readonly tipDiameterMm?: Measurement | undefined;
  readonly rootDiameterMm?: Measurement | undefined;
  readonly axialPitch?: { readonly threads: number; readonly lengthMm: Measurement } | undefined;
  readonly leadAngleDeg?: Measurement | undefined;
  readonly centreDistanceMm?: { readonly wheelTeeth: number; readonly distanceMm: Measurement } | undefined;
}

/** Diameter quotients considered; log-uniform between them. ISO/TR 10828 lists 7 to 20, worms on crankshafts run larger. */
export const QUOTIENT_RANGE = [4, 40] as const;

/** Makers cut roots between 1.2 and 1.25 modules deep and shift wheels a little: one standard deviation, in modules. */
export const ROOT_SD = 0.05;
export const CENTRE_SD = 0.1;
