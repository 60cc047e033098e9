import type { SectorScanRead } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';
import { readOnPhoto } from './readOnPhoto.ts';

interface SectorEntry {
  readonly gear: string;
  readonly kind: string | undefined;
  readonly found: SectorScanRead;
}

/**
 * What is written down of a piece of a round read on a photo: the arc, over as many pitches as it holds. A worm-driven sector goes on
 * with the teeth that are there; any other with the circle of its tips.
 */
export function sectorEntries({ gear, kind, found }: SectorEntry): readonly EntryPayload[] {
  const { teeth, arcDeg, tipDiameterMm: tip } = found;
  return [
    readOnPhoto(gear, 'arcDeg', { ...arcDeg, over: teeth - 1 }),
    ...(kind === 'wormSector' ? [readOnPhoto(gear, 'teeth', { value: teeth, plusMinus: 0 })] : []),
    ...(kind !== 'wormSector' && tip ? [readOnPhoto(gear, 'tipDiameterMm', tip)] : []),
  ];
}
