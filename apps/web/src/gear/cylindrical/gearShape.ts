import { combined, cutOf, profileOf, type Candidate, type CylindricalQuantity } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearShape } from './GearDrawing.tsx';

/** Drawn while nothing is known. */
const COMMON = { teeth: 20, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0, toothThinningMm: 0 };

/** What to draw: the candidate where there is one, else a common gear with what has been read put in. */
export function gearShapeOf(candidate: Candidate | undefined, gear: GearState): GearShape {
  const read = (quantity: CylindricalQuantity) => combined(gear.readings[quantity])?.value;
  const teeth = candidate?.teeth ?? read('teeth') ?? COMMON.teeth;
  const normalModuleMm = candidate?.normalModuleMm ?? (read('tipDiameterMm') ?? teeth + 2) / (teeth + 2);
  const cut = cutOf({ ...COMMON, ...candidate, teeth, normalModuleMm, addendumCoefficient: 1, dedendumCoefficient: 1.25 });
  const { tipDiameterMm, rootDiameterMm } = profileOf(cut);
  return { cut, tipMm: tipDiameterMm, boreMm: Math.min(read('boreDiameterMm') ?? tipDiameterMm / 4, rootDiameterMm * 0.9) };
}
