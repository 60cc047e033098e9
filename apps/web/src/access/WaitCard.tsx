import { t } from '@patient-badger/wording/access';
import type { JobState } from '@patient-badger/core/job';
import { waitState, type Wait } from '@patient-badger/core/machine';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { minutesText } from '../wording/words.ts';
import { clockText } from './clockText.ts';
import { ReasonButton } from './ReasonButton.tsx';
import { useNow } from './useNow.ts';

/** A time that has to pass: started by hand, by whose figure, and running on by what was written down. */
export function WaitCard({ jobId, state, wait }: { jobId: string; state: JobState; wait: Wait }) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState('');
  const now = useNow(true);
  const stands = waitState(wait.id, { started: state.waits, cut: state.waitsCut, now });
  const run = state.waits.findLast((each) => each.wait === wait.id);
  const own = typedNumber(typed);
  const minutes = typed.trim() === '' ? wait.minutes : own;
  const usable = minutes !== undefined && Number.isFinite(minutes) && minutes > 0;
  const start = () => {
    if (minutes === undefined || !usable) return;
    const source = typed.trim() === '' ? t.theFamilysUsualTime : t.theMakersFigure;
    void write({ kind: 'waitStarted', wait: wait.id, minutes, source });
  };
  return (
    <Card tone={stands.state === 'over' || stands.state === 'cutShort' ? 'plain' : 'next'}>
      <Text variant="label">{t.aTimeThatHasTo}</Text>
      <Text variant="strong">{wait.name}</Text>
      {stands.state === 'notStarted' ? (
        <>
          <Text>{t.since(wait.why)}</Text>
          <Field
            label={wait.minutes ? t.minutesUsually(wait.minutes) : t.minutesFromTheMakersManual}
            inputMode="decimal"
            value={typed}
            onChangeText={setTyped}
            problem={typed.trim() !== '' && !usable ? t.giveTheMinutesAsA : undefined}
          />
          <Button
            variant="primary"
            disabled={!usable}
            label={usable && minutes !== undefined ? t.start(minutesText(minutes)) : t.startTheTime}
            testID={`start-${wait.id}`}
            onPress={start}
          />
        </>
      ) : null}
      {stands.state === 'running' ? (
        <>
          <Text variant="title" testID={`left-${wait.id}`} aria-live="off">
            {clockText(stands.secondsLeft)}
          </Text>
          <Text variant="soft">{t.overAtByItRuns(format(parseISO(stands.endsAt), 'HH:mm'), run?.source ?? '')}</Text>
        </>
      ) : null}
      {stands.state === 'over' ? <Text>{t.itHasPassed(run ? minutesText(run.minutes) : '')}</Text> : null}
      {stands.state === 'cutShort' ? <Text>{t.notWaitedFor(stands.reason)}</Text> : null}
      {stands.state === 'notStarted' || stands.state === 'running' ? (
        <ReasonButton
          label={t.notNeededHere}
          ask={t.whyNeedItNotPass}
          testID={`cut-${wait.id}`}
          onReason={(reason) => void write({ kind: 'waitCut', wait: wait.id, reason })}
        />
      ) : null}
      <Problem text={problem} />
    </Card>
  );
}

/** Whether a wait still stands in the way at this moment. */
export function stillWaits(state: JobState, wait: Wait | undefined, now: Date): boolean {
  if (!wait) return false;
  const { state: stands } = waitState(wait.id, { started: state.waits, cut: state.waitsCut, now });
  return stands === 'notStarted' || stands === 'running';
}
