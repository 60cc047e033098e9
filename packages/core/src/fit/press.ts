import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { material, materialAt } from '../material/material.ts';
import { lengthMm, positiveUpTo } from '../quantity/bounds.ts';

const temperature = z.number().min(-200).max(600);
const bore = z.number().min(0).max(10_000).default(0);

export const pressInput = z.strictObject({
  shaft: z.strictObject({ diameterMm: lengthMm, boreMm: bore, material }),
  hub: z.strictObject({ outerDiameterMm: lengthMm, lengthMm, material }),
  /** On the diameter; either this or the torque that it has to carry. */
  interferenceMm: positiveUpTo(100).optional(),
  wantedTorqueNm: positiveUpTo(1e7).optional(),
  frictionCoefficient: positiveUpTo(2).default(0.12),
  fittedAtC: temperature.default(20),
  temperatureC: temperature.default(20),
});
export type PressInput = z.infer<typeof pressInput>;

export const PRESS_WARNINGS = ['hubYields', 'looseAtTemperature', 'plasticCreeps'] as const;
export const pressOutput = z.object({
  interferenceMm: z.number(),
  interferenceAtTemperatureMm: z.number(),
  pressureMPa: z.number(),
  hubHoopStressMPa: z.number(),
  hubUtilisation: z.number(),
  pressForceN: z.number(),
  torqueNm: z.number(),
  looseAtC: z.number().nullable(),
  warnings: z.array(z.enum(PRESS_WARNINGS)),
});
export type Press = z.infer<typeof pressOutput>;

/**
 * A press fit of a hub on a shaft, both elastic, or the interference for a torque that is wanted at the working
 * temperature. mm on the diameter, MPa, N, N·m, °C. The pressure is never below nought; at `looseAtC` it is gone,
 * null where the shaft grows as much as the hub or more. Stiffness and strength of a built-in plastic are those at the
 * working temperature; what it loses by creep over months is told as a warning only.
 *
 * Sources: thick-walled cylinders by Lamé (DIN 7190-1, elastic), hub judged by Tresca.
 * @throws CoreFailure where neither interference nor torque is given or both are, the hub has no wall, or the shaft is all bore
 * @example shaft 20, hub 40 × 30, both steel, 0.02 mm → 77.25 MPa, hub at 0.56 of its yield
 */
export function pressFit(input: PressInput): Press {
  const { shaft, hub, frictionCoefficient: friction, fittedAtC, temperatureC } = input;
  const [d, D, inner, length] = [shaft.diameterMm, hub.outerDiameterMm, shaft.boreMm, hub.lengthMm];
  if (D <= d) throw fail('impossibleGeometry', 'hub.outerDiameterMm', { reason: 'hubWithoutWall', leastMm: d });
  if (inner >= d) throw fail('impossibleGeometry', 'shaft.boreMm', { reason: 'shaftAllBore', mostMm: d });
  const [h, s] = [materialAt(hub.material, temperatureC), materialAt(shaft.material, temperatureC)];
  const compliance =
    ((D ** 2 + d ** 2) / (D ** 2 - d ** 2) + h.poissonRatio) / h.youngsModulusMPa +
    ((d ** 2 + inner ** 2) / (d ** 2 - inner ** 2) - s.poissonRatio) / s.youngsModulusMPa;
  const growth = d * (s.expansionPerK - h.expansionPerK) * (temperatureC - fittedAtC);
  const interferenceMm = interferenceOf(input, compliance, growth);
  const interferenceAtTemperatureMm = interferenceMm + growth;
  const pressureMPa = Math.max(0, interferenceAtTemperatureMm / (d * compliance));
  const hoopFactor = (D ** 2 + d ** 2) / (D ** 2 - d ** 2);
  const hubUtilisation = (2 * pressureMPa * D ** 2) / (D ** 2 - d ** 2) / h.yieldMPa;
  const pressForceN = Math.PI * d * length * pressureMPa * friction;
  const slack = h.expansionPerK - s.expansionPerK;
  return {
    interferenceMm,
    interferenceAtTemperatureMm,
    pressureMPa,
    hubHoopStressMPa: pressureMPa * hoopFactor,
    hubUtilisation,
    pressForceN,
    torqueNm: (pressForceN * d) / 2000,
    looseAtC: slack > 0 ? fittedAtC + interferenceMm / (d * slack) : null,
    warnings: [
      ...(hubUtilisation > 1 ? (['hubYields'] as const) : []),
      ...(interferenceAtTemperatureMm <= 0 ? (['looseAtTemperature'] as const) : []),
      ...(h.isPlastic || s.isPlastic ? (['plasticCreeps'] as const) : []),
    ],
  };
}

function interferenceOf(input: PressInput, compliance: number, growth: number): number {
  const { shaft, hub, interferenceMm, wantedTorqueNm, frictionCoefficient } = input;
  if (interferenceMm !== undefined && wantedTorqueNm !== undefined)
    throw fail('contradiction', 'wantedTorqueNm', { reason: 'interferenceOrTorque' });
  if (interferenceMm !== undefined) return interferenceMm;
  if (wantedTorqueNm === undefined) throw fail('missing', 'interferenceMm', { or: 'wantedTorqueNm' });
  const d = shaft.diameterMm;
  const pressure = (2000 * wantedTorqueNm) / (Math.PI * d ** 2 * hub.lengthMm * frictionCoefficient);
  return pressure * d * compliance - growth;
}
