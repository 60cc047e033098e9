import type { Outcome } from '../inference/expectedInformation.ts';

export interface LookOutcome extends Outcome {
  /** What to write on the button. */
  readonly name: string;
  /** Two results seen in one look, where both were. */
  readonly parts?: readonly [string, string];
}
