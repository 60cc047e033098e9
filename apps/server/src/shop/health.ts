import { statfs } from 'node:fs/promises';
import { health, type Health, type ProblemCode } from '@patient-badger/contract';
import { problemSentence } from '@patient-badger/wording';
import type { FastifyInstance } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import type { DataSource } from 'typeorm';
import type { Config } from '../config.ts';
import { knownMigrations } from '../dataSource.ts';
import { isDatabaseAway, isDiskFull, isRecordReadOnly } from '../plugins/databaseErrors.ts';

/** Less than this and the next notes may find no room; less than that and somebody should look. */
const [FULL_BYTES, LOW_BYTES] = [64e6, 1e9];
const CLOCK_OFF_S = 60;
/** No clock that is right shows an earlier day than the one on which this was written. */
const WRITTEN = Date.parse('2026-11-30');
const HOUR_MS = 3_600_000;
/** What keeps the record from taking notes in; the rest wants somebody to look. */
const STOPS: ReadonlySet<ProblemCode> = new Set(['databaseAway', 'recordReadOnly', 'diskFull', 'newerDatabase']);

interface Options {
  readonly dataSource: DataSource;
  readonly config: Pick<Config, 'DATA_DIR' | 'BACKUP_EVERY_HOURS'>;
  /** The clock of this computer, another one in tests. */
  readonly now?: () => number;
}

/** Whether the server can take notes in, and what else is wrong: codes and sentences, and nothing of any shop. */
export const healthRoute: FastifyPluginAsyncZod<Options> = async (app, options) => {
  app.get(
    '/api/health',
    { schema: { hide: true, response: { 200: health, 503: health } }, config: { open: true } },
    async (_request, reply) => {
      const codes = await problemsOf(app, options);
      return reply.status(codes.some((code) => STOPS.has(code)) ? 503 : 200).send(healthOf(codes));
    },
  );
};

/** What is told of these problems; the first of those that stop everything stands at the top, as every refusal has it. */
export function healthOf(codes: readonly ProblemCode[]): Health {
  if (codes.length === 0) return { well: true };
  const problems = codes.map((code) => ({ code, sentence: problemSentence(code) }));
  const stop = problems.find(({ code }) => STOPS.has(code));
  return { well: false, problems, ...stop };
}

async function problemsOf(app: FastifyInstance, { dataSource, config, now = Date.now }: Options): Promise<readonly ProblemCode[]> {
  const checks = [ofRecord(dataSource, now), ofDisk(config.DATA_DIR), ofBackups(app, config.BACKUP_EVERY_HOURS, now)];
  return [...new Set((await Promise.all(checks)).flat())];
}

async function ofRecord(dataSource: DataSource, now: () => number): Promise<readonly ProblemCode[]> {
  try {
    const made = await dataSource.query<{ name: string }[]>('SELECT name FROM migrations');
    if (made.some(({ name }) => !knownMigrations().includes(name))) return ['newerDatabase'];
    await dataSource.query('INSERT INTO health (id, at) VALUES (1, now()) ON CONFLICT (id) DO UPDATE SET at = now()');
    const [clock] = await dataSource.query<{ there: Date; last: Date | null }[]>(
      `SELECT clock_timestamp() AS there,
         (SELECT max(l.at) FROM shops s, LATERAL (SELECT e.received_at AS at FROM entries e WHERE e.shop_id = s.id ORDER BY e.seq DESC LIMIT 1) l) AS last`,
    );
    const off = (at: Date | null | undefined, s: number) => at != null && at.getTime() - now() > s * 1000;
    const isOff =
      now() < WRITTEN || Math.abs((clock?.there.getTime() ?? now()) - now()) > CLOCK_OFF_S * 1000 || off(clock?.last, CLOCK_OFF_S);
    return isOff ? ['clockOff'] : [];
  } catch (error) {
    if (isDiskFull(error)) return ['diskFull'];
    if (isRecordReadOnly(error)) return ['recordReadOnly'];
    if (isDatabaseAway(error)) return ['databaseAway'];
    throw error;
  }
}

async function ofDisk(folder: string | undefined): Promise<readonly ProblemCode[]> {
  if (folder === undefined) return [];
  const disk = await statfs(folder).catch(() => null);
  if (!disk) return [];
  const free = disk.bavail * disk.bsize;
  if (free < FULL_BYTES) return ['diskFull'];
  return free < LOW_BYTES ? ['diskLow'] : [];
}

async function ofBackups(app: FastifyInstance, everyHours: number, now: () => number): Promise<readonly ProblemCode[]> {
  const schedule = await app.backups();
  if (!schedule) return [];
  const age = schedule.last === null ? 0 : now() - Date.parse(schedule.last);
  return schedule.failed !== null || age > 2 * everyHours * HOUR_MS ? ['backupFailed'] : [];
}
