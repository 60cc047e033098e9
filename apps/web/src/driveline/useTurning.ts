import type { MotionOutput } from '@patient-badger/core/machine';
import { useEffect, useState } from 'react';
import { useReducedMotion } from '../design/useMedia.ts';

/** How far the driver turns in the picture each second, and how often the picture is drawn. */
const TURNS_A_SECOND = 0.6;
const FRAME_MS = 33;

type Angles = Record<string, number>;

/**
 * The angles of all bodies of a chain while it runs, from what they did for the turns put in; one that
 * jumps goes on at its usual ratio while it catches. Stands still where motion is not wanted.
 */
export function useTurning(running: boolean, speed = 1): (output: MotionOutput, putIn: number) => Angles {
  const [driver, setDriver] = useState(0);
  const calm = useReducedMotion();
  useEffect(() => {
    if (!running || calm) return;
    let last = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      const turned = ((now - last) / 1000) * TURNS_A_SECOND * speed;
      last = now;
      setDriver((was) => was + turned);
    }, FRAME_MS);
    return () => clearInterval(timer);
  }, [running, calm, speed]);
  return ({ bodies, ratios, endStop }, putIn) =>
    Object.fromEntries(
      Object.entries(bodies).map(([id, { state, turns, travelMm }]) => {
        const ratio = state === 'turns' ? (turns ?? travelMm ?? 0) / (endStop?.input ?? putIn) : (ratios[id] ?? 0);
        return [id, 360 * ratio * progress(state, driver)];
      }),
    );
}

function progress(state: MotionOutput['bodies'][string]['state'], driver: number): number {
  switch (state) {
    case 'turns':
      return driver;
    case 'less':
    case 'irregular': {
      // Catches for the first third of every driver turn, then slips back and waits.
      const whole = Math.floor(driver);
      return whole / 3 + Math.min(driver - whole, 1 / 3);
    }
    default:
      return 0;
  }
}
