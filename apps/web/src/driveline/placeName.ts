import type { Pack } from '@patient-badger/core/machine';

/** The name of a body, joint or auxiliary. */
export const placeName = ({ driveline, auxiliaries }: Pick<Pack, 'driveline' | 'auxiliaries'>, id: string): string =>
  [...driveline.bodies, ...driveline.joints, ...auxiliaries].find((each) => each.id === id)?.name ?? id;
