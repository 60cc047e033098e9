import { t } from '@patient-badger/wording/scan';
import type { EntryPayload } from '@patient-badger/core/job';

export interface PhotoReading {
  readonly value: number;
  readonly plusMinus: number;
  /** Teeth or threads that it goes over. */
  readonly over?: number;
}

type Quantity = 'teeth' | 'tipDiameterMm' | 'rootDiameterMm' | 'axialPitch' | 'starts';
const COUNTS: ReadonlySet<Quantity> = new Set(['teeth', 'starts']);

/** A dimension as it was read off a photo. */
export const readOnPhoto = (gear: string, quantity: Quantity, { value, plusMinus, over }: PhotoReading): EntryPayload => ({
  kind: 'dimensionRead',
  gear,
  quantity,
  reading: { value, plusMinus },
  instrument: 'photo',
  entered: COUNTS.has(quantity) ? t.onAPhoto(value) : t.mmOnAPhoto(value.toFixed(2)),
  ...(over !== undefined && { over }),
});
