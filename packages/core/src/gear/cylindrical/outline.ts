import { halfAngleAt, profileOf, type Cut } from './profile.ts';

/** Points of a flank between the form circle and the tip. */
const FLANK = 6;

/**
 * Outline of a spur or helical gear in the transverse plane: x, y in mm about its centre, one tooth
 * upright, counter-clockwise. Flanks are involutes (ISO 21771, 5.5); below the base circle they run
 * straight to the root, as fillet and undercut depend on the cutter. Where the flanks would meet before
 * the tip, the tooth ends in a point.
 */
export function gearOutline(cut: Cut): readonly (readonly [number, number])[] {
  const profile = profileOf(cut);
  const { baseDiameterMm, tipDiameterMm, rootDiameterMm } = profile;
  const form = Math.min(tipDiameterMm, Math.max(baseDiameterMm, rootDiameterMm));
  const pitch = (2 * Math.PI) / cut.teeth;
  const flank = Array.from({ length: FLANK + 1 }, (_, i) => form + ((tipDiameterMm - form) * i) / FLANK).map(
    (diameter) => [diameter, Math.min(pitch / 2, Math.max(0, halfAngleAt(cut, profile, diameter)))] as const,
  );
  const rising = [[Math.min(rootDiameterMm, form), flank[0]?.[1] ?? 0] as const, ...flank];
  const tooth = [...rising.map(([d, half]) => [d, -half] as const), ...[...rising].reverse()];
  return Array.from({ length: cut.teeth }, (_, i) => i).flatMap((i) =>
    tooth.map(([diameter, half]) => {
      const angle = Math.PI / 2 + i * pitch + half;
      return [(diameter / 2) * Math.cos(angle), (diameter / 2) * Math.sin(angle)] as const;
    }),
  );
}
