import { randomUUID } from 'node:crypto';
import type { EntryReceipt, JobPage } from '@patient-badger/contract';
import pg from 'pg';
import { cookieOf } from '../../e2e/stage.ts';
import { isWell, openShop } from './shopServer.ts';
import { pause, until, type Campaign, type Tally } from './tally.ts';

const WRITERS = ['imke', 'tobin', 'wren'];
const EACH = 6;

/** Three writers and a listener while the server, or the database with it, is killed at a random moment. */
export async function serverKilled({ rounds, database }: Campaign): Promise<Tally> {
  const { url, server, tally, random } = await openShop(database, 41);
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
          payload: { kind: 'remark', text: `${round}/${i}` },
        };
        // As the device does: the same entry until the server has said that it is kept.
        if (!(await until(() => send(server.address, entry, cookies.get(by) ?? ''), 60_000))) unsent++;
        written.push(id);
        await pause(random() * 30);
      }
    };
    const writers = WRITERS.map(writer);
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
