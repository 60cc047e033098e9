import { t } from '@patient-badger/wording/scan';
import type { EntryPayload } from '@patient-badger/core/job';

export interface PhotoReading {
  readonly value: number;
  readonly plusMinus: number;
  /** Teeth or threads that it goes over. */
  readonly over?: number;
}

type Quantity = 'teeth' | 'tipDiameterMm' | 'outsideDiameterMm' | 'rootDiameterMm' | 'axialPitch' | 'starts' | 'arcDeg';
const entered = (quantity: Quantity, value: number): string => {
  if (quantity === 'teeth' || quantity === 'starts') return t.onAPhoto(value);
  return quantity === 'arcDeg' ? t.degOnAPhoto(value.toFixed(1)) : t.mmOnAPhoto(value.toFixed(2));
};

/** A dimension as it was read off a photo. */
export const readOnPhoto = (gear: string, quantity: Quantity, { value, plusMinus, over }: PhotoReading): EntryPayload => ({
  kind: 'dimensionRead',
  gear,
  quantity,
  reading: { value, plusMinus },
  instrument: 'photo',
  entered: entered(quantity, value),
  ...(over !== undefined && { over }),
});
