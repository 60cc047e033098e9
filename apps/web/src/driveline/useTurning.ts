import type { MotionOutput } from '@patient-badger/core';
import { useEffect, useState } from 'react';
import { useReducedMotion } from '../design/useScheme.ts';

/** How far the driver turns in the picture each second, and how often the picture is drawn. */
const TURNS_A_SECOND = 0.6;
const FRAME_MS = 33;

/** Angles of all bodies while the chain runs, from their turns per turn of the driver. Stands still where motion is not wanted. */
export function useTurning(output: MotionOutput, ratios: Readonly<Record<string, number>>, running: boolean): Record<string, number> {
  const [seconds, setSeconds] = useState(0);
  const calm = useReducedMotion();
  useEffect(() => {
    if (!running || calm) return;
    const started = performance.now() - seconds * 1000;
    const timer = setInterval(() => setSeconds((performance.now() - started) / 1000), FRAME_MS);
    return () => clearInterval(timer);
    // Started again only when the running changes; `seconds` then carries on from where it stood.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [running, calm]);
  const driver = seconds * TURNS_A_SECOND;
  return Object.fromEntries(
    Object.entries(output.bodies).map(([id, { state }]) => [id, 360 * (ratios[id] ?? 0) * progress(state, driver)]),
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
