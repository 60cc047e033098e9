import { t } from '@patient-badger/wording/photo';
import { useEffect, useMemo } from 'react';
import { Image } from 'react-native';
import { PHOTO_SHAPE } from './MarkedPhoto.tsx';

/** A photo that the server does not have yet, from this device. */
export function WaitingPhoto({ blob, width }: { blob: Blob; width: number }) {
  const uri = useMemo(() => URL.createObjectURL(blob), [blob]);
  useEffect(() => () => URL.revokeObjectURL(uri), [uri]);
  return (
    <Image
      source={{ uri }}
      aria-label={t.photoNotSentYet}
      style={{ width, height: width / PHOTO_SHAPE }}
      className="rounded-md border-2 border-line"
    />
  );
}
