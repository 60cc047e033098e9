import { randomUUID } from 'node:crypto';
import type { Entry, EntryPayload } from '@patient-badger/core/job';
import type { EntryReceipt, Job, JobPage, MachinePage } from '@patient-badger/contract';
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
  const response = await server.inject({
    method: 'POST',
    url: '/api/entries',
    payload: entries as object[],
    headers: { 'x-person': person },
  });
  return { status: response.statusCode, body: response.json<EntryReceipt[]>() };
};
const read = async (id: string) => (await server.inject(`/api/jobs/${id}`)).json<Job>();

test('entries make a job and come back as they were written', async () => {
  const jobId = randomUUID();
  const written = [
    takeIn(jobId),
    entry(jobId, { kind: 'lookRecorded', look: 'tank-level', result: 'full' }, { at: new Date(Date.now() + 1000).toISOString() }),
  ];
  expect((await send(written)).body.map(({ status }) => status)).toEqual(['stored', 'stored']);
  const { entries } = await read(jobId);
  expect(entries.map(({ seq: _, ...each }) => each)).toEqual(written);
  const [first = 0, second = 0] = entries.map(({ seq }) => seq);
  expect(second).toBeGreaterThan(first);
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
  expect((await send([takeIn(randomUUID())], 'nobody')).status).toBe(403);
});

test('a closed job leaves the bench, and comes back when the closing is taken back', async () => {
  const jobId = randomUUID();
  const closing = entry(jobId, { kind: 'closed', outcome: 'cleaned', found: 'chips', note: 'the owner tries it' });
  const open = async () => (await server.inject('/api/jobs?state=open')).json<JobPage>().rows.some(({ id }) => id === jobId);
  await send([takeIn(jobId)]);
  expect(await open()).toBe(true);
  await send([closing]);
  expect(await open()).toBe(false);
  await send([entry(jobId, { kind: 'withdrawn', entry: closing.id })]);
  expect(await open()).toBe(true);
});

test('the same entry eight times at once is one stored and seven known', async () => {
  const jobId = randomUUID();
  const first = takeIn(jobId);
  const answers = await Promise.all(Array.from({ length: 8 }, () => send([first])));
  expect(answers.map(({ body }) => body[0]?.status).sort()).toEqual([...Array<string>(7).fill('known'), 'stored']);
  expect(new Set(answers.map(({ body }) => body[0]?.seq)).size).toBe(1);
  expect((await read(jobId)).entries).toHaveLength(1);
});

test('a plain note eight times at once, and twice in one sending, is stored once; under the id of another job it is refused', async () => {
  const [jobId, otherId] = [randomUUID(), randomUUID()];
  await send([takeIn(jobId), takeIn(otherId)]);
  await send([entry(jobId, { kind: 'remark', text: 'the job is known from here on' })]);
  const note = entry(jobId, { kind: 'remark', text: 'once' });
  const answers = await Promise.all(Array.from({ length: 8 }, () => send([note, note])));
  const statuses = answers.flatMap(({ body }) => body.map(({ status }) => status));
  expect(statuses.filter((each) => each === 'stored')).toHaveLength(1);
  expect(statuses.filter((each) => each === 'known')).toHaveLength(15);
  expect(new Set(answers.flatMap(({ body }) => body.map(({ seq }) => seq))).size).toBe(1);
  expect((await send([{ ...note, jobId: otherId }])).body[0]).toMatchObject({ status: 'refused', path: 'id' });
  expect((await send([entry(jobId, { kind: 'handNoted', gear: 'moon', hand: 'left' })])).body[0]).toMatchObject({
    status: 'refused',
    path: 'payload.gear',
  });
  expect((await read(jobId)).entries.filter(({ payload }) => payload.kind === 'remark' && payload.text === 'once')).toHaveLength(1);
});

