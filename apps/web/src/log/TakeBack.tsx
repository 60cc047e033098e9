import { t } from '@patient-badger/wording/log';
import type { EntryPayload } from '@patient-badger/core/job';
import { useTakeBack } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { describeEntry } from './describeEntry.ts';
import type { JobView } from '../job/JobView.ts';

interface Props {
  readonly view: JobView;
  /** What can be taken back right here; anything else in the log. */
  readonly kinds: readonly EntryPayload['kind'][];
}

/** Takes back the last thing of its kind that was written on the job, and says what that is. */
export function TakeBack({ view: { job, state, pack }, kinds }: Props) {
  const last = state.active.findLast(({ payload }) => kinds.includes(payload.kind));
  const { takeBack, problem } = useTakeBack(job.id, last?.id);
  if (!last) return null;
  return (
    <>
      <Button
        variant="quiet"
        label={t.takeTheLastOneBack}
        detail={describeEntry(last.payload, pack)}
        testID="take-back"
        onPress={() => void takeBack()}
      />
      <Problem text={problem} />
    </>
  );
}
