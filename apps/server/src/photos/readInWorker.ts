import { isProblemCode, ServerProblem } from '../problems.ts';
import { onThread } from '../threads/onThread.ts';
import type { DecodeReply } from './decodePhoto.ts';
import type { ReadPhoto } from './readPhoto.ts';

const DEADLINE_MS = 20_000;

/** Reads a photo on a thread of its own. @throws ServerProblem as `readPhoto` does, or where it takes too long */
export async function readInWorker(bytes: Buffer): Promise<ReadPhoto> {
  const reply = await onThread<{ bytes: Buffer }, DecodeReply>(
    new URL('./decodePhoto.ts', import.meta.url),
    { bytes },
    { deadlineMs: DEADLINE_MS },
  ).catch((): DecodeReply => ({ ok: false, code: 'photoBroken' }));
  if (reply.ok) return { ...reply.photo, preview: Buffer.from(reply.photo.preview) };
  throw new ServerProblem(isProblemCode(reply.code) ? reply.code : 'photoBroken');
}
