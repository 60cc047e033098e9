import { randomUUID } from 'node:crypto';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp } from '../app.ts';
import { readConfig } from '../config.ts';
import { idOf } from '../idOf.ts';
import { cookiesOf, SAMPLE, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
let cookie: string;
beforeAll(async () => {
  server = await testServer();
  cookie = (await cookiesOf(server.dataSource)).get('tobin') ?? '';
});
afterAll(() => server.stop());

interface StreamEvent {
  readonly id: string | undefined;
  readonly event: string;
  readonly data: unknown;
}

/** Listens as a browser does, from a number on if it has one. */
async function listen(address: string, lastId?: string) {
  const stop = new AbortController();
  const response = await fetch(`${address}/api/events`, {
    signal: stop.signal,
    headers: { cookie, ...(lastId !== undefined && { 'last-event-id': lastId }) },
  });
  const told: StreamEvent[] = [];
  const waiting = new Set<() => void>();
  const read = async () => {
    let text = '';
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(chunk);
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const fields = Object.fromEntries(
          text
            .slice(0, end)
            .split('\n')
            .map((line) => [line.split(': ')[0], line.slice(line.indexOf(': ') + 2)]),
        );
        text = text.slice(end + 2);
        if (fields.event) told.push({ id: fields.id, event: fields.event, data: JSON.parse(fields.data ?? 'null') as unknown });
        waiting.forEach((each) => each());
      }
    }
  };
  const ended = read().catch(() => undefined);
  const until = (enough: (list: readonly StreamEvent[]) => boolean) =>
    new Promise<void>((resolve) => {
      const look = () => enough(told) && (waiting.delete(look), resolve());
      waiting.add(look);
      look();
    });
  return { response, told, until, ended, stop: () => stop.abort() };
}

const takeIn = (jobId: string) => ({
  id: randomUUID(),
  jobId,
  at: new Date().toISOString(),
  by: 'tobin',
  payload: { kind: 'takenIn', machineId: idOf('machine', 'pruner'), family: 'saw-oil-pump', complaint: 'dry', facts: {} },
});
const remark = (jobId: string, text: string) => ({ ...takeIn(jobId), payload: { kind: 'remark', text } });
const send = (address: string, list: readonly object[]) =>
  fetch(`${address}/api/entries`, {
    method: 'POST',
    body: JSON.stringify(list),
    headers: { 'content-type': 'application/json', 'x-person': 'tobin', cookie },
  });
const texts = (told: readonly StreamEvent[]) =>
  told.flatMap(({ event, data }) => {
    const { payload } = data as { payload?: { text?: string } };
    return event === 'entry' && payload?.text ? [payload.text] : [];
  });

async function listening() {
  const app = await buildApp(readConfig({ DATABASE_URL: server.url, LOG_LEVEL: 'silent' }), server.dataSource);
  return { app, address: await app.listen({ host: '127.0.0.1', port: 0 }) };
}

/** The same with a job that has been taken in. */
async function listeningOnJob() {
  const jobId = randomUUID();
  const { app, address } = await listening();
  await send(address, [takeIn(jobId)]);
  return { app, address, jobId };
}

test('the stream tells each new entry and its job’s row to whoever listens, and ends with the server', async () => {
  const { app, address } = await listening();
  const ear = await listen(address);
  expect(ear.response.headers.get('content-type')).toBe('text/event-stream');
  const jobId = randomUUID();
  const written = takeIn(jobId);
  await send(address, [written]);
  await ear.until((told) => told.some(({ event }) => event === 'row'));
  const [entry, row] = ['entry', 'row'].map((name) => ear.told.find(({ event }) => event === name));
  expect(entry?.data).toEqual({ ...written, seq: Number(entry?.id) });
  expect(row?.data).toMatchObject({ id: jobId, complaint: 'dry', seq: Number(entry?.id) });
  await app.close();
  await ear.ended;
});

test('what one server process stores, a window at another hears within two seconds', async () => {
  const one = await listening();
  const other = await listening();
  const ear = await listen(other.address);
  const jobId = randomUUID();
  const sent = Date.now();
  await send(one.address, [takeIn(jobId), remark(jobId, 'heard?')]);
  await ear.until((told) => texts(told).includes('heard?'));
  expect(Date.now() - sent).toBeLessThan(2000);
  await one.app.close();
  await other.app.close();
});

test('who was away hears what was missed, from the last number on, each once and in order', async () => {
  const { app, address } = await listening();
  const jobId = randomUUID();
  const before = await listen(address);
  await send(address, [takeIn(jobId), remark(jobId, 'one')]);
  await before.until((told) => texts(told).includes('one'));
  const lastId = before.told.filter(({ id }) => id !== undefined).at(-1)?.id;
  before.stop();
  await send(address, [remark(jobId, 'two'), remark(jobId, 'three')]);
  const back = await listen(address, lastId);
  await send(address, [remark(jobId, 'four')]);
  await back.until((told) => texts(told).includes('four'));
  expect(texts(back.told)).toEqual(['two', 'three', 'four']);
  back.stop();
  await app.close();
});

test('entries stored while the listening connection of the server is cut are told when it is back', async () => {
  const { app, address, jobId } = await listeningOnJob();
  const ear = await listen(address);
  await ear.until((told) => told.some(({ event }) => event === 'here'));
  const cut = "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND query LIKE 'LISTEN%'";
  const list = Array.from({ length: 40 }, (_, i) => `unheard ${i}`);
  for (const text of list) {
    await server.dataSource.query(cut);
    await send(address, [remark(jobId, text)]);
  }
  await ear.until((told) => texts(told).length >= list.length);
  expect(texts(ear.told)).toEqual(list);
  ear.stop();
  await app.close();
});

