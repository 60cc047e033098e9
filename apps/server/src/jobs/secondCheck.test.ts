import { randomUUID } from 'node:crypto';
import type { EntryPayload } from '@patient-badger/core/job';
import type { EntryReceipt, JobPage } from '@patient-badger/contract';
import { idOf } from '../idOf.ts';
import jpeg from 'jpeg-js';
import { sign, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

interface Submission {
  readonly by: string;
  readonly payload: EntryPayload;
  readonly sentBy?: string;
  readonly at?: string;
  /** Without the PIN of who writes it. */
  readonly unsigned?: true;
}

const SIGNED = new Set(['secondChecked', 'outsideChecked', 'closed', 'withdrawn']);

const CLOSE: EntryPayload = { kind: 'closed', outcome: 'repaired', found: 'sector', note: 'the owner tries it' };
const DECIDE: EntryPayload = { kind: 'decided', fault: 'sector-stripped', remedy: 'replace', probability: 0.95 };
const CHECK: EntryPayload = { kind: 'secondChecked' };
const WORK: EntryPayload = { kind: 'closingDone', step: 'down' };

/** A job on a machine that steers, and what the server answers to each of its entries. */
async function job(...already: readonly Submission[]) {
  const jobId = randomUUID();
  const send = async ({ by, payload, sentBy = by, at = new Date().toISOString(), unsigned }: Submission) => {
    const id = randomUUID();
    if (SIGNED.has(payload.kind) && !unsigned) await sign(server, by, id);
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
  return { send, isOpen, jobId };
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

const codeOf = async (send: (sent: Submission) => Promise<{ status?: string | undefined; sentence: string }>, sent: Submission) =>
  (await send(sent)).sentence;

test('a check and a closing want the PIN of who writes them at that moment, each its own, and wait for it', async () => {
  const { send, isOpen } = await job({ by: 'imke', payload: WORK });
  expect(await send({ by: 'tobin', payload: CHECK, unsigned: true })).toMatchObject({ status: 'unsigned' });
  expect((await send({ by: 'tobin', payload: CHECK })).status).toBe('stored');
  expect(await send({ by: 'imke', payload: CLOSE, unsigned: true })).toMatchObject({ status: 'unsigned' });
  expect(await isOpen()).toBe(true);
  expect((await send({ by: 'imke', payload: CLOSE })).status).toBe('stored');
});

test('the PIN of one signs nothing of another', async () => {
  const { jobId } = await job({ by: 'imke', payload: WORK });
  const id = randomUUID();
  await sign(server, 'imke', id);
  const entry = { id, jobId, at: new Date().toISOString(), by: 'tobin', payload: CHECK };
  const answer = await server.inject({ method: 'POST', url: '/api/entries', payload: [entry], headers: { 'x-person': 'tobin' } });
  expect(answer.json<EntryReceipt[]>()[0]).toMatchObject({ id, status: 'unsigned' });
});

test.each<[string, (send: Awaited<ReturnType<typeof job>>['send']) => Promise<unknown>]>([
  [
    'who took his own work back',
    async (send) => send({ by: 'tobin', payload: { kind: 'withdrawn', entry: (await send({ by: 'tobin', payload: WORK })).id } }),
  ],
  [
    'whose work another took back',
    async (send) => send({ by: 'imke', payload: { kind: 'withdrawn', entry: (await send({ by: 'tobin', payload: WORK })).id } }),
  ],
  ['who only remarked', async (send) => send({ by: 'tobin', payload: { kind: 'remark', text: 'held the wheel' } })],
  ['who read a dimension', async (send) => send({ by: 'tobin', payload: { kind: 'remark', gear: 'sector', text: 'eleven teeth' } })],
])('%s has no fresh eyes', async (_name, before) => {
  const { send } = await job({ by: 'imke', payload: WORK });
  await before(send);
  expect(await send({ by: 'tobin', payload: CHECK })).toMatchObject({
    status: 'refused',
    sentence: expect.stringContaining('had a hand in it') as string,
  });
  expect((await send({ by: 'imke', payload: CLOSE })).status).toBe('refused');
});

test.each<[string, EntryPayload]>([
  ['a step left out', { kind: 'stepSkipped', step: 'raised', reason: 'was off' }],
  ['a step that will not come', { kind: 'stepStuck', step: 'links-off', snag: 'rust' }],
])('%s after the check wants a new one', async (_name, payload) => {
  const { send } = await job({ by: 'imke', payload: WORK }, { by: 'tobin', payload: CHECK });
  const sent = await send({ by: 'imke', payload });
  if (sent.status !== 'stored') throw new Error(sent.sentence);
  expect(await codeOf(send, { by: 'imke', payload: CLOSE })).toContain('safety-critical');
});

test('a closing taken back comes not back by taking that back: it is a closing, and goes through the gate', async () => {
  const { send, isOpen } = await job({ by: 'imke', payload: WORK }, { by: 'tobin', payload: CHECK });
  const closed = await send({ by: 'imke', payload: CLOSE });
  const taken = await send({ by: 'imke', payload: { kind: 'withdrawn', entry: closed.id } });
  expect(await isOpen()).toBe(true);
  expect(await send({ by: 'imke', payload: { kind: 'withdrawn', entry: taken.id }, unsigned: true })).toMatchObject({ status: 'unsigned' });
  expect(await isOpen()).toBe(true);
});

const people = (change: object) =>
  server.inject({ method: 'POST', url: '/api/people/change', payload: change, headers: { 'x-person': 'imke' } });

test('a colleague who was retired and taken back, or given a passphrase by another, is no fresh eyes on what was under way', async () => {
  const { send } = await job({ by: 'imke', payload: WORK });
  await people({ id: 'tobin', retired: true });
  // Retired for a moment makes nobody alone.
  const outside: EntryPayload = { kind: 'outsideChecked', checker: 'Edda Brask', licence: 'Inspector 4411', on: '2026-03-02' };
  await people({ id: 'wren', role: 'mechanic' });
  expect(await codeOf(send, { by: 'imke', payload: outside })).toContain('Somebody else here');
  await people({ id: 'wren', role: 'apprentice' });
  expect(await codeOf(send, { by: 'imke', payload: outside })).toContain('Somebody else here');
  await people({ id: 'tobin', retired: false });
  expect(await codeOf(send, { by: 'tobin', payload: CHECK })).toContain('came back');
  expect(await codeOf(send, { by: 'imke', payload: CLOSE })).toContain('safety-critical');
});

test('a sheet that never came is no sheet, nor one that signed another job', async () => {
  // Everybody had a hand in it: only somebody from outside is left.
  const lines: Submission[] = [
    { by: 'imke', payload: WORK },
    { by: 'imke', payload: { kind: 'remark', text: 'all of us' } },
  ];
  const begin = async () => {
    const made = await job(...lines);
    await server.dataSource.query(`UPDATE people SET vouched_since = now() + interval '1 hour' WHERE id = 'tobin'`);
    return made;
  };
  const { send } = await begin();
  const sheet = (hash: string): EntryPayload => ({ kind: 'photoTaken', hash, about: 'signed-sheet' });
  const outside: EntryPayload = { kind: 'outsideChecked', checker: 'Edda Brask', licence: 'Inspector 4411', on: '2026-03-02' };
  expect((await send({ by: 'imke', payload: sheet('b'.repeat(64)) })).status).toBe('stored');
  expect((await send({ by: 'imke', payload: outside })).status).toBe('stored');
  expect(await codeOf(send, { by: 'imke', payload: CLOSE })).toContain('safety-critical');
  const bytes = jpeg.encode({ width: 40, height: 30, data: Buffer.alloc(40 * 30 * 4, 77) }, 80).data;
  const photo = await server.inject({ method: 'POST', url: '/api/photos', payload: bytes, headers: { 'content-type': 'image/jpeg' } });
  const { hash } = photo.json<{ hash: string }>();
  await send({ by: 'imke', payload: sheet(hash) });
  expect((await send({ by: 'imke', payload: CLOSE })).status).toBe('stored');
  // The same sheet signs no other job.
  const other = await begin();
  await other.send({ by: 'imke', payload: sheet(hash) });
  await other.send({ by: 'imke', payload: outside });
  expect(await codeOf(other.send, { by: 'imke', payload: CLOSE })).toContain('safety-critical');
  await server.dataSource.query(`UPDATE people SET vouched_since = 'epoch' WHERE id = 'tobin'`);
});

test('an apprentice signs no check from outside either', async () => {
  const { send } = await job({ by: 'wren', payload: WORK });
  const outside: EntryPayload = { kind: 'outsideChecked', checker: 'Edda Brask', licence: 'Inspector 4411', on: '2026-03-02' };
  expect((await send({ by: 'wren', payload: outside })).status).toBe('refused');
  expect((await send({ by: 'wren', payload: CHECK })).status).toBe('refused');
});
