import { combined, type WormCandidate, type WormQuantity } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { WormShape } from './wormOutline.ts';

/** What to draw: the candidate where there is one, else a common worm, with what has been read put in. */
export function shapeOf(candidate: WormCandidate | undefined, gear: GearState): WormShape {
  const read = (quantity: WormQuantity) => combined(gear.readings[quantity])?.value;
  const tip = candidate?.predicted.tipDiameterMm ?? read('tipDiameterMm') ?? 20;
  const pitch = candidate?.predicted.axialPitchMm ?? 3.14;
  const root = candidate?.predicted.rootDiameterMm ?? Math.min(read('rootDiameterMm') ?? tip - 4.5, tip * 0.9);
  return {
    tipMm: tip,
    rootMm: Math.max(root, tip * 0.3),
    pitchMm: pitch,
    starts: candidate?.starts ?? read('starts') ?? 1,
    boreMm: Math.min(read('boreDiameterMm') ?? tip * 0.6, Math.max(root, tip * 0.3) * 0.94),
    lengthMm: read('faceWidthMm') ?? Math.max(tip * 0.75, pitch * 4),
    hand: gear.hand ?? 'right',
  };
}
