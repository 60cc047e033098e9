import type { GearKind, GearQuantity, ScanRead } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';
import { readOnPhoto } from './readOnPhoto.ts';
import type { ScanExtras } from './scan.worker.ts';

interface ScanEntry extends ScanExtras {
  readonly gear: string;
  readonly hash: string;
  readonly found: ScanRead;
  /** What it is measured as; absent where it has no card. */
  readonly kind: GearKind | undefined;
}

/** What is written down of a count on a photo: the scan itself, and the readings that the gear card goes on with. */
export function scanEntries({ gear, hash, found, kind, correction, scale }: ScanEntry): readonly EntryPayload[] {
  const { tipDiameterMm: tip, rootDiameterMm: root } = found;
  const has = (quantity: GearQuantity) => kind?.quantities.includes(quantity) ?? true;
  // A photo from above sees a wheel's outermost edges, not its throat.
  const outermost = has('outsideDiameterMm') && kind ? 'outsideDiameterMm' : 'tipDiameterMm';
  return [
    { kind: 'teethScanned', gear, hash, found, ...(correction && { correction }), ...(scale && { scale }) },
    readOnPhoto(gear, 'teeth', { value: found.teeth, plusMinus: 0 }),
    ...(tip ? [readOnPhoto(gear, outermost, tip)] : []),
    ...(root && has('rootDiameterMm') ? [readOnPhoto(gear, 'rootDiameterMm', root)] : []),
  ];
}
