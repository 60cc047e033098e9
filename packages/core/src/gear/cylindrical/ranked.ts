import { type Hypothesis } from './hypotheses.ts';

export interface CandidateRank {
  readonly hypothesis: Hypothesis;
  readonly probability: number;
  readonly profileShift: number;
  readonly thinningMm: number;
  readonly shiftSd: number;
}
