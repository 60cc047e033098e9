import { t } from '@patient-badger/wording/shared';
import type { Payload } from '@patient-badger/core/job';
import { amountText, type DistanceUnit } from './distance.ts';

/** After what something is due again: by use, by date, or whichever comes first. */
export const intervalText = (
  { every, unit = 'hours' }: Pick<Payload<'intervalSet'>, 'every' | 'unit'>,
  distance: DistanceUnit = 'km',
): string =>
  [
    ...(every.units === undefined ? [] : [amountText({ amount: every.units, unit }, distance)]),
    ...(every.days === undefined ? [] : [t.days(every.days)]),
  ].join(t.orWord);