test('a crowd that writes at once is heard to the last, with nothing coming after it', async () => {
  const { app, address, jobId } = await listeningOnJob();
  const ears = await Promise.all([1, 2, 3].map(() => listen(address)));
  for (let round = 0; round < 5; round++) {
    const list = Array.from({ length: 40 }, (_, i) => `crowd ${round}/${i}`);
    await Promise.all(list.map((text) => send(address, [remark(jobId, text)])));
    await Promise.all(ears.map((ear) => ear.until((told) => texts(told).length >= 40 * (round + 1))));
  }
  for (const ear of ears) {
    expect(new Set(texts(ear.told)).size).toBe(200);
    ear.stop();
  }
  await app.close();
});

test('who is far behind is told to read anew instead of all that happened', async () => {
  const { app, address, jobId } = await listeningOnJob();
  for (let i = 0; i < 11; i++)
    await send(
      address,
      Array.from({ length: 200 }, (_, k) => remark(jobId, `${i}/${k}`)),
    );
  const ear = await listen(address, '1');
  await ear.until((told) => told.some(({ event }) => event === 'anew'));
  expect(texts(ear.told).length).toBe(0);
  ear.stop();
  await app.close();
});

test('who was away hears of rows that changed meanwhile without an entry: a move worked out, a machine renamed', async () => {
  const { app, address, jobId } = await listeningOnJob();
  const ear = await listen(address);
  const isMoved = (told: readonly StreamEvent[]) =>
    told.some(
      ({ event, data }) => event === 'row' && (data as { id: string; move: unknown }).id === jobId && (data as { move: unknown }).move,
    );
  await send(address, [remark(jobId, 'before')]);
  await ear.until(isMoved);
  await ear.until((told) => told.at(-1)?.event === 'here');
  const place = ear.told.at(-1)?.id ?? '';
  expect(place).toMatch(/^\d+\.\d+$/);
  ear.stop();
  await ear.ended;
  await server.inject({
    method: 'POST',
    url: `/api/machines/${idOf('machine', 'pruner')}/change`,
    payload: { label: 'Pruning saw, renamed' },
    headers: { 'x-person': 'imke' },
  });
  const again = await listen(address, place);
  await again.until((told) =>
    told.some(({ event, data }) => event === 'row' && (data as { label: string }).label === 'Pruning saw, renamed'),
  );
  again.stop();
  await app.close();
});

test('a device that is signed out hears no more, at once, on whichever server process', async () => {
  const [one, other] = [await listening(), await listening()];
  const signIn = await server.app.inject({
    method: 'POST',
    url: '/api/sign-in',
    payload: { name: 'Wren', passphrase: SAMPLE.passphrase, device: 'Lost phone' },
  });
  const own = ([signIn.headers['set-cookie']].flat()[0] ?? '').split(';')[0] ?? '';
  const response = await fetch(`${other.address}/api/events`, { headers: { cookie: own } });
  const ended = (async () => {
    for await (const _ of response.body as unknown as AsyncIterable<Uint8Array>);
    return Date.now();
  })();
  const [device] = (await server.inject({ url: '/api/devices', headers: { 'x-person': 'imke' } }))
    .json<{ id: string; name: string }[]>()
    .filter(({ name }) => name === 'Lost phone');
  const signedOut = Date.now();
  await fetch(`${one.address}/api/devices/${device?.id}/sign-out`, {
    method: 'POST',
    body: '{}',
    headers: { 'content-type': 'application/json', cookie: (await cookiesOf(server.dataSource)).get('imke') ?? '' },
  });
  // It is ended by the announcement, long before the next look at who is signed in.
  expect((await ended) - signedOut).toBeLessThan(5000);
  await one.app.close();
  await other.app.close();
});

test('the app’s files and screens come from the same address; unknown calls and files do not', async () => {
  const root = await mkdtemp(join(tmpdir(), 'badger-'));
  await writeFile(join(root, 'index.html'), '<title>Patient Badger</title>');
  await writeFile(join(root, 'sw.js'), '// worker');
  const app = await buildApp(readConfig({ DATABASE_URL: server.url, LOG_LEVEL: 'silent', STATIC_DIR: root }), server.dataSource);
  const get = (url: string) => app.inject(url);
  expect((await get('/')).body).toContain('Patient Badger');
  expect((await get('/jobs/7/gear/worm?pick=module-1-1')).body).toContain('Patient Badger');
  expect((await get('/sw.js')).headers['cache-control']).toBe('no-cache');
  expect((await get('/missing.js')).statusCode).toBe(404);
  expect((await get('/api/nothing')).json()).toMatchObject({ code: 'notFound' });
  const policy = String((await get('/')).headers['content-security-policy']);
  expect(policy).toContain("worker-src 'self' blob:");
  expect(policy).not.toContain('upgrade-insecure-requests');
  await app.close();
});

test('an unknown job and an unknown part are refused in a sentence', async () => {
  expect((await server.inject(`/api/jobs/${randomUUID()}`)).json()).toEqual({
    code: 'unknownJob',
    sentence: 'There is no such job in this shop.',
  });
  expect((await server.inject(`/api/parts/${randomUUID()}`)).statusCode).toBe(404);
  expect((await server.inject('/api/jobs/seven')).statusCode).toBe(400);
});
