import { t } from '@patient-badger/wording/photo';
import { PHOTO_MOST_BYTES } from '@patient-badger/contract';

/** What would be refused anyway is refused here, before it costs anybody's connection; null where it can be kept. */
export async function photoRefusal(file: Blob): Promise<string | null> {
  if (file.size > PHOTO_MOST_BYTES) return t.thisPhotoHasMb10(Math.round(file.size / 1048576));
  const head = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  const png = head[0] === 0x89 && head[1] === 0x50;
  const jpeg = head[0] === 0xff && head[1] === 0xd8;
  return png || jpeg ? null : t.onlyPngAndJpegPhotos;
}
