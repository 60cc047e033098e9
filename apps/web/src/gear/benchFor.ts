import type { GearCard, Pack } from '@patient-badger/core';

/**
 * The card a gear is measured on; null where the app has none. A sector that meshes with a pinion is a spur
 * gear with part of its round; one that a worm drives is not, and its few teeth tell too little of a wheel.
 */
export function benchFor({ driveline }: Pick<Pack, 'driveline'>, { type, body }: GearCard): 'worm' | 'cylindrical' | 'sized' | null {
  switch (type) {
    case 'worm':
      return 'worm';
    case 'spur':
    case 'helical':
      return 'cylindrical';
    case 'bevel':
    case 'wormWheel':
      return 'sized';
    case 'sector':
      return driveline.joints.some((joint) => joint.type === 'worm' && joint.wheel === body) ? null : 'cylindrical';
    default:
      return null;
  }
}
