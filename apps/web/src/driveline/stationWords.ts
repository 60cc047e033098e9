import type { MotionOutput } from '@patient-badger/core';

type BodyMotion = MotionOutput['bodies'][string];

/** What a body does, in words. */
export function stationWords(motion: BodyMotion | undefined): string {
  switch (motion?.state) {
    case 'turns':
      return motion.travelMm === undefined ? turnsText(motion.turns ?? 0) : `travels ${Math.abs(motion.travelMm).toFixed(1)} mm`;
    case 'less':
      return 'turns, but less than it should';
    case 'locked':
      return 'locked: nothing will turn';
    case 'irregular':
      return 'jerks';
    default:
      return 'stands still';
  }
}

function turnsText(turns: number): string {
  const size = Math.abs(turns);
  const way = turns < 0 ? 'the other way' : 'the same way';
  if (size < 0.1) return `${(size * 360).toFixed(0)}°, ${way}`;
  return `${size.toFixed(size < 10 ? 2 : 0)} ${size === 1 ? 'turn' : 'turns'}, ${way}`;
}
