import type { OperationOutput } from '@patient-badger/core';
import { createStored } from '../preferences/stored.ts';

export type Score = OperationOutput<'practice.score'>;

export type TakenLook = OperationOutput<'practice.look'> & { readonly look: string };

/** The machine of practice that is on the bench now. */
export interface PracticeDeal extends OperationOutput<'practice.deal'> {
  readonly family: string;
  readonly taken: readonly TakenLook[];
  /** Gears bought on the way, by their card. */
  readonly bought: readonly string[];
  /** Once the fault was named. */
  readonly ended?: { readonly verdict: string; readonly score: Score } | undefined;
}

/** One practice that was brought to its end, by whom. */
export interface PracticeResult {
  readonly by: string | null;
  readonly family: string;
  readonly right: boolean;
  readonly minutes: number;
  readonly engineMinutes: number;
}

/** Kept on the device, so that a reload in the middle loses nothing; in no job and in no record of the shop. */
export const practiceNow = createStored<PracticeDeal | null>('practice', null);
export const practiceDone = createStored<readonly PracticeResult[]>('practice-done', []);

/** So many ended ones are kept; the oldest go. */
const MOST_DONE = 500;
export const keepDone = (done: PracticeResult) => practiceDone.set([...practiceDone.get(), done].slice(-MOST_DONE));
