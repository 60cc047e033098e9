import { t } from '@patient-badger/wording/scan';
import type { ScanRead } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';
import type { ScanExtras } from './scan.worker.ts';

interface ScanEntry extends ScanExtras {
  readonly gear: string;
  readonly hash: string;
  readonly found: ScanRead;
}

/** What is written down of a count on a photo: the scan itself, and the readings that the gear card goes on with. */
export function scanEntries({ gear, hash, found, correction, scale }: ScanEntry): readonly EntryPayload[] {
  const read = (quantity: 'teeth' | 'tipDiameterMm' | 'rootDiameterMm', value: number, plusMinus: number): EntryPayload => ({
    kind: 'dimensionRead',
    gear,
    quantity,
    reading: { value, plusMinus },
    instrument: 'photo',
    entered: quantity === 'teeth' ? t.onAPhoto(value) : t.mmOnAPhoto(value.toFixed(2)),
  });
  const { tipDiameterMm: tip, rootDiameterMm: root } = found;
  return [
    { kind: 'teethScanned', gear, hash, found, ...(correction && { correction }), ...(scale && { scale }) },
    read('teeth', found.teeth, 0),
    ...(tip ? [read('tipDiameterMm', tip.value, tip.plusMinus)] : []),
    ...(root ? [read('rootDiameterMm', root.value, root.plusMinus)] : []),
  ];
}
