import { t } from '@patient-badger/wording/scan';
import {
  scanSector,
  scanTeeth,
  scanWorm,
  type Scan,
  type ScanCorrection,
  type ScanProgress,
  type ScanReference,
  type ScanScale,
  type SectorScan,
  type WormScan,
} from '@patient-badger/core/gear';
import { expose } from 'comlink';

let photo: { readonly blob: Blob; readonly pixels: ImageData } | undefined;

/** Reads on a thread of its own; the pixels of the last photo are kept for when something is put right. */
const api = {
  async teeth(blob: Blob, more: ScanExtras, onProgress: ScanProgress): Promise<ScanReply<Scan>> {
    const { width, height, rgba } = await laidOpen(blob);
    return { width, height, scan: scanTeeth({ width, height, rgba, ...more }, onProgress) };
  },
  async worm(blob: Blob, { scale }: ScanExtras, onProgress: ScanProgress): Promise<ScanReply<WormScan>> {
    const { width, height, rgba } = await laidOpen(blob);
    return { width, height, scan: scanWorm({ width, height, rgba, scale }, onProgress) };
  },
  async sector(blob: Blob, { scale, reference }: ScanExtras, onProgress: ScanProgress): Promise<ScanReply<SectorScan>> {
    const { width, height, rgba } = await laidOpen(blob);
    return { width, height, scan: scanSector({ width, height, rgba, scale, reference }, onProgress) };
  },
};

async function laidOpen(blob: Blob) {
  if (photo?.blob !== blob) photo = { blob, pixels: await pixelsOf(blob) };
  const { width, height, data } = photo.pixels;
  return { width, height, rgba: data };
}

export interface ScanExtras {
  readonly scale?: ScanScale | undefined;
  readonly correction?: ScanCorrection | undefined;
  readonly reference?: ScanReference | undefined;
}

export interface ScanReply<Read> {
  readonly width: number;
  readonly height: number;
  readonly scan: Read;
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
