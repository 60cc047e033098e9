import { randomUUID } from 'node:crypto';
import type { EntryReceipt, JobPage } from '@patient-badger/contract';
import pg from 'pg';
import { cookieOf } from '../../e2e/stage.ts';
import { isWell, openShop } from './shopServer.ts';
import { pause, until, type Campaign, type Tally } from './tally.ts';

const WRITERS = ['imke', 'tobin', 'wren'];
const EACH = 6;

/** Three writers and a listener while the server, or the database with it, is killed at a random moment. */
export const serverKilled = (campaign: Campaign): Promise<Tally> =>
  writersThrough(campaign, 41, async ({ server, random }, begin) => {
    const { database } = campaign;
    begin();
    await pause(random() * 250);
    const both = random() < 0.5;
    if (random() < 0.8) server.kill();
    if (both) await database.crash();
    await pause(random() * 150);
    if (both) await database.start();
    if (!(await isWell(server.address).catch(() => false)) || random() < 0.5) {
      server.kill();
      server.start();
    }
  });

/** The same while the disk of the database is full for a moment; a database that ended by it is started again, once there is room. */
export const diskFull = (campaign: Campaign): Promise<Tally> =>
  writersThrough(campaign, 45, async ({ random }, begin) => {
    const { database } = campaign;
    await database.fill();
    begin();
    await pause(200 + random() * 1000);
    await database.free();
    await database.start();
  });

/** Does something to the shop while its writers, once they have begun, write. */
type Fault = (shop: Awaited<ReturnType<typeof openShop>>, begin: () => void) => Promise<void>;

async function writersThrough({ rounds, database }: Campaign, seed: number, fault: Fault): Promise<Tally> {
  const shop = await openShop(database, seed);
  const { url, server, tally, random } = shop;
  const cookies = new Map<string, string>();
  for (const by of WRITERS) cookies.set(by, await cookieOf(server.address, by));
  const cookie = cookies.get('imke') ?? '';
  const { rows } = (await (await fetch(`${server.address}/api/jobs?state=open`, { headers: { cookie } })).json()) as JobPage;
  const ear = listen(server.address, cookie);

  for (let round = 0; round < rounds; round++) {
    const written: string[] = [];
    let unsent = 0;
    const writer = async (by: string) => {
      for (let i = 0; i < EACH; i++) {
        const id = randomUUID();
        const entry = {
          id,
          jobId: rows[round % rows.length]?.id,
          at: new Date().toISOString(),
          by,
          // Long, so that the record wants new pages of its disk soon.
          payload: { kind: 'remark', text: `${round}/${i} ${'long '.repeat(300)}` },
        };
        // As the device does: the same entry until the server has said that it is kept.
        if (!(await until(() => send(server.address, entry, cookies.get(by) ?? ''), 60_000))) unsent++;
        written.push(id);
        await pause(random() * 30);
      }
    };
    let writers: readonly Promise<void>[] = [];
    await fault(shop, () => {
      writers = WRITERS.map(writer);
    });
    await Promise.all(writers);
    const found = await inRecord(url, written);
    tally.rounds++;
    tally.written += written.length;
    tally.lost += written.filter((id) => !found.has(id)).length;
    tally.stuck += unsent;
    const told = await until(async () => written.every((id) => ear.heard.has(id)), 30_000);
    if (!told) tally.lost += written.filter((id) => !ear.heard.has(id)).length;
    tally.doubled += written.filter((id) => (ear.heard.get(id) ?? 0) > 1).length;
  }
  tally.crashes = server.crashes();
  ear.stop();
  server.kill();
  return tally;
}

async function send(address: string, entry: { readonly id: string; readonly by: string }, cookie: string): Promise<boolean> {
  const answer = await fetch(`${address}/api/entries`, {
    method: 'POST',
    body: JSON.stringify([entry]),
    headers: { 'content-type': 'application/json', 'x-person': entry.by, cookie },
    signal: AbortSignal.timeout(5000),
  });
  const [receipt] = (await answer.json()) as EntryReceipt[];
  return receipt?.status === 'stored' || receipt?.status === 'known';
}

export async function inRecord(url: string, ids: readonly string[]): Promise<ReadonlySet<string>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<{ id: string }>('SELECT id FROM entries WHERE id = ANY($1::uuid[])', [ids]);
  await client.end();
  return new Set(rows.map(({ id }) => id));
}

/** A listener that comes back with its last number whenever the stream ends, as the app does. */
function listen(address: string, cookie: string) {
  const heard = new Map<string, number>();
  const stop = new AbortController();
  let last = '';
  const follow = async () => {
    const response = await fetch(`${address}/api/events${last ? `?after=${last}` : ''}`, { signal: stop.signal, headers: { cookie } });
    let text = '';
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(chunk);
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const lines = text.slice(0, end).split('\n');
        text = text.slice(end + 2);
        const field = (name: string) => lines.find((each) => each.startsWith(`${name}: `))?.slice(name.length + 2);
        last = field('id') ?? last;
        if (field('event') !== 'entry') continue;
        const { id } = JSON.parse(field('data') ?? '{}') as { id: string };
        heard.set(id, (heard.get(id) ?? 0) + 1);
      }
    }
  };
  const keepOn = async () => {
    while (!stop.signal.aborted) {
      await follow().catch(() => undefined);
      await pause(100);
    }
  };
  void keepOn();
  return { heard, stop: () => stop.abort() };
}
