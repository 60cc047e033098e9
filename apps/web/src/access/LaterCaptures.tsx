import { t } from '@patient-badger/wording/access';
import { reassembly } from '@patient-badger/core/machine';
import { piecesBack } from '@patient-badger/core/job';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { CaptureCard } from './CaptureCard.tsx';
import { useCaptures } from './useCaptures.ts';

/** Positions that were put off because no hand was free, asked for once more while they can still be seen: until their piece is back. */
export function LaterCaptures({ view }: { view: JobView }) {
  const { job, pack, state, machine } = view;
  const back = new Set(piecesBack(pack, state));
  const closed = new Set(
    reassembly(pack, state.reached)
      .filter(({ id }) => back.has(id))
      .flatMap(({ closes }) => closes),
  );
  const put = useCaptures(
    view,
    state.reached.filter((step) => !closed.has(step)),
  ).filter(({ later, toRestore }) => later && !toRestore);
  if (put.length === 0) return null;
  return (
    <>
      <Text variant="strong">{t.putOffTakeThemDown(put.length)}</Text>
      {put.map((record) => (
        <CaptureCard
          key={`${record.step}/${record.capture.id}`}
          jobId={job.id}
          state={state}
          record={{ ...record, taken: false }}
          camera={machine?.instruments ?? false}
        />
      ))}
    </>
  );
}
