import { t } from '@patient-badger/wording/scan';
import type { WormScanRead } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';

export interface MeasuredMm {
  readonly value: number;
  readonly plusMinus: number;
}

/** The pitch as a length: by a scale on the photo, else by the outside diameter that was measured; null while neither is known. */
export function pitchOf({ axialPitchMm, pitchShare }: WormScanRead, outside: MeasuredMm | undefined): MeasuredMm | null {
  if (axialPitchMm) return axialPitchMm;
  if (!outside) return null;
  const value = pitchShare.value * outside.value;
  return { value, plusMinus: value * Math.hypot(pitchShare.plusMinus / pitchShare.value, outside.plusMinus / outside.value) };
}

interface WormEntry {
  readonly gear: string;
  readonly found: WormScanRead;
  readonly outside: MeasuredMm | undefined;
}

/** What is written down of a worm read on a photo: the readings that its card goes on with, and its hand. */
export function wormEntries({ gear, found, outside }: WormEntry): readonly EntryPayload[] {
  const { threads, starts, hand, tipDiameterMm: tip } = found;
  const pitch = pitchOf(found, outside);
  const read = (quantity: 'axialPitch' | 'tipDiameterMm' | 'starts', { value, plusMinus }: MeasuredMm, over?: number): EntryPayload => ({
    kind: 'dimensionRead',
    gear,
    quantity,
    reading: { value, plusMinus },
    instrument: 'photo',
    entered: quantity === 'starts' ? t.onAPhoto(value) : t.mmOnAPhoto(value.toFixed(2)),
    ...(over !== undefined && { over }),
  });
  return [
    ...(pitch ? [read('axialPitch', { value: pitch.value * threads, plusMinus: pitch.plusMinus * threads }, threads)] : []),
    ...(tip ? [read('tipDiameterMm', tip)] : []),
    ...(starts === null ? [] : [read('starts', { value: starts, plusMinus: 0 })]),
    { kind: 'handNoted', gear, hand },
  ];
}
