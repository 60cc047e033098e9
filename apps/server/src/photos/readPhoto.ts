import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';

export interface ReadPhoto {
  readonly type: 'image/png' | 'image/jpeg';
  readonly width: number;
  readonly height: number;
  /** A small JPEG for lists. */
  readonly preview: Buffer;
}

const PREVIEW_PX = 240;
const MOST_PIXELS = 40_000_000;

export type PhotoReply =
  { readonly ok: true; readonly photo: ReadPhoto } | { readonly ok: false; readonly code: 'photoWrongType' | 'photoBroken' };

/**
 * Decodes a photo by its content, whatever it calls itself; a refusal is data, since this runs on a thread.
 * Twelve megapixels take a second or more. Nothing else of the house is imported here: each photo starts a
 * thread, and a thread loads all that its module imports.
 */
export function readPhoto(bytes: Buffer): PhotoReply {
  const type = typeOf(bytes);
  if (!type) return { ok: false, code: 'photoWrongType' };
  const decoded = decode(type, bytes);
  if (!decoded) return { ok: false, code: 'photoBroken' };
  const { width, height, data } = decoded;
  return { ok: true, photo: { type, width, height, preview: preview(width, height, data) } };
}

/** What the thread does. */
export const work = ({ bytes }: { readonly bytes: Uint8Array }): PhotoReply => readPhoto(Buffer.from(bytes));

/** The first bytes tell: PNG signature (ISO/IEC 15948), JPEG start of image (ISO/IEC 10918-1). */
export function typeOf(bytes: Buffer): ReadPhoto['type'] | null {
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return 'image/png';
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg';
  return null;
}

/** Null where the file is damaged or too large. */
function decode(type: ReadPhoto['type'], bytes: Buffer) {
  try {
    if (type === 'image/jpeg')
      return jpeg.decode(bytes, {
        useTArray: true,
        tolerantDecoding: false,
        maxMemoryUsageInMB: 700,
        maxResolutionInMP: MOST_PIXELS / 1e6,
      });
    // The header is read first: a few kilobytes can claim a picture of a thousand megapixels.
    if (bytes.length < 24 || bytes.readUInt32BE(16) * bytes.readUInt32BE(20) > MOST_PIXELS) return null;
    return PNG.sync.read(bytes);
  } catch {
    return null;
  }
}

/** Box-sampled thumbnail: each small pixel is the mean of a few of those it covers. */
function preview(width: number, height: number, data: Uint8Array): Buffer {
  const scale = Math.max(1, Math.max(width, height) / PREVIEW_PX);
  const [w, h] = [Math.max(1, Math.floor(width / scale)), Math.max(1, Math.floor(height / scale))];
  const small = Buffer.alloc(w * h * 4, 255);
  const taps = 4;
  for (let y = 0; y < h; y++) {
    for (let x = 0; x < w; x++) {
      const sum = [0, 0, 0];
      for (let t = 0; t < taps * taps; t++) {
        const sx = Math.min(width - 1, Math.floor((x + ((t % taps) + 0.5) / taps) * scale));
        const sy = Math.min(height - 1, Math.floor((y + (Math.floor(t / taps) + 0.5) / taps) * scale));
        for (let c = 0; c < 3; c++) sum[c] = (sum[c] ?? 0) + (data[(sy * width + sx) * 4 + c] ?? 0);
      }
      for (let c = 0; c < 3; c++) small[(y * w + x) * 4 + c] = (sum[c] ?? 0) / (taps * taps);
    }
  }
  return Buffer.from(jpeg.encode({ width: w, height: h, data: small }, 75).data);
}
