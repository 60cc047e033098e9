import { t } from '@patient-badger/wording/machine';
import type { MachineHistory } from '@patient-badger/contract';
import { format, parseISO } from 'date-fns';
import { distanceText, type DistanceUnit } from '../wording/distance.ts';

/** When a part went in and what it has worked since. */
export function partText(
  { state, at, fromShelf, hours, workedHours, km, workedKm }: MachineHistory['parts'][number],
  distance: DistanceUnit,
): string {
  const how = state === 'fitted' ? t.fitted(day(at)) : t.acceptedNotNotedAsFitted(day(at));
  const meters = [
    ...(hours === undefined ? [] : [t.atHHSince(hours, workedHours ?? 0)]),
    ...(km === undefined ? [] : [t.atSince(distanceText(km, distance), distanceText(workedKm ?? 0, distance))]),
  ];
  return [how, ...(fromShelf ? [t.offTheShelf] : []), ...meters].join('; ');
}

const day = (at: string) => format(parseISO(at), 'd MMM yyyy');
