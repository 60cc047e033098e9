import type { ShiftPrior } from './shiftEvidence.ts';
import type { GearSystem } from './standardSizes.ts';

/*
 * What is believed of a gear before it is measured. Shares of a whole, each with what it stands on; where that is
 * judgement it says so. `npm run bench:calibration` holds what is said against gears that were not made from it.
 */

/** ISO 54:1996 and DIN 780-1/-2 prefer their first series and tell makers to avoid the second; so do AGMA's lists of coarse and fine pitches. How much oftener a preferred size is met: judgement. */
export const PREFERRED_OFTENER = 2;

/** First series of ISO 54:1996, with that of DIN 780-2 below 1 mm, in mm. */
export const PREFERRED_MODULES: ReadonlySet<number> = new Set([
  0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10,
]);

/** First series of AGMA 201.02 (coarse) and of ANSI/AGMA 1003 (fine), teeth per inch. */
export const PREFERRED_PITCHES: ReadonlySet<number> = new Set([3, 4, 6, 8, 10, 12, 16, 20, 24, 32, 40, 48, 64, 72, 80, 96]);

/**
 * Pressure angles of cylindrical gears: ISO 53 knows 20° alone; AGMA 201.02 has 20° and 25° and keeps the 14.5° of
 * ASA B6.1-1932 for replacements, which is what a repair shop is after. How often each is met: judgement.
 */
export const PRESSURE_ANGLES: Readonly<Record<GearSystem, readonly (readonly [angleDeg: number, share: number])[]>> = {
  module: [
    [20, 0.97],
    [14.5, 0.02],
    [25, 0.01],
  ],
  diametralPitch: [
    [20, 0.61],
    [14.5, 0.36],
    [25, 0.03],
  ],
};

/**
 * Profile shifts of cylindrical gears. Gears out of catalogues are cut without (ISO 53's rack on the pitch circle); pairs that
 * were designed for their centre distance or strength have any that the diagrams of DIN 3992 and ISO/TR 4467 lead to.
 * That half of what is met is of the first kind: judgement.
 */
export const CYLINDRICAL_SHIFTS: ShiftPrior = { unshifted: 0.5, spread: 'even', from: -0.6, to: 0.9 };

/** Bevels: what makers lengthen the pinion's addendum by they take from the wheel's (zero-sum shift, DIN 3971); how far: judgement. */
export const BEVEL_SHIFTS: ShiftPrior = { unshifted: 0, spread: 0.15, from: -0.6, to: 0.6 };

/** Worm wheels are shifted to the centre distance of their box, the worm stays as it is ; ISO/TR 10828 allows half a module either way; how far: judgement. */
export const WORM_WHEEL_SHIFTS: ShiftPrior = { unshifted: 0, spread: 0.2, from: -0.8, to: 0.8 };

/** Starts of small worms: judgement, most have one or two. */
export const WORM_STARTS: Readonly<Record<number, number>> = { 1: 0.5, 2: 0.24, 3: 0.1, 4: 0.1, 5: 0.03, 6: 0.03 };
