import type { Outcome } from '../inference/expectedInformation.ts';

export interface LookOutcome extends Outcome {
  /** What to write on the button. */
  readonly name: string;
  /** Two results seen in one look, where both were. */
  readonly parts?: readonly [string, string];
}

/** A result's words where they do not begin the sentence. */
export const asLaterWords = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
