import { waitState, type JobState, type Wait } from '@patient-badger/core';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
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
    const source = typed.trim() === '' ? 'the family’s usual time' : 'the maker’s figure';
    void write({ kind: 'waitStarted', wait: wait.id, minutes, source });
  };
  return (
    <Card tone={stands.state === 'over' || stands.state === 'cutShort' ? 'plain' : 'next'}>
      <Text variant="label">A time that has to pass</Text>
      <Text variant="strong">{wait.name}</Text>
      {stands.state === 'notStarted' ? (
        <>
          <Text>Since {wait.why}.</Text>
          <Field
            label={wait.minutes ? `Minutes (usually ${wait.minutes})` : 'Minutes from the maker’s manual'}
            inputMode="decimal"
            value={typed}
            onChangeText={setTyped}
            problem={typed.trim() !== '' && !usable ? 'Give the minutes as a number.' : undefined}
          />
          <Button
            variant="primary"
            disabled={!usable}
            label={usable && minutes !== undefined ? `Start ${minutesText(minutes)}` : 'Start the time'}
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
          <Text variant="soft">
            Over at {format(parseISO(stands.endsAt), 'HH:mm')}, by {run?.source}. It runs on with the page closed.
          </Text>
        </>
      ) : null}
      {stands.state === 'over' ? <Text>It has passed ({run ? minutesText(run.minutes) : ''}).</Text> : null}
      {stands.state === 'cutShort' ? <Text>Not waited for: {stands.reason}</Text> : null}
      {stands.state === 'notStarted' || stands.state === 'running' ? (
        <ReasonButton
          label="Not needed here"
          ask="Why need it not pass?"
          testID={`cut-${wait.id}`}
          onReason={(reason) => void write({ kind: 'waitCut', wait: wait.id, reason })}
        />
      ) : null}
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}

/** Whether a wait still stands in the way at this moment. */
export function stillWaits(state: JobState, wait: Wait | undefined, now: Date): boolean {
  if (!wait) return false;
  const { state: stands } = waitState(wait.id, { started: state.waits, cut: state.waitsCut, now });
  return stands === 'notStarted' || stands === 'running';
}
