import { z } from 'zod';
import { lengthMm, positiveUpTo } from '../quantity/bounds.ts';

export const pinInput = z.strictObject({
  pinDiameterMm: lengthMm,
  shaftDiameterMm: lengthMm,
  /** Of each of the hub's two walls, where the pin goes through. */
  wallMm: lengthMm,
  torqueNm: positiveUpTo(1e7),
  pinShearStrengthMPa: positiveUpTo(1e4),
  seatBearingStrengthMPa: positiveUpTo(1e4),
});
export const pinOutput = z.object({
  pinShearMPa: z.number(),
  seatBearingMPa: z.number(),
  pinUtilisation: z.number(),
  seatUtilisation: z.number(),
  goesFirst: z.enum(['pin', 'seat']),
  torqueCapacityNm: z.number(),
});

/**
 * A pin across a shaft in a hub: sheared in two sections, and pressed against the hub's two walls. mm, N·m, MPa. Which of
 * the two goes first is what people want to know: the pin stays whole and the plastic seat goes oval, or the other way round.
 *
 * Source: mechanics of a cross pin (Niemann, Maschinenelemente 1, cross pins): τ = 4T/(π·d_p²·d_s), p = T/((d_s + t)·d_p·t).
 * @example pin 5, shaft 20, wall 8, 30 N·m → 76.4 MPa in the pin, 26.8 MPa on the seat
 */
export function pinStrength(input: z.infer<typeof pinInput>): z.infer<typeof pinOutput> {
  const { pinDiameterMm: pin, shaftDiameterMm: shaft, wallMm: wall, torqueNm, pinShearStrengthMPa, seatBearingStrengthMPa } = input;
  const pinShearMPa = (4000 * torqueNm) / (Math.PI * pin ** 2 * shaft);
  const seatBearingMPa = (1000 * torqueNm) / ((shaft + wall) * pin * wall);
  const [pinUtilisation, seatUtilisation] = [pinShearMPa / pinShearStrengthMPa, seatBearingMPa / seatBearingStrengthMPa];
  return {
    pinShearMPa,
    seatBearingMPa,
    pinUtilisation,
    seatUtilisation,
    goesFirst: pinUtilisation > seatUtilisation ? 'pin' : 'seat',
    torqueCapacityNm: torqueNm / Math.max(pinUtilisation, seatUtilisation),
  };
}
