import 'fake-indexeddb/auto';
import type * as Outbox from './outbox.ts';
import type { Waiting } from './outbox.ts';
import type * as Person from './person.ts';
import type * as Send from './send.ts';

// The test's browser lacks it; what is kept here is plain data.
globalThis.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** A fresh start of the app on the same device: every module anew, the device's store as it was. */
function restart(): typeof Outbox & typeof Person & typeof Send {
  jest.resetModules();
  /* eslint-disable @typescript-eslint/no-require-imports */
  return { ...require('./outbox.ts'), ...require('./person.ts'), ...require('./send.ts') };
  /* eslint-enable @typescript-eslint/no-require-imports */
}

const JOB = '0197a000-0000-7000-8000-000000000001';
const answers: { status: number; body: unknown }[] = [];
const calls: { url: string; person: string | undefined }[] = [];

beforeEach(() => {
  answers.length = 0;
  calls.length = 0;
  // The server is not here: what is tested is what the device keeps, whatever the server says.
  globalThis.fetch = (async (url: string, init?: { headers?: Record<string, string> }) => {
    calls.push({ url, person: init?.headers?.['x-person'] });
    const answer = answers.shift();
    if (!answer) throw new TypeError('no connection');
    return { ok: answer.status < 400, status: answer.status, text: async () => JSON.stringify(answer.body) };
  }) as typeof fetch;
});

test('two notes made without a connection survive a reload and go out in order, each once', async () => {
  const before = restart();
  before.choosePerson('tobin');
  const first = await before.record(JOB, { kind: 'remark', text: 'one' });
  const second = await before.record(JOB, { kind: 'remark', text: 'two' });
  await before.sendWaiting(async () => undefined);
  expect(before.outbox.get()).toHaveLength(2);

  const after = restart();
  await after.openOutbox();
  expect(after.outbox.get().map(({ key }) => key)).toEqual([first.id, second.id]);
  const sent: string[] = [];
  answers.push({ status: 200, body: [{ id: first.id, status: 'stored' }] }, { status: 200, body: [{ id: second.id, status: 'known' }] });
  await after.sendWaiting(async (item: Waiting) => {
    sent.push(item.key);
    await after.remove(item.key);
  });
  expect(sent).toEqual([first.id, second.id]);
  expect(after.outbox.get()).toEqual([]);
  expect(calls.at(-1)?.person).toBe('tobin');
});

test('a refused note is kept with its reason and does not hold up the next', async () => {
  const app = restart();
  app.choosePerson('wren');
  const bad = await app.record(JOB, { kind: 'remark', text: 'bad' });
  const good = await app.record(JOB, { kind: 'remark', text: 'good' });
  answers.push(
    { status: 200, body: [{ id: bad.id, status: 'refused', sentence: 'There is no such job.' }] },
    { status: 200, body: [{ id: good.id, status: 'stored' }] },
  );
  await app.sendWaiting(async (item: Waiting) => app.remove(item.key));
  expect(app.outbox.get()).toEqual([expect.objectContaining({ key: bad.id, refused: 'There is no such job.' })]);
  await app.remove(bad.id);
});

test('when the shop record does not answer, the note waits', async () => {
  const app = restart();
  app.choosePerson('wren');
  const note = await app.record(JOB, { kind: 'remark', text: 'later' });
  answers.push({ status: 503, body: { code: 'databaseAway', sentence: 'The shop record is not answering.' } });
  await app.sendWaiting(async (item: Waiting) => app.remove(item.key));
  expect(app.outbox.get()).toEqual([expect.not.objectContaining({ refused: expect.anything() as unknown })]);
  expect(app.connection.get()).toBe('down');
  await app.remove(note.id);
});

test('nobody writes without a name, and nothing impossible is kept', async () => {
  const app = restart();
  app.choosePerson(null);
  await expect(app.record(JOB, { kind: 'remark', text: 'x' })).rejects.toThrow('Choose who you are first.');
  app.choosePerson('imke');
  await expect(app.record('not-a-job', { kind: 'remark', text: 'x' })).rejects.toThrow();
  expect(app.outbox.get()).toEqual([]);
});
