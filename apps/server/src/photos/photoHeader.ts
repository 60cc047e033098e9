import { imageSize } from 'image-size';
import { typeOf } from './readPhoto.ts';

/** Phones take 12 million dots as a rule; a decoded dot is four bytes and more. */
export const MOST_PIXELS = 25_000_000;
/** Interlaced, a PNG is put together in seven passes, each with buffers of its own. */
const MOST_INTERLACED_PIXELS = 6_000_000;

type Header =
  | { readonly ok: true; readonly width: number; readonly height: number }
  | { readonly ok: false; readonly code: 'photoWrongType' | 'photoBroken' | 'photoTooManyPixels' };

/** What a photo says of itself, before a byte of it is decoded. */
export function photoHeader(bytes: Buffer): Header {
  const type = typeOf(bytes);
  if (!type) return { ok: false, code: 'photoWrongType' };
  try {
    const { width, height } = imageSize(bytes);
    if (!(width > 0 && height > 0)) return { ok: false, code: 'photoBroken' };
    const interlaced = type === 'image/png' && bytes[28] !== 0;
    const most = interlaced ? MOST_INTERLACED_PIXELS : MOST_PIXELS;
    return width * height > most ? { ok: false, code: 'photoTooManyPixels' } : { ok: true, width, height };
  } catch {
    return { ok: false, code: 'photoBroken' };
  }
}
