import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../job/JobView.ts';

/** One object, so that what is worked out for it is found again. */
const NOTHING_READ: GearState = { readings: {} };

/** What was read of a gear in this job. */
export const gearOn = ({ state }: Pick<JobView, 'state'>, { id }: Pick<GearCard, 'id'>): GearState => state.gears[id] ?? NOTHING_READ;