test('a text that no database can keep is refused with its place, and what was sent with it is kept', async () => {
  const jobId = randomUUID();
  const { status, body } = await send([
    takeIn(jobId),
    entry(jobId, { kind: 'remark', text: 'grease \0 gone' }),
    entry(jobId, { kind: 'remark', text: 'half a sign \uD83D' }),
    entry(jobId, { kind: 'lookRecorded', look: 'tank-level', result: 'full', note: 'a\0b' }),
    entry(jobId, { kind: 'remark', text: 'whole: 🦡' }),
  ]);
  expect([status, body.map((each) => each.status)]).toEqual([200, ['stored', 'refused', 'refused', 'refused', 'stored']]);
  expect(body[1]).toMatchObject({ path: 'payload.text', sentence: expect.stringContaining('cannot be kept') as string });
  const machine = await server.inject({
    method: 'POST',
    url: '/api/machines',
    payload: { id: randomUUID(), family: 'saw-oil-pump', label: 'Saw\0' },
    headers: { 'x-person': 'wren' },
  });
  expect([machine.statusCode, machine.json<{ path: string }>().path]).toEqual([400, 'label']);
  expect((await server.inject('/api/jobs?words=a%00b')).statusCode).toBe(400);
});

test('entries of other kinds, other shops and impossible times are refused, none of them breaks the server', async () => {
  const jobId = randomUUID();
  const odd = [
    { ...takeIn(jobId), payload: { kind: 'sung', text: 'la' } },
    { ...takeIn(jobId), at: '+275760-09-13T00:00:00.001Z' },
    { ...takeIn(jobId), at: '0000-01-01T00:00:00Z' },
    { ...takeIn(jobId), id: 'seven' },
    null,
    7,
    [],
  ];
  const { status, body } = await send(odd);
  expect([status, body.map((each) => each.status)]).toEqual([200, odd.map(() => 'refused')]);
});

test('a machine id of another shop is refused, and nothing of that shop is told', async () => {
  const id = randomUUID();
  await server.dataSource.query(`INSERT INTO shops (id, name, currency) VALUES ('other', 'Other', 'EUR')`);
  await server.dataSource.query(
    `INSERT INTO machines (id, shop_id, family, label, serial, owner, facts) VALUES ($1, 'other', 'saw-oil-pump', 'Secret', '', '', '{}')`,
    [id],
  );
  const payload = { id, family: 'saw-oil-pump', label: 'Mine' };
  const answer = await server.inject({ method: 'POST', url: '/api/machines', payload, headers: { 'x-person': 'wren' } });
  expect([answer.statusCode, answer.body.includes('Secret')]).toEqual([400, false]);
});

test('nobody signs with the name of another', async () => {
  const { body } = await send([{ ...takeIn(randomUUID()), by: 'imke' }], 'tobin');
  expect(body[0]).toMatchObject({ status: 'refused', path: 'by' });
});

test('many writers at once: every entry is kept, numbered in order, and known to two server processes alike', async () => {
  const other = await serverOn(server.url);
  const jobId = randomUUID();
  await send([takeIn(jobId)]);
  const texts = Array.from({ length: 60 }, (_, i) => `note ${i}`);
  await Promise.all(
    texts.map((text, i) =>
      (i % 2 ? other : server).inject({
        method: 'POST',
        url: '/api/entries',
        payload: [entry(jobId, { kind: 'remark', text })],
        headers: { 'x-person': 'tobin' },
      }),
    ),
  );
  const { entries } = await read(jobId);
  expect(entries.flatMap(({ payload }) => (payload.kind === 'remark' ? [payload.text] : [])).sort()).toEqual([...texts].sort());
  const seqs = entries.map(({ seq = 0 }) => seq);
  expect(seqs).toEqual([...new Set(seqs)].sort((p, q) => p - q));
  await other.app.close();
  await other.dataSource.destroy();
});

test('a machine sent twice is one machine; one of an unknown family is refused', async () => {
  const draft = { id: randomUUID(), family: 'saw-oil-pump', label: 'Spare saw' };
  const post = (payload: object) => server.inject({ method: 'POST', url: '/api/machines', payload, headers: { 'x-person': 'wren' } });
  expect((await post(draft)).statusCode).toBe(200);
  expect((await post(draft)).statusCode).toBe(200);
  const all = (await server.inject('/api/machines')).json<MachinePage>().machines;
  expect(all.filter(({ id }) => id === draft.id)).toHaveLength(1);
  const odd = await post({ ...draft, id: randomUUID(), family: 'toaster' });
  expect([odd.statusCode, odd.json<{ path: string }>().path]).toEqual([422, 'family']);
  const nameless = await post({ ...draft, id: randomUUID(), label: ' ' });
  expect([nameless.statusCode, nameless.json<{ path: string }>().path]).toEqual([400, 'label']);
});
