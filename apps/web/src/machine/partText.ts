import type { MachineHistory } from '@patient-badger/contract';
import { format, parseISO } from 'date-fns';
import { distanceText, type DistanceUnit } from '../wording/distance.ts';

/** When a part went in and what it has worked since. */
export function partText(
  { state, at, fromShelf, hours, workedHours, km, workedKm }: MachineHistory['parts'][number],
  distance: DistanceUnit,
): string {
  const how = state === 'fitted' ? `Fitted ${day(at)}` : `Accepted ${day(at)}, not noted as fitted`;
  const meters = [
    ...(hours === undefined ? [] : [`at ${hours} h, ${workedHours ?? 0} h since`]),
    ...(km === undefined ? [] : [`at ${distanceText(km, distance)}, ${distanceText(workedKm ?? 0, distance)} since`]),
  ];
  return [how, ...(fromShelf ? ['off the shelf'] : []), ...meters].join('; ');
}

const day = (at: string) => format(parseISO(at), 'd MMM yyyy');
