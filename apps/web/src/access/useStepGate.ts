import { captureRecords, cautionsOn, type Caution, type CaptureRecord, type Step } from '@patient-badger/core';
import type { JobView } from '../job/JobView.ts';
import { useUnacknowledged } from '../trace/Cautions.tsx';
import { useWithWaitingPhotos } from './CaptureCard.tsx';
import { useNow } from './useNow.ts';
import { stillWaits } from './WaitCard.tsx';

export interface StepGate {
  readonly cautions: readonly Caution[];
  readonly captures: readonly CaptureRecord[];
  /** Steps done whose time has not passed. */
  readonly waiting: readonly Step[];
  /** What stands between the hand and "done", in sentences; none: it may be done. */
  readonly reasons: readonly string[];
}

/** What a step asks for before it may be called done: cautions, positions taken down, times passed. */
export function useStepGate({ job, pack, state }: JobView, step: Step | undefined): StepGate {
  const now = useNow(state.waits.length > 0);
  const cautions = cautionsOn(pack, step?.cautions ?? [], []);
  const captures = useWithWaitingPhotos(job.id, captureRecords(pack, step ? [step.id] : [], state));
  const waiting = pack.steps.filter(({ id, wait }) => state.reached.includes(id) && stillWaits(state, wait, now));
  const reasons = [
    useUnacknowledged(state, cautions).length > 0 ? 'Confirm the caution first.' : null,
    waiting.length > 0 ? `Wait for it first: ${waiting.map(({ wait }) => wait?.name).join(', ')}.` : null,
    captures.some(({ taken }) => !taken) ? 'Take down what the step loses first, or say why not.' : null,
  ].filter((each) => each !== null);
  return { cautions, captures, waiting, reasons };
}
