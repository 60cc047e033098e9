import type { Pack } from '@patient-badger/core';

/** The name of a body, joint or outlier. */
export const placeName = ({ driveline, outliers }: Pick<Pack, 'driveline' | 'outliers'>, id: string): string =>
  [...driveline.bodies, ...driveline.joints, ...outliers].find((each) => each.id === id)?.name ?? id;
