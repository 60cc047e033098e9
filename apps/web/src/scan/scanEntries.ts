import type { ScanRead } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';
import { readOnPhoto } from './readOnPhoto.ts';
import type { ScanExtras } from './scan.worker.ts';

interface ScanEntry extends ScanExtras {
  readonly gear: string;
  readonly hash: string;
  readonly found: ScanRead;
}

/** What is written down of a count on a photo: the scan itself, and the readings that the gear card goes on with. */
export function scanEntries({ gear, hash, found, correction, scale }: ScanEntry): readonly EntryPayload[] {
  const { tipDiameterMm: tip, rootDiameterMm: root } = found;
  return [
    { kind: 'teethScanned', gear, hash, found, ...(correction && { correction }), ...(scale && { scale }) },
    readOnPhoto(gear, 'teeth', { value: found.teeth, plusMinus: 0 }),
    ...(tip ? [readOnPhoto(gear, 'tipDiameterMm', tip)] : []),
    ...(root ? [readOnPhoto(gear, 'rootDiameterMm', root)] : []),
  ];
}
