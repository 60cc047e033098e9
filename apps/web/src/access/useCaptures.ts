import { captureAbout, captureRecords, type CaptureRecord } from '@patient-badger/core/job';
import { useWaiting } from '../data/shop.ts';
import type { JobView } from '../job/JobView.ts';

/** A capture as this device knows it: with the photos of it that are still here. */
export interface CaptureHere extends CaptureRecord {
  readonly waiting: readonly Blob[];
}

/** The captures of these steps. A photo that is still on its way to the server counts as taken: without a connection it is all there is. */
export function useCaptures(
  { job, pack, state }: Pick<JobView, 'job' | 'pack' | 'state'>,
  steps: readonly string[],
): readonly CaptureHere[] {
  const box = useWaiting();
  return captureRecords(pack, steps, state).map((record) => {
    const about = captureAbout(record.step, record.capture.id);
    const waiting = box.flatMap((item) => (item.kind === 'photo' && item.jobId === job.id && item.about === about ? [item.blob] : []));
    return { ...record, waiting, ...(waiting.length > 0 && { taken: true, toRestore: true }) };
  });
}
