import { inflateSync } from 'node:zlib';
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

/** Null where the file is damaged. Its size in dots was looked at before. */
function decode(type: ReadPhoto['type'], bytes: Buffer) {
  try {
    if (type === 'image/jpeg') return jpeg.decode(bytes, { useTArray: true, tolerantDecoding: false, maxMemoryUsageInMB: MOST_JPEG_MB });
    if (!inflatesAsItSays(bytes)) return null;
    return PNG.sync.read(bytes);
  } catch {
    return null;
  }
}

/** So many megabytes the JPEG decoder may take for its tables of 25 million dots. */
const MOST_JPEG_MB = 512;
/** The widest dot of a PNG: four samples of two bytes. */
const MOST_BYTES_A_DOT = 8;

/**
 * A few hundred kilobytes of a PNG can inflate to gigabytes behind a header that claims one dot. Its data is
 * inflated up to what the header allows, and no further (ISO/IEC 15948, 11.2.4: the IDAT chunks are one stream).
 */
function inflatesAsItSays(bytes: Buffer): boolean {
  const [width, height] = [bytes.readUInt32BE(16), bytes.readUInt32BE(20)];
  const pieces: Buffer[] = [];
  for (let at = 8; at + 12 <= bytes.length;) {
    const length = bytes.readUInt32BE(at);
    if (bytes.toString('latin1', at + 4, at + 8) === 'IDAT') pieces.push(bytes.subarray(at + 8, at + 8 + length));
    at += 12 + length;
  }
  // A byte before each line, in each of the seven passes where it is interlaced.
  const most = width * height * MOST_BYTES_A_DOT + 7 * (height + 8);
  inflateSync(Buffer.concat(pieces), { maxOutputLength: most });
  return true;
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
