import { t as log } from '@patient-badger/wording/log';
import { t as shared } from '@patient-badger/wording/shared';
import { createServer, request, type IncomingMessage, type ServerResponse } from 'node:http';
import { arrive, button, takeIn } from '../../e2e/actions.ts';
import { box, phone, record } from './device.ts';
import { freePort } from '../../e2e/stage.ts';
import { openShop } from './shopServer.ts';
import { pause, until, type Campaign, type Tally } from './tally.ts';

type Nonsense = (answer: ServerResponse, real: () => void) => void;
const page = '<html><h1>Welcome to the free network</h1></html>';
const say =
  (status: number, type: string, text: string): Nonsense =>
  (answer) =>
    answer.writeHead(status, { 'content-type': type }).end(text);

/** What stands between a phone and its shop now and then. */
const NONSENSE: readonly Nonsense[] = [
  say(200, 'text/html', page),
  say(403, 'text/html', page),
  say(404, 'text/html', '<h1>404</h1>'),
  say(408, 'application/json', '{"error":"timeout"}'),
  say(502, 'text/plain', 'Bad gateway'),
  say(503, 'application/json', '{"message":"no upstream"}'),
  say(200, 'application/json', '[]'),
  say(200, 'application/json', '{"ok":true}'),
  say(200, 'application/json', '[{"id":"0197'),
  (answer) => answer.socket?.destroy(),
  // The server took it, and nobody hears the answer.
  (answer, real) => {
    real();
    setTimeout(() => answer.socket?.destroy(), 40);
  },
];

/** A proxy that answers nonsense to writes while they are pressed, then is sound again. */
export async function nonsenseProxy({ rounds, database }: Campaign): Promise<Tally> {
  const { url, server, tally, random } = await openShop(database, 43);
  let nonsense: Nonsense | null = null;
  const proxy = createServer((asked, answer) => {
    const real = (reply: ServerResponse | null) => forward(server.address, asked, reply);
    if (nonsense && asked.method === 'POST') nonsense(answer, () => real(null));
    else if (nonsense && asked.url?.startsWith('/api/events') && random() < 0.5)
      say(502, 'text/plain', 'Bad gateway')(answer, () => undefined);
    else real(answer);
  });
  const port = await freePort();
  await new Promise<void>((resolve) => proxy.listen(port, '127.0.0.1', resolve));
  const address = `http://127.0.0.1:${port}`;
  const device = await phone();
  const screen = await device.open(address);
  await arrive(screen, address, 'Wren');
  await takeIn(screen, /Orchard saw/, 'Uses no oil at all, tank stays full');
  await screen.goto(screen.url().replace(/(\/jobs\/[^/?]+).*/, '$1/log'));

  for (let round = 0; round < rounds; round++) {
    nonsense = NONSENSE[Math.floor(random() * NONSENSE.length)] ?? null;
    const texts = [`nonsense ${round} a`, `nonsense ${round} b`];
    for (const text of texts) {
      await screen.getByLabel(log.remark).fill(text);
      await button(screen, shared.writeItDown).click();
      await screen.getByTestId('entry').filter({ hasText: text }).first().waitFor();
    }
    await pause(100 + random() * 400);
    nonsense = null;
    if (!(await until(async () => (await box(screen)).waiting === 0, 30_000))) tally.stuck++;
    tally.stuck += (await box(screen)).aside;
    const now = await record(url);
    tally.rounds++;
    tally.written += texts.length;
    for (const text of texts) {
      const count = now.texts.get(text) ?? 0;
      if (count === 0) tally.lost++;
      if (count > 1) tally.doubled++;
    }
  }
  await device.kill();
  await device.forget();
  proxy.close();
  tally.crashes = server.crashes();
  server.kill();
  return tally;
}

function forward(address: string, asked: IncomingMessage, reply: ServerResponse | null): void {
  const through = request(`${address}${asked.url ?? ''}`, { method: asked.method, headers: asked.headers }, (answer) => {
    if (!reply) return void answer.resume();
    reply.writeHead(answer.statusCode ?? 502, answer.headers);
    answer.pipe(reply);
    reply.on('close', () => answer.destroy());
  });
  through.on('error', () => reply?.destroy());
  asked.pipe(through);
}
