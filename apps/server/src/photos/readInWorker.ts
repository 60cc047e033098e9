import { ServerProblem } from '../problems.ts';
import { onThread } from '../threads/onThread.ts';
import type { PhotoReply, ReadPhoto } from './readPhoto.ts';

const DEADLINE_MS = 20_000;

/** Reads a photo on a thread of its own. @throws ServerProblem where it is not a whole PNG or JPEG, or takes too long */
export async function readInWorker(bytes: Buffer): Promise<ReadPhoto> {
  const reply = await onThread<{ bytes: Buffer }, PhotoReply>(
    new URL('./readPhoto.ts', import.meta.url),
    { bytes },
    { deadlineMs: DEADLINE_MS },
  ).catch((): PhotoReply => ({ ok: false, code: 'photoBroken' }));
  if (!reply.ok) throw new ServerProblem(reply.code);
  return { ...reply.photo, preview: Buffer.from(reply.photo.preview) };
}
