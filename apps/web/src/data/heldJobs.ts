import type { Entry } from '@patient-badger/core/job';
import type { Job } from '@patient-badger/contract';
import type { QueryClient } from '@tanstack/react-query';

/** A job as far as its own taking in tells of it. */
export const begunBy = (list: readonly Entry[]): Job | undefined => {
  const takeIn = list.find(({ payload }) => payload.kind === 'takenIn');
  if (takeIn?.payload.kind !== 'takenIn') return undefined;
  return { id: takeIn.jobId, machineId: takeIn.payload.machineId, family: takeIn.payload.family, safetyCritical: false, entries: [takeIn] };
};

/** Entries after which a machine's past is another. */
const TELLS_OF_MACHINE = new Set(['takenIn', 'partFitted', 'partAccepted', 'plateRead', 'withdrawn']);

/** Puts an entry that is on the server into the job that is held, so that nothing flickers while it is asked for again. */
export function addEntry(client: QueryClient, entry: Entry): void {
  client.setQueryData<Job>(['job', entry.jobId], (held) => (held ? withEntry(held, entry) : begunBy([entry])));
  if (TELLS_OF_MACHINE.has(entry.payload.kind)) void client.invalidateQueries({ queryKey: ['machine-history'] });
}

const withEntry = (held: Job, entry: Entry): Job => {
  const at = held.entries.findIndex(({ id }) => id === entry.id);
  return { ...held, entries: at < 0 ? [...held.entries, entry] : held.entries.with(at, entry) };
};
