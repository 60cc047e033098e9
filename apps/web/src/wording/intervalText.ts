import type { Payload } from '@patient-badger/core';
import { shownAmount, unitWord, type DistanceUnit } from './distance.ts';

/** After what something is due again: by use, by date, or whichever comes first. */
export const intervalText = (
  { every, unit = 'hours' }: Pick<Payload<'intervalSet'>, 'every' | 'unit'>,
  distance: DistanceUnit = 'km',
): string =>
  [
    ...(every.units === undefined
      ? []
      : [`${Number(shownAmount(every.units, unit, distance).toFixed(0)).toLocaleString('en')} ${unitWord(unit, distance)}`]),
    ...(every.days === undefined ? [] : [`${every.days} days`]),
  ].join(' or ');
