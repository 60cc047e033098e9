import { randomUUID } from 'node:crypto';
import type { EntryPayload } from '@patient-badger/core';
import type { EntryReceipt, JobPage } from '@patient-badger/contract';
import { idOf } from '../idOf.ts';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

interface Sent {
  readonly by: string;
  readonly payload: EntryPayload;
  readonly sentBy?: string;
  readonly at?: string;
}

const CLOSE: EntryPayload = { kind: 'closed', outcome: 'repaired', found: 'sector' };
const DECIDE: EntryPayload = { kind: 'decided', fault: 'sector-stripped', remedy: 'replace', probability: 0.95 };
const CHECK: EntryPayload = { kind: 'secondChecked' };
const WORK: EntryPayload = { kind: 'closingDone', step: 'down' };

/** A job on a machine that steers, and what the server answers to each of its entries. */
async function job(...already: readonly Sent[]) {
  const jobId = randomUUID();
  const send = async ({ by, payload, sentBy = by, at = new Date().toISOString() }: Sent) => {
    const id = randomUUID();
    const answer = await server.inject({
      method: 'POST',
      url: '/api/entries',
      payload: [{ id, jobId, at, by, payload }],
      headers: { 'x-person': sentBy },
    });
    const [receipt] = answer.json<EntryReceipt[]>();
    return { id, status: receipt?.status, sentence: receipt?.sentence ?? '' };
  };
  const isOpen = async () => (await server.inject('/api/jobs?state=open')).json<JobPage>().rows.some(({ id }) => id === jobId);
  const machineId = idOf('machine', 'school-tractor');
  await send({ by: 'imke', payload: { kind: 'takenIn', machineId, family: 'sector-steering', complaint: 'steers nothing', facts: {} } });
  for (const each of already) expect((await send(each)).status).toBe('stored');
  return { send, isOpen };
}

test('worked on, looked over by another, closed', async () => {
  const { send, isOpen } = await job({ by: 'imke', payload: DECIDE }, { by: 'imke', payload: WORK }, { by: 'tobin', payload: CHECK });
  expect(await send({ by: 'imke', payload: CLOSE })).toMatchObject({ status: 'stored' });
  expect(await isOpen()).toBe(false);
});

test('a check signed with the name of another is refused', async () => {
  const { send } = await job({ by: 'imke', payload: DECIDE });
  expect(await send({ by: 'tobin', sentBy: 'imke', payload: CHECK })).toMatchObject({ status: 'refused' });
  expect(await send({ by: 'imke', payload: CLOSE })).toMatchObject({
    status: 'refused',
    sentence: expect.stringContaining('safety-critical') as string,
  });
});

test('a check dated in the future does not look over what is done after it', async () => {
  const { send } = await job(
    { by: 'imke', payload: DECIDE },
    { by: 'tobin', payload: CHECK, at: new Date(Date.now() + 86_400_000).toISOString() },
    { by: 'imke', payload: WORK },
  );
  expect(await send({ by: 'imke', payload: CLOSE })).toMatchObject({ status: 'refused' });
});

test('work after the closing, or the check taken back, opens the job again', async () => {
  const worked = await job({ by: 'imke', payload: DECIDE }, { by: 'tobin', payload: CHECK }, { by: 'imke', payload: CLOSE });
  expect(await worked.isOpen()).toBe(false);
  await worked.send({ by: 'imke', payload: WORK });
  expect(await worked.isOpen()).toBe(true);
  expect(await worked.send({ by: 'imke', payload: CLOSE })).toMatchObject({ status: 'refused' });

  const unlooked = await job({ by: 'imke', payload: DECIDE });
  const check = await unlooked.send({ by: 'tobin', payload: CHECK });
  await unlooked.send({ by: 'imke', payload: CLOSE });
  await unlooked.send({ by: 'tobin', payload: { kind: 'withdrawn', entry: check.id } });
  expect(await unlooked.isOpen()).toBe(true);
});

test('the closing taken back, worked on, and the taking back taken back: the job stays open', async () => {
  const { send, isOpen } = await job({ by: 'imke', payload: DECIDE }, { by: 'tobin', payload: CHECK });
  const closing = await send({ by: 'imke', payload: CLOSE });
  const back = await send({ by: 'imke', payload: { kind: 'withdrawn', entry: closing.id } });
  await send({ by: 'imke', payload: WORK });
  await send({ by: 'imke', payload: { kind: 'withdrawn', entry: back.id } });
  expect(await isOpen()).toBe(true);
  expect(await send({ by: 'imke', payload: CLOSE })).toMatchObject({ status: 'refused' });
});

test('looked over before anybody worked is not looked over', async () => {
  const { send } = await job({ by: 'tobin', payload: CHECK });
  expect(await send({ by: 'imke', payload: CLOSE })).toMatchObject({ status: 'refused' });
});
