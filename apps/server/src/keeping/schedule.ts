import { mkdir, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import type { Config } from '../config.ts';
import { writeBackup } from './backup.ts';

declare module 'fastify' {
  interface FastifyInstance {
    /** When the last backup on the schedule was made, and where, and why the last try failed; null where there is no schedule. */
    backups: () => Promise<{ readonly folder: string; readonly last: string | null; readonly failed: string | null } | null>;
  }
}

const HOUR_MS = 3_600_000;
const LOOK_MS = 5 * 60_000;
/** Any number that only this project's servers use: who holds it makes the backup. */
const BACKUP_LOCK = 7_316_404;
const NAME = /^patient-badger-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d)Z\.backup$/;

const nameOf = (at: Date) => `patient-badger-${at.toISOString().slice(0, 19).replaceAll(':', '-')}Z.backup`;
const timeOf = (name: string) => NAME.exec(name)?.[1]?.replace(/T(\d\d)-(\d\d)-(\d\d)$/, 'T$1:$2:$3Z');

/** The backups in a folder, newest first. */
export async function backupsIn(folder: string): Promise<readonly string[]> {
  const names = await readdir(folder).catch(() => []);
  return names
    .filter((name) => NAME.test(name))
    .sort()
    .reverse();
}

interface Due {
  readonly folder: string;
  readonly everyHours: number;
  readonly keep: number;
  readonly now: Date;
}

/** Makes the backup that is due, and takes those away that are more than are kept. False where none was due. */
export async function backupIfDue(dataSource: DataSource, url: string, { folder, everyHours, keep, now }: Due): Promise<boolean> {
  await mkdir(folder, { recursive: true });
  const [last] = await backupsIn(folder);
  if (last && now.getTime() - Date.parse(timeOf(last) ?? '') < everyHours * HOUR_MS) return false;
  const runner = dataSource.createQueryRunner();
  try {
    // Of several servers on one database one does it.
    const [lock] = (await runner.query('SELECT pg_try_advisory_lock($1) AS got', [BACKUP_LOCK])) as [{ got: boolean }];
    if (!lock.got) return false;
    try {
      await writeBackup(url, join(folder, nameOf(now)));
    } finally {
      await runner.query('SELECT pg_advisory_unlock($1)', [BACKUP_LOCK]);
    }
  } finally {
    await runner.release();
  }
  for (const old of (await backupsIn(folder)).slice(keep)) await rm(join(folder, old));
  return true;
}

/** Backups by themselves, where the shop has set a folder for them. */
export const backupSchedule = fp(async (app: FastifyInstance, { dataSource, config }: { dataSource: DataSource; config: Config }) => {
  const { BACKUP_DIR: folder, BACKUP_EVERY_HOURS: everyHours, BACKUP_KEEP: keep, DATABASE_URL: url } = config;
  let failed: string | null = null;
  app.decorate('backups', async () => {
    if (folder === undefined) return null;
    const [last] = await backupsIn(folder);
    return { folder, last: (last && timeOf(last)) ?? null, failed };
  });
  if (folder === undefined) return;
  let busy: Promise<unknown> | null = null;
  const look = () => {
    busy ??= backupIfDue(dataSource, url, { folder, everyHours, keep, now: new Date() })
      .then(() => (failed = null))
      .catch((error: unknown) => {
        failed = error instanceof Error ? error.message : String(error);
        app.log.error({ error: failed }, 'the backup could not be made');
      })
      .finally(() => (busy = null));
  };
  const timer = setInterval(look, LOOK_MS);
  app.addHook('onReady', async () => look());
  app.addHook('onClose', async () => {
    clearInterval(timer);
    await busy;
  });
});
