import { t } from '@patient-badger/wording/access';
import { t as shared } from '@patient-badger/wording/shared';
import { jobLedger } from '@patient-badger/core/job';
import { longest, type Step } from '@patient-badger/core/machine';
import { SNAGS } from '@patient-badger/knowledge';
import { useRecord } from '../data/useRecord.ts';
import { Problem } from '../design/Problem.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';
import type { JobView } from '../job/JobView.ts';
import { Cautions } from '../job/Cautions.tsx';
import { CaptureCard } from './CaptureCard.tsx';
import { LooseList } from './LooseList.tsx';
import { ReasonButton } from './ReasonButton.tsx';
import { Snags } from './Snags.tsx';
import { useStepGate } from './useGate.ts';
import { WorkHead } from './WorkHead.tsx';

/** One opening step: what to wait for, its cautions, what to take down first, what comes off, and what to do where it will not. */
export function StepWork({ view, step, stuck }: { view: JobView; step: Step; stuck: boolean }) {
  const { job, pack, state, machine } = view;
  const { cautions, captures, waits } = useStepGate(view, step);
  const { write, problem } = useRecord(job.id);
  const known = state.stuck.find((each) => each.step === step.id);
  return (
    <Card tone="next">
      <WorkHead
        jobId={job.id}
        state={state}
        work={step}
        takes={`${minutesText(step.minutes)}${longest(step) > step.minutes ? t.atWorst(minutesText(longest(step))) : ''}`}
        waits={waits}
      />
      {step.tools.length > 0 ? <Text variant="soft">{shared.layOut(step.tools.join(', '))}</Text> : null}
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      {known ? <Text variant="danger">{t.itWouldNotCome(SNAGS.find(({ id }) => id === known.snag)?.name ?? known.snag)}</Text> : null}
      {stuck || known ? <Snags jobId={job.id} step={step} known={known?.snag} /> : null}
      {captures.map((record) => (
        <CaptureCard key={record.capture.id} jobId={job.id} state={state} record={record} camera={machine?.instruments ?? false} />
      ))}
      {step.loose.length > 0 ? <Text variant="label">{t.comesOff}</Text> : null}
      <LooseList jobId={job.id} step={step} ledger={jobLedger(pack, state)} />
      <ReasonButton
        label={t.passOverIt}
        ask={t.whyOffAlreadyNotThere}
        testID="step-skip"
        onReason={(reason) => void write({ kind: 'stepSkipped', step: step.id, reason })}
      />
      <Problem text={problem} />
    </Card>
  );
}
