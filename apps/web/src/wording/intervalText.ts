import type { Payload } from '@patient-badger/core';

/** After what something is due again: by use, by date, or whichever comes first. */
export const intervalText = ({ every, unit }: Pick<Payload<'intervalSet'>, 'every' | 'unit'>): string =>
  [
    ...(every.units === undefined ? [] : [`${every.units.toLocaleString('en')} ${unit === 'km' ? 'km' : 'hours'}`]),
    ...(every.days === undefined ? [] : [`${every.days} days`]),
  ].join(' or ');
