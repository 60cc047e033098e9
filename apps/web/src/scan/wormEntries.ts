import type { WormScanRead } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';
import { readOnPhoto, type PhotoReading } from './readOnPhoto.ts';

/** The pitch as a length: by a scale on the photo, else by the outside diameter that was measured; null while neither is known. */
export function pitchOf({ axialPitchMm, pitchShare }: WormScanRead, outside: PhotoReading | undefined): PhotoReading | null {
  if (axialPitchMm) return axialPitchMm;
  if (!outside) return null;
  const value = pitchShare.value * outside.value;
  return { value, plusMinus: value * Math.hypot(pitchShare.plusMinus / pitchShare.value, outside.plusMinus / outside.value) };
}

interface WormEntry {
  readonly gear: string;
  readonly found: WormScanRead;
  readonly outside: PhotoReading | undefined;
}

/** What is written down of a worm read on a photo: the readings that its card goes on with, and its hand. */
export function wormEntries({ gear, found, outside }: WormEntry): readonly EntryPayload[] {
  const { threads, starts, hand, tipDiameterMm: tip } = found;
  const pitch = pitchOf(found, outside);
  return [
    ...(pitch
      ? [readOnPhoto(gear, 'axialPitch', { value: pitch.value * threads, plusMinus: pitch.plusMinus * threads, over: threads })]
      : []),
    ...(tip ? [readOnPhoto(gear, 'tipDiameterMm', tip)] : []),
    ...(starts === null ? [] : [readOnPhoto(gear, 'starts', { value: starts, plusMinus: 0 })]),
    ...(hand === null ? [] : [{ kind: 'handNoted' as const, gear, hand }]),
  ];
}
