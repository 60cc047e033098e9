import { t } from '@patient-badger/wording/scan';
import { scanTeeth, type Scan, type ScanCorrection, type ScanProgress, type ScanScale } from '@patient-badger/core/gear';
import { expose } from 'comlink';

let photo: { readonly blob: Blob; readonly pixels: ImageData } | undefined;

/** Counts on a thread of its own; the pixels of the last photo are kept for when something is put right. */
const api = {
  async scan(
    blob: Blob,
    more: { readonly scale?: ScanScale | undefined; readonly correction?: ScanCorrection | undefined },
    onProgress: ScanProgress,
  ): Promise<ScanReply> {
    if (photo?.blob !== blob) photo = { blob, pixels: await pixelsOf(blob) };
    const { width, height, data } = photo.pixels;
    return { width, height, scan: scanTeeth({ width, height, rgba: data, ...more }, onProgress) };
  },
};

export interface ScanReply {
  readonly width: number;
  readonly height: number;
  readonly scan: Scan;
}

async function pixelsOf(blob: Blob): Promise<ImageData> {
  // Turned as the camera says it was held, as the photo is shown.
  const picture = await createImageBitmap(blob, { imageOrientation: 'from-image' });
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error(t.thisBrowserCannotReadThe);
  context.drawImage(picture, 0, 0);
  return context.getImageData(0, 0, picture.width, picture.height);
}

export type ScanApi = typeof api;
expose(api);
