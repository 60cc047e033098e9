import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { DataSource } from 'typeorm';
import { ServerProblem } from '../problems.ts';
import { exportShop } from './shopOut.ts';

/** So many are written at once; each holds one connection while it is, and none while it is fetched. */
const AT_ONCE = 2;
/** A file that was fetched in part can be fetched on for so long. */
const KEPT_MS = 3_600_000;
/** A second press within this fetches the same file. */
const SAME_MS = 60_000;

export interface ShopFile {
  readonly folder: string;
  readonly name: string;
  /** Stays the same while the file does: a fetch that was cut goes on by it. */
  readonly tag: string;
}

interface StoredFile extends ShopFile {
  readonly at: number;
}

/**
 * Shops written out to files on the disk of this server, from where they are fetched as slowly as somebody's line is:
 * the database waits for nobody, and what was cut goes on where it was.
 */
export function createShopFiles(dataSource: DataSource) {
  const kept = new Map<string, StoredFile>();
  const making = new Map<string, Promise<StoredFile>>();
  let home: Promise<string> | undefined;

  const make = async (shopId: string): Promise<StoredFile> => {
    home ??= mkdtemp(join(tmpdir(), 'badger-exports-'));
    const [folder, tag] = [await home, randomUUID()];
    const name = `${tag}.zip`;
    try {
      await pipeline(Readable.from(exportShop(dataSource, shopId)), createWriteStream(join(folder, name), { flags: 'wx', mode: 0o600 }));
    } catch (error) {
      await rm(join(folder, name), { force: true });
      throw error;
    }
    const file = { folder, name, tag, at: Date.now() };
    const before = kept.get(shopId);
    kept.set(shopId, file);
    if (before) await rm(join(before.folder, before.name), { force: true });
    return file;
  };

  const tidy = async () => {
    for (const [shopId, { folder, name, at }] of kept) {
      if (Date.now() - at < KEPT_MS) continue;
      kept.delete(shopId);
      await rm(join(folder, name), { force: true });
    }
  };

  return {
    /** The shop as a file; the one of before where `goOn` names it. @throws ServerProblem `exportBusy` */
    async file(shopId: string, goOn: string | null): Promise<ShopFile & { readonly isNew: boolean }> {
      await tidy();
      const before = kept.get(shopId);
      if (before && (before.tag === goOn || Date.now() - before.at < SAME_MS)) return { ...before, isNew: false };
      const running = making.get(shopId);
      if (running) return { ...(await running), isNew: false };
      if (making.size >= AT_ONCE) throw new ServerProblem('exportBusy');
      const mine = make(shopId).finally(() => making.delete(shopId));
      making.set(shopId, mine);
      return { ...(await mine), isNew: true };
    },
    async close(): Promise<void> {
      await Promise.allSettled(making.values());
      if (home) await rm(await home, { recursive: true, force: true });
    },
  };
}
