import type { ServerResponse } from 'node:http';
import type { FastifyInstance, FastifyPluginAsync } from 'fastify';
import type { DataSource } from 'typeorm';
import { tokenOf } from '../people/actor.ts';
import { shops } from '../people/entities.ts';
import { toEntry } from './commit.ts';
import { entries } from './entities.ts';
import { rowsOf } from './rows.ts';

const HEARTBEAT_MS = 15_000;
/** Read at once. */
const PIECE = 200;
/** Who is further behind is told to read anew instead. */
const MOST_BEHIND = 2000;
/** A listener that takes nothing in is cut off before it fills the memory; it comes back with its last number. */
const MOST_UNSENT_BYTES = 1_000_000;

/**
 * New entries of the shop, and rows that changed, as server-sent events. Each entry carries its number, so
 * a browser that was away gets what it missed by its `Last-Event-ID`; none is skipped, whoever lost which
 * connection for how long.
 */
export const streamRoutes: FastifyPluginAsync<{ dataSource: DataSource }> = async (app, { dataSource }) => {
  const streams = new Set<ServerResponse>();
  app.addHook('preClose', async () => streams.forEach((stream) => stream.end()));
  app.get<{ Querystring: { after?: string } }>(
    '/api/events',
    { schema: { hide: true }, config: { rateLimit: false } },
    async (request, reply) => {
      const { shopId } = request;
      const token = tokenOf(request) ?? '';
      const last = await lastOf(dataSource, shopId);
      // A browser that had to begin a new stream says in the address where it stopped.
      const from = placeOf(String(request.headers['last-event-id'] ?? request.query.after ?? ''), last);
      const { raw } = reply.hijack();
      raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform', connection: 'keep-alive' });
      streams.add(raw);
      const stop = follow(app, dataSource, { raw, shopId, from, last });
      // Whoever is signed out hears no more, from the moment on at which it is announced.
      const check = () =>
        void app.sessions.find(token).then(
          (session) => session ?? raw.end(),
          () => undefined,
        );
      const unwatch = app.onSessions(shopId, check);
      const signedIn = setInterval(check, HEARTBEAT_MS);
      raw.on('close', () => {
        clearInterval(signedIn);
        unwatch();
        streams.delete(raw);
        stop();
      });
    },
  );
};

/** How far a listener has heard: the last entry, and the last row that changed without one. */
interface Place {
  readonly seq: number;
  readonly row: number;
}

async function lastOf(dataSource: DataSource, shopId: string): Promise<Place> {
  const [shop] = await dataSource.query<{ seq: string; row: string }[]>(
    `SELECT last_seq AS seq, last_row AS row FROM ${shops.options.name} WHERE id = $1`,
    [shopId],
  );
  return { seq: Number(shop?.seq ?? 0), row: Number(shop?.row ?? 0) };
}

/** Who names no row may have missed so many of the last: told twice is harmless. */
const ROWS_BEFORE = 100;

/** The place that a listener names, `entry.row`, or the entry alone; the last where it names none. */
function placeOf(given: string, last: Place): Place {
  const [, seq, row] = /^(\d{1,15})(?:\.(\d{1,15}))?$/.exec(given) ?? [];
  if (seq === undefined || !(Number(seq) > 0) || Number(seq) > last.seq) return last;
  return { seq: Number(seq), row: row === undefined ? Math.max(0, last.row - ROWS_BEFORE) : Math.min(Number(row), last.row) };
}

interface Listener {
  readonly raw: ServerResponse;
  readonly shopId: string;
  /** The place it has heard up to, and the shop's last. */
  readonly from: Place;
  readonly last: Place;
}

function follow(app: FastifyInstance, dataSource: DataSource, { raw, shopId, from, last }: Listener): () => void {
  const isFarBehind = last.seq - from.seq > MOST_BEHIND;
  let { seq: cursor, row: rowCursor } = isFarBehind ? last : from;
  let reading = false;
  let again = true;
  const changed = new Set<string>();

  const say = (text: string) => {
    if (raw.writableLength > MOST_UNSENT_BYTES) raw.destroy();
    else if (!raw.destroyed) raw.write(text);
  };
  const event = (name: string, data: unknown, id?: string) =>
    say(`${id === undefined ? '' : `id: ${id}\n`}event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
  /** Names the place up to which all was told, entries and rows. */
  const here = () => event('here', {}, `${cursor}.${rowCursor}`);

  const piece = async () => {
    const list = await dataSource
      .getRepository(entries)
      .createQueryBuilder('e')
      .where('e.shopId = :shopId AND e.seq > :cursor', { shopId, cursor })
      .orderBy('e.seq')
      .limit(PIECE)
      .getMany();
    for (const row of list) {
      event('entry', toEntry(row), String(row.seq));
      changed.add(row.jobId);
      cursor = row.seq;
    }
    return list.length === PIECE;
  };
  const rows = async () => {
    const moved = await dataSource.query<{ id: string; at: string }[]>(
      // All the jobs of a machine have one number: none of them may be left behind.
      `SELECT id, row_seq AS at FROM jobs WHERE shop_id = $1 AND row_seq > $2 ORDER BY row_seq FETCH FIRST ${PIECE} ROWS WITH TIES`,
      [shopId, rowCursor],
    );
    moved.forEach(({ id }) => changed.add(id));
    const to = Number(moved.at(-1)?.at ?? rowCursor);
    const ids = [...changed];
    changed.clear();
    if (ids.length > 0) for (const row of await rowsOf(dataSource.manager, ids)) event('row', row);
    if (to > rowCursor) {
      rowCursor = to;
      here();
    }
    return moved.length >= PIECE;
  };
  const read = async () => {
    if (reading) return;
    reading = true;
    try {
      while (again && !raw.destroyed) {
        // Whatever is committed while this is read wakes it once more.
        again = false;
        if (await piece()) again = true;
        if (await rows()) again = true;
      }
    } catch (error) {
      // The database is away: the next commit, or the listener's return, reads on from the same number.
      app.log.warn({ error }, 'a listener waits for the record');
      again = true;
    } finally {
      reading = false;
    }
  };
  const wake = () => {
    again = true;
    void read();
  };

  here();
  if (isFarBehind) event('anew', {}, `${cursor}.${rowCursor}`);
  const stop = app.onCommit(shopId, wake);
  wake();
  const beat = setInterval(() => say(': still here\n\n'), HEARTBEAT_MS);
  return () => {
    clearInterval(beat);
    stop();
  };
}
