import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { material, materialAt, type MaterialAt } from '../material/material.ts';
import { lengthMm, positiveUpTo } from '../quantity/bounds.ts';

const MOST_C = 600;
const temperature = z.number().min(-200).max(MOST_C);
const roughness = z.number().min(0).max(1).default(0);
const bore = z.number().min(0).max(10_000).default(0);

export const pressInput = z.strictObject({
  shaft: z.strictObject({ diameterMm: lengthMm, boreMm: bore, material }),
  hub: z.strictObject({ outerDiameterMm: lengthMm, lengthMm, material }),
  /** On the diameter; either this or the torque that it has to carry. */
  interferenceMm: positiveUpTo(100).optional(),
  wantedTorqueNm: positiveUpTo(1e7).optional(),
  /** Roughness depth Rz of the two surfaces, mm: what is smoothed while it is pressed is no interference. */
  roughnessRzMm: z.strictObject({ shaft: roughness, hub: roughness }).optional(),
  frictionCoefficient: positiveUpTo(2).default(0.12),
  fittedAtC: temperature.default(20),
  temperatureC: temperature.default(20),
});
export type PressInput = z.infer<typeof pressInput>;

export const PRESS_WARNINGS = ['hubYields', 'shaftYields', 'torqueBeyondElastic', 'looseAtTemperature', 'plasticCreeps'] as const;
export const pressOutput = z.object({
  interferenceMm: z.number(),
  /** What is left of it once the surfaces are smoothed. */
  effectiveInterferenceMm: z.number(),
  interferenceAtTemperatureMm: z.number(),
  pressureMPa: z.number(),
  hubHoopStressMPa: z.number(),
  hubUtilisation: z.number(),
  shaftUtilisation: z.number(),
  pressForceN: z.number(),
  torqueNm: z.number(),
  looseAtC: z.number().nullable(),
  looseBelowC: z.number().nullable(),
  warnings: z.array(z.enum(PRESS_WARNINGS)),
});
export type Press = z.infer<typeof pressOutput>;

/** Of the two roughness depths this share is smoothed away, on the diameter (DIN 7190-1, 5.2). */
const SMOOTHED = 0.8;
const ABSOLUTE_ZERO_C = -273.15;

/**
 * A press fit of a hub on a shaft, both elastic, or the interference for a torque that is wanted at the working
 * temperature. mm on the diameter, MPa, N, N·m, °C. The pressure is never below nought. A hub that grows more than its
 * shaft is loose above `looseAtC`, one that grows less below `looseBelowC`; null where that never comes, or above what
 * either of the two withstands. Stiffness and strength of a built-in plastic are those at the working temperature; what it
 * loses by creep over months is told as a warning only, as is a torque beyond what stays elastic, which is less than said.
 *
 * Sources: thick-walled cylinders by Lamé (DIN 7190-1, elastic), both judged by Tresca where they bear most: the hub at its
 * bore, a hollow shaft at its own, a solid one everywhere.
 * @throws CoreFailure where neither interference nor torque is given or both are, the hub has no wall, the shaft is all
 *   bore, or nothing is known of a material so warm
 * @example shaft 20, hub 40 × 30, both steel, 0.02 mm → 77.25 MPa, hub at 0.56 of its yield
 */
