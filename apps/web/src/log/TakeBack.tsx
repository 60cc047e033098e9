import type { EntryPayload } from '@patient-badger/core';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { describeEntry } from './describeEntry.ts';
import type { JobView } from '../job/JobView.ts';

interface Props {
  readonly view: JobView;
  /** What can be taken back right here; anything else in the log. */
  readonly kinds: readonly EntryPayload['kind'][];
}

/** Takes back the last thing of its kind that was written on the job, and says what that is. */
export function TakeBack({ view: { job, state, pack }, kinds }: Props) {
  const { write, problem } = useRecord(job.id);
  const last = state.active.findLast(({ payload }) => kinds.includes(payload.kind));
  if (!last) return null;
  return (
    <>
      <Button
        variant="quiet"
        label="Take the last one back"
        detail={describeEntry(last.payload, pack)}
        testID="take-back"
        onPress={() => void write({ kind: 'withdrawn', entry: last.id })}
      />
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </>
  );
}
