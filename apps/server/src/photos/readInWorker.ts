import { createPool, PoolBusy, PoolLate, type Pool } from '../threads/pool.ts';
import { ServerProblem } from '../problems.ts';
import { photoHeader } from './photoHeader.ts';
import type { PhotoReply, ReadPhoto } from './readPhoto.ts';

/** Each holds some hundred megabytes while it decodes; whoever comes after so many waiting comes again later. */
const LIMITS = { threads: 2, queue: 12, deadlineMs: 30_000 };

export type PhotoReader = Pool<{ readonly bytes: Buffer }, PhotoReply>;

export const createPhotoReader = (): PhotoReader => createPool(new URL('./readPhoto.ts', import.meta.url), LIMITS);

/**
 * Reads a photo on a thread, at most two at once. Its header is looked at before anything is decoded.
 * @throws ServerProblem where it is not a whole PNG or JPEG, has too many dots, or nobody is free to read it
 */
export async function readInWorker(reader: PhotoReader, bytes: Buffer): Promise<ReadPhoto> {
  const header = photoHeader(bytes);
  if (!header.ok) throw new ServerProblem(header.code);
  const reply = await reader.run({ bytes }).catch((error: unknown): PhotoReply => {
    if (error instanceof PoolBusy) throw new ServerProblem('photoBusy');
    if (error instanceof PoolLate) throw new ServerProblem('photoLate');
    return { ok: false, code: 'photoBroken' };
  });
  if (!reply.ok) throw new ServerProblem(reply.code);
  return { ...reply.photo, preview: Buffer.from(reply.photo.preview) };
}
