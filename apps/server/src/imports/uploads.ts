import { createWriteStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ServerProblem } from '../problems.ts';

/** A list of 100,000 parts and some. */
export const MOST_BYTES = 64 * 1024 * 1024;
/** So many are received at once; the next is told to come again. */
const AT_ONCE = 4;
/** Half-sent lists of one shop that are kept to be sent on, and for how long. */
const MOST_HALF_SENT = 4;
const KEPT_MS = 3_600_000;

interface Upload {
  readonly file: string;
  at: number;
}

/**
 * Lists on their way in, written to the disk as they come: what is half sent lies there and not in memory, and is sent
 * on from where it was cut.
 */
export function createUploads() {
  const known = new Map<string, Upload>();
  let receiving = 0;
  let home: Promise<string> | undefined;

  const placeOf = async (shopId: string, id: string): Promise<Upload> => {
    home ??= mkdtemp(join(tmpdir(), 'badger-lists-'));
    const key = `${shopId}/${id}`;
    for (const [other, { file, at }] of known) {
      if (Date.now() - at < KEPT_MS) continue;
      known.delete(other);
      await rm(file, { force: true });
    }
    const before = known.get(key);
    if (before) return before;
    if ([...known.keys()].filter((each) => each.startsWith(`${shopId}/`)).length >= MOST_HALF_SENT) throw new ServerProblem('importBusy');
    const made = { file: join(await home, `${id}.ndjson`), at: Date.now() };
    known.set(key, made);
    return made;
  };
  const sizeOf = async ({ file }: Upload) => (await stat(file).catch(() => ({ size: 0 }))).size;

  return {
    /** How much of it has come. */
    size: async (shopId: string, id: string): Promise<number> => {
      const before = known.get(`${shopId}/${id}`);
      return before ? sizeOf(before) : 0;
    },
    /**
     * Takes in what comes, behind what came before; how much there is then, also where the line was cut.
     * @throws ServerProblem `importBusy`, `bodyTooLarge`, or `uploadElsewhere` where it does not follow what is there
     */
    async receive({
      shopId,
      id,
      from,
      body,
    }: {
      readonly shopId: string;
      readonly id: string;
      readonly from: number;
      readonly body: Readable;
    }): Promise<number> {
      if (receiving >= AT_ONCE) throw new ServerProblem('importBusy');
      receiving++;
      try {
        const upload = await placeOf(shopId, id);
        const there = await sizeOf(upload);
        if (from !== there) throw new ServerProblem('uploadElsewhere', { path: 'from' });
        let size = there;
        await pipeline(
          body,
          async function* (chunks: AsyncIterable<Buffer>) {
            for await (const chunk of chunks) {
              if ((size += chunk.length) > MOST_BYTES) throw new ServerProblem('bodyTooLarge');
              yield chunk;
            }
          },
          createWriteStream(upload.file, { flags: 'a', mode: 0o600 }),
        );
        upload.at = Date.now();
        return size;
      } finally {
        receiving--;
      }
    },
    /** The file of a list that has come, from now on its taker's: null where there is none. */
    take(shopId: string, id: string): string | null {
      const upload = known.get(`${shopId}/${id}`);
      known.delete(`${shopId}/${id}`);
      return upload?.file ?? null;
    },
    forget: async (shopId: string, id: string): Promise<void> => {
      const upload = known.get(`${shopId}/${id}`);
      known.delete(`${shopId}/${id}`);
      if (upload) await rm(upload.file, { force: true });
    },
    async close(): Promise<void> {
      if (home) await rm(await home, { recursive: true, force: true });
    },
  };
}
