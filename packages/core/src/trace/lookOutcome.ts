import type { Outcome } from '../inference/expectedInformation.ts';

export interface LookOutcome extends Outcome {
  /** Two results seen in one look, where both were. */
  readonly parts?: readonly [string, string];
}
