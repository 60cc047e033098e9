import { failureSentence } from '@patient-badger/wording';
import { tryOperation, type Trial, type TrialResult } from '../packages/core/src/fuzz/campaign.ts';
import { operations } from './operations.ts';

/** One share of the campaign, on a thread. */
export const work = (trial: Omit<Trial, 'sentenceOf' | 'now'>): TrialResult =>
  tryOperation(operations, { ...trial, sentenceOf: failureSentence, now: () => performance.now() });
