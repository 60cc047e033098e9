import { isProblem } from '../problems.ts';
import { readPhoto, type ReadPhoto } from './readPhoto.ts';

export type DecodeReply = { readonly ok: true; readonly photo: ReadPhoto } | { readonly ok: false; readonly code: string };

/** Decoding twelve megapixels takes a second or more: not on the thread that answers everybody. */
export function work({ bytes }: { readonly bytes: Uint8Array }): DecodeReply {
  try {
    return { ok: true, photo: readPhoto(Buffer.from(bytes)) };
  } catch (error) {
    return { ok: false, code: isProblem(error) ? error.code : 'photoBroken' };
  }
}
