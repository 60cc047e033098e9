import { randomUUID } from 'node:crypto';
import type { Machine } from '@patient-badger/contract';
import type { EntryPayload } from '@patient-badger/core/job';
import { everyJobRow, sendEntries, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
let machine: Machine;
beforeAll(async () => {
  server = await testServer();
  machine = (await server.inject('/api/machines?words=orchard%20saw')).json<{ machines: Machine[] }>().machines[0] as Machine;
});
afterAll(() => server.stop());

const send = (jobId: string, ...payloads: EntryPayload[]) => sendEntries(server, jobId, payloads);
const takenIn = (): EntryPayload => ({ kind: 'takenIn', machineId: machine.id, family: machine.family, complaint: 'dry', facts: {} });

const everyRow = (query: string) => everyJobRow(server, `state=open&${query}`);

/** Moves are worked out by and by. */
async function until(holds: () => Promise<boolean>): Promise<void> {
  for (let i = 0; i < 100; i++) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('it never came');
}

test('the bench goes by promise, then by what can go on; page by page each once; a promise taken back counts no more', async () => {
  const [soon, later, waits] = [randomUUID(), randomUUID(), randomUUID()];
  await send(later, takenIn(), { kind: 'promised', on: '2031-05-02' });
  await send(soon, takenIn(), { kind: 'promised', on: '2031-05-01' });
  const clean: EntryPayload = { kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.95 };
  await send(waits, takenIn(), clean, { kind: 'itemAdded', name: 'Hose', count: 1, state: 'ordered', supplier: 'Hobdray Stores' });
  await until(async () => (await everyRow('')).every(({ move }) => move !== null));
  const order = (await everyRow('')).map(({ id }) => id);
  expect(order.slice(0, 2)).toEqual([soon, later]);
  expect((await everyRow('most=1')).map(({ id }) => id)).toEqual(order);
  expect(order.at(-1)).toBe(waits);
  expect((await everyRow('waits=yes')).map(({ id }) => id)).toEqual([waits]);
  expect((await everyRow('waits=no')).map(({ id }) => id)).toEqual(order.slice(0, -1));
  await send(soon, { kind: 'promised', on: null });
  expect((await everyRow('')).map(({ id }) => id)[0]).toBe(later);
  await send(waits, { kind: 'withdrawn', entry: randomUUID() });
});

test('a page after something that is no place is refused', async () => {
  for (const after of ['x', `2026-01-01T00:00:00.000Z_${randomUUID()}`, `2026-01-01T00:00:00.000Z_${randomUUID()}_2026-13-41_moves`])
    expect((await server.inject(`/api/jobs?state=open&after=${encodeURIComponent(after)}`)).statusCode).toBe(400);
});

test('a loose part that the family does not know of keeps the job from being closed', async () => {
  const jobId = randomUUID();
  await send(
    jobId,
    takenIn(),
    { kind: 'ownLooseAdded', step: 'cover-off', name: 'spacer', part: 'part', count: 1, lives: 'on the stud' },
    { kind: 'stepDone', step: 'cover-off' },
    // The family's own part of that step is accounted for; the spacer is not.
    { kind: 'closingDone', step: 'cover-off', short: [] },
  );
  const close: EntryPayload = { kind: 'closed', outcome: 'returned', found: 'nothing', note: 'the owner tries it' };
  const closed = async () => (await send(jobId, close)).answer.json<{ status: string; sentence?: string }[]>()[0];
  const back = (await server.inject(`/api/jobs/${jobId}`)).json<{ entries: { id: string; payload: EntryPayload }[] }>().entries;
  const own = `own-${back.find(({ payload }) => payload.kind === 'ownLooseAdded')?.id}`;
  await send(jobId, { kind: 'looseNoted', step: 'cover-off', item: own, what: 'lost', count: 1 });
  expect(await closed()).toMatchObject({ status: 'refused', sentence: expect.stringMatching(/./) as string });
  await send(jobId, { kind: 'looseNoted', step: 'cover-off', item: own, what: 'replaced', count: 1 });
  expect(await closed()).toMatchObject({ status: 'stored' });
});
