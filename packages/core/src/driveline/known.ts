import type { JointsAt } from './chain.ts';
import type { Joint } from './schema.ts';

export interface MotionEstimate {
  readonly value: number;
  /** The joint the value came through; null where it was put in. */
  readonly via: string | null;
  /** Behind teeth that jump under load: it moves, but less. */
  readonly less: boolean;
}

/** What holds what, while contacts are as they are. */
export interface Frame {
  readonly at: JointsAt;
  readonly isTied: (joint: Joint) => boolean;
  readonly isSkipping: (joint: Joint) => boolean;
}

export const same = (p: number, q: number): boolean => Math.abs(p - q) <= 1e-9 * Math.max(1, Math.abs(p), Math.abs(q));