export function pressFit(input: PressInput): Press {
  const { shaft, hub, frictionCoefficient: friction, fittedAtC, temperatureC, roughnessRzMm } = input;
  const [d, D, inner, length] = [shaft.diameterMm, hub.outerDiameterMm, shaft.boreMm, hub.lengthMm];
  if (D <= d) throw fail('impossibleGeometry', 'hub.outerDiameterMm', { reason: 'hubWithoutWall', leastMm: d });
  if (inner >= d) throw fail('impossibleGeometry', 'shaft.boreMm', { reason: 'shaftAllBore', mostMm: d });
  const [h, s] = [materialAt(hub.material, temperatureC), materialAt(shaft.material, temperatureC)];
  const compliance =
    ((D ** 2 + d ** 2) / (D ** 2 - d ** 2) + h.poissonRatio) / h.youngsModulusMPa +
    ((d ** 2 + inner ** 2) / (d ** 2 - inner ** 2) - s.poissonRatio) / s.youngsModulusMPa;
  const growth = d * (s.expansionPerK - h.expansionPerK) * (temperatureC - fittedAtC);
  const smoothed = SMOOTHED * ((roughnessRzMm?.shaft ?? 0) + (roughnessRzMm?.hub ?? 0));
  const interferenceMm = interferenceOf(input, { compliance, growth, smoothed });
  const effectiveInterferenceMm = Math.max(0, interferenceMm - smoothed);
  const interferenceAtTemperatureMm = effectiveInterferenceMm + growth;
  const pressureMPa = Math.max(0, interferenceAtTemperatureMm / (d * compliance));
  const hoopFactor = (D ** 2 + d ** 2) / (D ** 2 - d ** 2);
  const hubUtilisation = (2 * pressureMPa * D ** 2) / (D ** 2 - d ** 2) / h.yieldMPa;
  // At the bore of a hollow shaft the hoop is squeezed by 2p·d²/(d² − i²); a solid one bears the pressure alone, everywhere.
  const shaftUtilisation = (inner > 0 ? (2 * pressureMPa * d ** 2) / (d ** 2 - inner ** 2) : pressureMPa) / s.yieldMPa;
  const pressForceN = Math.PI * d * length * pressureMPa * friction;
  const isBeyondElastic = hubUtilisation > 1 || shaftUtilisation > 1;
  return {
    interferenceMm,
    effectiveInterferenceMm,
    interferenceAtTemperatureMm,
    pressureMPa,
    hubHoopStressMPa: pressureMPa * hoopFactor,
    hubUtilisation,
    shaftUtilisation,
    pressForceN,
    torqueNm: (pressForceN * d) / 2000,
    ...looseTemperatures({ h, s, d, fittedAtC, effectiveInterferenceMm }),
    warnings: [
      ...(hubUtilisation > 1 ? (['hubYields'] as const) : []),
      ...(shaftUtilisation > 1 ? (['shaftYields'] as const) : []),
      ...(isBeyondElastic ? (['torqueBeyondElastic'] as const) : []),
      ...(interferenceAtTemperatureMm <= 0 ? (['looseAtTemperature'] as const) : []),
      ...(h.isPlastic || s.isPlastic ? (['plasticCreeps'] as const) : []),
    ],
  };
}

interface Joined {
  readonly h: MaterialAt;
  readonly s: MaterialAt;
  readonly d: number;
  readonly fittedAtC: number;
  readonly effectiveInterferenceMm: number;
}

/** Where the interference is gone: above it where the hub grows more, below it where the shaft does. */
function looseTemperatures({ h, s, d, fittedAtC, effectiveInterferenceMm }: Joined): Pick<Press, 'looseAtC' | 'looseBelowC'> {
  const slack = h.expansionPerK - s.expansionPerK;
  const gone = fittedAtC + effectiveInterferenceMm / (d * slack);
  const limit = Math.min(h.limitC ?? MOST_C, s.limitC ?? MOST_C);
  return {
    looseAtC: slack > 0 && gone <= limit ? gone : null,
    looseBelowC: slack < 0 && gone > ABSOLUTE_ZERO_C ? gone : null,
  };
}

interface Losses {
  readonly compliance: number;
  readonly growth: number;
  readonly smoothed: number;
}

function interferenceOf(input: PressInput, { compliance, growth, smoothed }: Losses): number {
  const { shaft, hub, interferenceMm, wantedTorqueNm, frictionCoefficient } = input;
  if (interferenceMm !== undefined && wantedTorqueNm !== undefined)
    throw fail('contradiction', 'wantedTorqueNm', { reason: 'interferenceOrTorque' });
  if (interferenceMm !== undefined) return interferenceMm;
  if (wantedTorqueNm === undefined) throw fail('missing', 'interferenceMm', { or: 'wantedTorqueNm' });
  const d = shaft.diameterMm;
  const pressure = (2000 * wantedTorqueNm) / (Math.PI * d ** 2 * hub.lengthMm * frictionCoefficient);
  return pressure * d * compliance - growth + smoothed;
}
