import { randomUUID } from 'node:crypto';
import type { Entry, EntryPayload } from '@patient-badger/core';
import type { EntryReceipt, Job } from '@patient-badger/contract';
import { idOf } from '../idOf.ts';
import { serverOn, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const MACHINE = idOf('machine', 'pruner');
const entry = (jobId: string, payload: EntryPayload, more: Partial<Entry> = {}): Entry => ({
  id: randomUUID(),
  jobId,
  at: new Date().toISOString(),
  by: 'tobin',
  payload,
  ...more,
});
const takeIn = (jobId: string): Entry =>
  entry(jobId, { kind: 'takenIn', machineId: MACHINE, family: 'saw-oil-pump', complaint: 'dry', facts: {} });

const send = async (entries: readonly unknown[], person = 'tobin') => {
  const response = await server.app.inject({
    method: 'POST',
    url: '/api/entries',
    payload: entries as object[],
    headers: { 'x-person': person },
  });
  return { status: response.statusCode, body: response.json<EntryReceipt[]>() };
};
const read = async (id: string) => (await server.app.inject(`/api/jobs/${id}`)).json<Job>();

test('entries make a job and come back as they were written', async () => {
  const jobId = randomUUID();
  const written = [
    takeIn(jobId),
    entry(jobId, { kind: 'lookRecorded', look: 'tank-level', result: 'full' }, { at: new Date(Date.now() + 1000).toISOString() }),
  ];
  expect((await send(written)).body.map(({ status }) => status)).toEqual(['stored', 'stored']);
  expect((await read(jobId)).entries).toEqual(written);
});

test('an entry sent twice is known and changes nothing', async () => {
  const jobId = randomUUID();
  const first = takeIn(jobId);
  await send([first]);
  expect((await send([first, first])).body.map(({ status }) => status)).toEqual(['known', 'known']);
  expect((await read(jobId)).entries).toHaveLength(1);
});

test('a bad entry is refused with a sentence and takes none of the others with it', async () => {
  const jobId = randomUUID();
  const { body } = await send([
    takeIn(jobId),
    {
      ...entry(jobId, { kind: 'remark', text: 'x' }),
      payload: {
        kind: 'dimensionRead',
        gear: 'worm',
        quantity: 'tipDiameterMm',
        reading: { value: 'thick', plusMinus: 0.03 },
        instrument: 'digitalCaliper',
        entered: 'thick',
      },
    },
    entry(jobId, { kind: 'lookRecorded', look: 'crystal-ball', result: 'full' }),
    entry(jobId, { kind: 'lookRecorded', look: 'tank-level', result: 'purple' }),
    entry(jobId, { kind: 'remark', text: 'still here' }),
  ]);
  expect(body.map(({ status }) => status)).toEqual(['stored', 'refused', 'refused', 'refused', 'stored']);
  expect(body[1]).toMatchObject({ path: 'payload.reading.value', sentence: expect.stringContaining('must be a number') as string });
  expect(body[2]).toMatchObject({ path: 'payload.look', sentence: expect.stringContaining('crystal-ball') as string });
  expect(body[3]).toMatchObject({ path: 'payload.result' });
  expect((await read(jobId)).entries).toHaveLength(2);
});

test('an unknown machine, job or person is refused with a sentence', async () => {
  const jobId = randomUUID();
  const stranger = entry(jobId, { kind: 'takenIn', machineId: randomUUID(), family: 'saw-oil-pump', complaint: 'dry', facts: {} });
  expect((await send([stranger])).body[0]).toMatchObject({
    status: 'refused',
    sentence: expect.stringContaining('not on record') as string,
  });
  expect((await send([entry(randomUUID(), { kind: 'remark', text: 'lost' })])).body[0]).toMatchObject({ status: 'refused', path: 'jobId' });
  expect((await send([{ ...takeIn(randomUUID()), by: 'nobody' }])).body[0]).toMatchObject({ status: 'refused', path: 'by' });
  expect((await send([takeIn(randomUUID())], 'nobody')).status).toBe(401);
  expect((await send([takeIn(randomUUID())], '')).status).toBe(401);
});

test('a closed job leaves the bench, and comes back when the closing is taken back', async () => {
  const jobId = randomUUID();
  const closing = entry(jobId, { kind: 'closed', outcome: 'cleaned', found: 'chips' });
  const open = async () => (await server.app.inject('/api/jobs')).json<Job[]>().some(({ id }) => id === jobId);
  await send([takeIn(jobId)]);
  expect(await open()).toBe(true);
  await send([closing]);
  expect(await open()).toBe(false);
  await send([entry(jobId, { kind: 'withdrawn', entry: closing.id })]);
  expect(await open()).toBe(true);
});

test('what one server process stores, a window at another hears within two seconds', async () => {
  const other = await serverOn(server.url);
  const jobId = randomUUID();
  const heard = new Promise<{ entry: Entry; at: number }>((resolve) =>
    other.app.onEntry('skarrow', (each) => each.jobId === jobId && resolve({ entry: each, at: Date.now() })),
  );
  const sent = Date.now();
  const written = takeIn(jobId);
  await send([written]);
  const { entry: got, at } = await heard;
  expect(got).toEqual(written);
  expect(at - sent).toBeLessThan(2000);
  await other.app.close();
  await other.dataSource.destroy();
});

test('a machine sent twice is one machine; one of an unknown family is refused', async () => {
  const draft = { id: randomUUID(), family: 'saw-oil-pump', label: 'Spare saw' };
  const post = (payload: object) => server.app.inject({ method: 'POST', url: '/api/machines', payload, headers: { 'x-person': 'wren' } });
  expect((await post(draft)).statusCode).toBe(200);
  expect((await post(draft)).statusCode).toBe(200);
  const all = (await server.app.inject('/api/machines')).json<{ id: string }[]>();
  expect(all.filter(({ id }) => id === draft.id)).toHaveLength(1);
  const odd = await post({ ...draft, id: randomUUID(), family: 'toaster' });
  expect([odd.statusCode, odd.json<{ path: string }>().path]).toEqual([422, 'family']);
  const nameless = await post({ ...draft, id: randomUUID(), label: ' ' });
  expect([nameless.statusCode, nameless.json<{ path: string }>().path]).toEqual([400, 'label']);
});
