import { t } from '@patient-badger/wording/access';
import { cautionsOn, type Caution, type Step, type Wait } from '@patient-badger/core/machine';
import type { JobView } from '../job/JobView.ts';
import { useUnacknowledged } from '../job/Cautions.tsx';
import { useCaptures, type CaptureHere } from './useCaptures.ts';
import { useNow } from './useNow.ts';
import { stillWaits } from './WaitCard.tsx';

/** What stands between the hand and "done". */
export interface Gate {
  readonly cautions: readonly Caution[];
  /** Times of what was done before that have not passed. */
  readonly waits: readonly Wait[];
  /** In sentences; none: it may be done. */
  readonly reasons: readonly string[];
}

interface GateRequest {
  readonly cautions: readonly string[];
  /** What was done before and may have a time to pass. */
  readonly before: readonly { readonly wait?: Wait | undefined }[];
  /** What else stands in the way, if it does. */
  readonly besides: string | null;
}

/** Cautions confirmed, times passed, and what else a piece of work asks for before it may be called done. */
export function useGate({ pack, state }: JobView, asked: GateRequest): Gate {
  const now = useNow(state.waits.length > 0);
  const cautions = cautionsOn(pack, asked.cautions, []);
  const waits = asked.before.flatMap(({ wait }) => (wait && stillWaits(state, wait, now) ? [wait] : []));
  const reasons = [
    useUnacknowledged(state, cautions).length > 0 ? t.confirmTheCautionFirst : null,
    waits.length > 0 ? t.waitForItFirst(waits.map(({ name }) => name).join(', ')) : null,
    asked.besides,
  ];
  return { cautions, waits, reasons: reasons.filter((each) => each !== null) };
}

/** The gate of an opening step, with the positions it asks for. */
export function useStepGate(view: JobView, step: Step): Gate & { readonly captures: readonly CaptureHere[] } {
  const { pack, state } = view;
  const captures = useCaptures(view, [step.id]);
  const gate = useGate(view, {
    cautions: step.cautions,
    before: pack.steps.filter(({ id }) => state.reached.includes(id)),
    besides: captures.some(({ taken }) => !taken) ? t.takeDownWhatTheStep : null,
  });
  return { ...gate, captures };
}
