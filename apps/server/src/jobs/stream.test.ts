import { randomUUID } from 'node:crypto';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp } from '../app.ts';
import { readConfig } from '../config.ts';
import { idOf } from '../idOf.ts';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

test('the stream tells each new entry to whoever listens, and ends with the server', async () => {
  const app = await buildApp(readConfig({ DATABASE_URL: server.url, LOG_LEVEL: 'silent' }), server.dataSource);
  const address = await app.listen({ host: '127.0.0.1', port: 0 });
  const response = await fetch(`${address}/api/events`);
  expect(response.headers.get('content-type')).toBe('text/event-stream');
  const reader = (response.body as ReadableStream<Uint8Array>).getReader();
  const jobId = randomUUID();
  const takeIn = {
    id: randomUUID(),
    jobId,
    at: new Date().toISOString(),
    by: 'tobin',
    payload: { kind: 'takenIn', machineId: idOf('machine', 'pruner'), family: 'saw-oil-pump', complaint: 'dry', facts: {} },
  };
  await fetch(`${address}/api/entries`, {
    method: 'POST',
    body: JSON.stringify([takeIn]),
    headers: { 'content-type': 'application/json', 'x-person': 'tobin' },
  });

  let heard = '';
  while (!heard.includes('event: entry')) heard += new TextDecoder().decode((await reader.read()).value);
  const data = /data: (.*)\n/.exec(heard)?.[1] ?? '';
  expect(JSON.parse(data)).toEqual(takeIn);
  await app.close();
  expect((await reader.read().catch(() => ({ done: true }))).done).toBe(true);
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
  expect((await server.app.inject(`/api/jobs/${randomUUID()}`)).json()).toEqual({
    code: 'unknownJob',
    sentence: 'There is no such job in this shop.',
  });
  expect((await server.app.inject(`/api/parts/${randomUUID()}`)).statusCode).toBe(404);
  expect((await server.app.inject('/api/jobs/seven')).statusCode).toBe(400);
});
