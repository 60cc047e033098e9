import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { lengthMm, positiveUpTo } from '../quantity/bounds.ts';

export const pinInput = z.strictObject({
  pinDiameterMm: lengthMm,
  shaftDiameterMm: lengthMm,
  /** Of each of the hub's two walls, where the pin goes through. */
  wallMm: lengthMm,
  torqueNm: positiveUpTo(1e7),
  pinShearStrengthMPa: positiveUpTo(1e4),
  seatBearingStrengthMPa: positiveUpTo(1e4),
  /** Of the shaft's own hole; without it the hole is told and not judged. */
  shaftBearingStrengthMPa: positiveUpTo(1e4).optional(),
});
export const pinOutput = z.object({
  pinShearMPa: z.number(),
  seatBearingMPa: z.number(),
  /** At the edges of the shaft's hole, where the pin presses most. */
  shaftBearingMPa: z.number(),
  pinUtilisation: z.number(),
  seatUtilisation: z.number(),
  shaftUtilisation: z.number().optional(),
  goesFirst: z.enum(['pin', 'seat', 'shaft']),
  torqueCapacityNm: z.number(),
});

/**
 * A pin across a shaft in a hub: sheared in two sections, pressed against the hub's two walls and against the shaft's own
 * hole. mm, N·m, MPa. Which goes first is what people want to know: the pin stays whole and the plastic seat goes oval, or
 * the other way round.
 *
 * Source: mechanics of a cross pin (Niemann, Maschinenelemente 1, cross pins): τ = 4T/(π·d_p²·d_s), p = T/((d_s + t)·d_p·t),
 * and in the shaft, where the pressure grows from the middle outwards, p = 6T/(d_p·d_s²).
 * @throws CoreFailure where the pin leaves nothing of the shaft
 * @example pin 5, shaft 20, wall 8, 30 N·m → 76.4 MPa in the pin, 26.8 MPa on the seat
 */
export function pinStrength(input: z.infer<typeof pinInput>): z.infer<typeof pinOutput> {
  const { pinDiameterMm: pin, shaftDiameterMm: shaft, wallMm: wall, torqueNm, pinShearStrengthMPa, seatBearingStrengthMPa } = input;
  if (pin >= shaft) throw fail('impossibleGeometry', 'pinDiameterMm', { reason: 'pinLeavesNoShaft', mostMm: shaft });
  const pinShearMPa = (4000 * torqueNm) / (Math.PI * pin ** 2 * shaft);
  const seatBearingMPa = (1000 * torqueNm) / ((shaft + wall) * pin * wall);
  const shaftBearingMPa = (6000 * torqueNm) / (pin * shaft ** 2);
  const { shaftBearingStrengthMPa } = input;
  const utilisations = {
    pin: pinShearMPa / pinShearStrengthMPa,
    seat: seatBearingMPa / seatBearingStrengthMPa,
    shaft: shaftBearingStrengthMPa === undefined ? 0 : shaftBearingMPa / shaftBearingStrengthMPa,
  };
  const most = Math.max(utilisations.pin, utilisations.seat, utilisations.shaft);
  const goesFirst = (['seat', 'pin', 'shaft'] as const).find((part) => utilisations[part] === most) ?? 'seat';
  return {
    pinShearMPa,
    seatBearingMPa,
    shaftBearingMPa,
    pinUtilisation: utilisations.pin,
    seatUtilisation: utilisations.seat,
    ...(shaftBearingStrengthMPa !== undefined && { shaftUtilisation: utilisations.shaft }),
    goesFirst,
    torqueCapacityNm: torqueNm / most,
  };
}
