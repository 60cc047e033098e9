import { type Hypothesis } from './hypotheses.ts';

export interface Ranked {
  readonly hypothesis: Hypothesis;
  readonly probability: number;
  readonly profileShift: number;
  readonly thinningMm: number;
  readonly shiftSd: number;
}
