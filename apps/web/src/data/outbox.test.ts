import { t as catalogue } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import 'fake-indexeddb/auto';
import { PERSON_HEADER } from '@patient-badger/contract';
import { createStore, set } from 'idb-keyval';
import * as Api from './api.ts';
import type * as Connection from './connection.ts';
import type * as Outbox from './outbox.ts';
import type { Waiting } from './outbox.ts';
import type * as Person from './person.ts';
import type * as Record from './record.ts';
import type * as Send from './send.ts';
import type * as SignedOut from './signedOut.ts';

// The test's browser lacks it; what is kept here is plain data.
globalThis.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** A fresh start of the app on the same device: every module anew, the device's store as it was. */
function restart(): typeof Outbox & typeof Person & typeof Send & typeof Record & typeof Connection & typeof SignedOut {
  jest.resetModules();
  /* eslint-disable @typescript-eslint/no-require-imports */
  return {
    ...require('./outbox.ts'),
    ...require('./person.ts'),
    ...require('./send.ts'),
    ...require('./record.ts'),
    ...require('./connection.ts'),
    ...require('./signedOut.ts'),
  };
  /* eslint-enable @typescript-eslint/no-require-imports */
}
type App = ReturnType<typeof restart>;

const JOB = '0197a000-0000-7000-8000-000000000001';
const HASH = 'a'.repeat(64);
type Answer = { status: number; body: unknown } | { status: number; text: string };
const answers: (Answer | ((sent: { id: string }[]) => Answer))[] = [];
const calls: { url: string; person: string | undefined; texts: unknown[] }[] = [];

beforeEach(() => {
  answers.length = 0;
  calls.length = 0;
  // The server is not here: what is tested is what the device keeps, whatever the server says.
  globalThis.fetch = (async (url: string, init?: { headers?: { [name: string]: string }; body?: unknown }) => {
    const sent = typeof init?.body === 'string' ? (JSON.parse(init.body) as { id: string; payload?: { text?: string } }[]) : [];
    calls.push({ url, person: init?.headers?.['x-person'], texts: [sent].flat().map((each) => each.payload?.text) });
    const next = answers.shift();
    if (!next) throw new TypeError('no connection');
    const answer = typeof next === 'function' ? next(sent) : next;
    return {
      ok: answer.status < 400,
      status: answer.status,
      text: async () => ('text' in answer ? answer.text : JSON.stringify(answer.body)),
    };
  }) as typeof fetch;
});

const stored = (sent: { id: string }[]): Answer => ({ status: 200, body: sent.map(({ id }, i) => ({ id, status: 'stored', seq: i + 1 })) });
const refused = (sent: { id: string }[]): Answer => ({
  status: 200,
  body: sent.map(({ id }) => ({ id, status: 'refused', sentence: 'There is no such job.' })),
});
const problem = (status: number, code: string, sentence = catalogue.no): Answer => ({ status, body: { code, sentence } });
const send = (app: App) => app.sendWaiting(async ({ item }) => app.remove(item));
const texts = (list: readonly Waiting[]) =>
  list.map((item) => (item.kind === 'entry' && item.entry.payload.kind === 'remark' ? item.entry.payload.text : item.kind));
const remark = (app: App, text: string) => app.record(JOB, { kind: 'remark', text });

async function begin(person: string | null = 'tobin'): Promise<App> {
  const app = restart();
  app.choosePerson(person);
  app.standing.set({ state: 'signedIn', person, proven: ['tobin', 'imke', 'wren'], sample: null });
  await app.openOutbox();
  for (const item of app.outbox.get()) await app.remove(item);
  return app;
}

test('two notes made without a connection survive a reload and go out in order, each once', async () => {
  const before = await begin();
  await remark(before, 'one');
  await remark(before, 'two');
  await send(before);
  expect(before.outbox.get()).toHaveLength(2);

  const after = restart();
  await after.openOutbox();
  expect(texts(after.outbox.get())).toEqual(['one', 'two']);
  answers.push(stored, stored);
  await send(after);
  expect(after.outbox.get()).toEqual([]);
  expect(calls.slice(-2).map(({ person, texts: [text] }) => [person, text])).toEqual([
    ['tobin', 'one'],
    ['tobin', 'two'],
  ]);
});

test('a clock that runs back does not put a note before the one that it follows', async () => {
  const app = await begin();
  await remark(app, 'first');
  jest.useFakeTimers({ now: Date.parse('1999-12-31'), doNotFake: ['setTimeout', 'setImmediate', 'queueMicrotask', 'nextTick'] });
  await remark(app, 'later, the clock says earlier');
  jest.setSystemTime(Date.parse('2001-01-01'));
  await app.recordPhoto(JOB, 'worm', new Blob(['x']));
  jest.useRealTimers();
  const again = restart();
  await again.openOutbox();
  expect(texts(again.outbox.get())).toEqual(['first', 'later, the clock says earlier', 'photo']);
});

test('notes that an older version kept under their ids go out first, and are never written over', async () => {
  await begin();
  const store = createStore('patient-badger-outbox', 'waiting');
  const id = '0197a000-0000-7000-8000-00000000000b';
  await set(
    id,
    {
      kind: 'entry',
      key: id,
      entry: { id, jobId: JOB, at: '2026-01-01T00:00:00.000Z', by: 'wren', payload: { kind: 'remark', text: 'old' } },
    },
    store,
  );
  const app = restart();
  await app.openOutbox();
  await remark(app, 'new');
  await remark(app, 'newer');
  expect(texts(app.outbox.get())).toEqual(['old', 'new', 'newer']);
});

test('a refused note is set aside with its reason and does not hold up the next; it can be changed and sent again in its place', async () => {
  const app = await begin('wren');
  await remark(app, 'bad');
  await remark(app, 'good');
  answers.push(refused, stored);
  await send(app);
  expect(app.outbox.get()).toEqual([expect.objectContaining({ refused: 'There is no such job.' })]);
  const [aside] = app.outbox.get();
  if (!aside) throw new Error('nothing was set aside');
  await app.sendAgain(aside);
  await remark(app, 'last');
  answers.push(stored, stored);
  await send(app);
  expect(calls.slice(-2).map(({ texts: [text] }) => text)).toEqual(['bad', 'last']);
  expect(app.outbox.get()).toEqual([]);
});

test.each<[string, Answer]>([
  ['the shop record away', problem(503, 'databaseAway')],
  ['too many at once', problem(429, 'tooMany')],
  ['no reader of photos free', problem(503, 'photoBusy')],
  ['a portal’s page', { status: 200, text: '<html>Sign in to the free network</html>' }],
  ['a proxy’s 403', { status: 403, text: 'Forbidden' }],
  ['a proxy’s 404', { status: 404, text: '<h1>404</h1>' }],
  ['a proxy’s 408', { status: 408, body: { error: 'timeout' } }],
  ['somebody else’s JSON', { status: 200, body: { ok: true } }],
  ['an answer about another note', { status: 200, body: [{ id: 'other', status: 'refused', sentence: 'No.' }] }],
  ['half an answer', { status: 200, text: '[{"id":"0197' }],
])('%s: the note waits and is not set aside', async (_name, answer) => {
  const app = await begin('wren');
  await remark(app, 'later');
  answers.push(answer);
  await send(app);
  expect(app.outbox.get()).toEqual([expect.not.objectContaining({ refused: expect.anything() as unknown })]);
  expect(app.connection.get()).toBe('down');
  answers.push(stored);
  await send(app);
  expect(app.outbox.get()).toEqual([]);
});

test('a note at which the server itself breaks is set aside after the third time, and the rest goes on', async () => {
  const app = await begin('wren');
  await remark(app, 'poison');
  await remark(app, 'good');
  for (let i = 0; i < 2; i++) {
    answers.push(problem(500, 'broken', 'Something went wrong on our side.'));
    await send(app);
    expect(texts(app.outbox.get())).toEqual(['poison', 'good']);
  }
  answers.push(problem(500, 'broken', 'Something went wrong on our side.'), stored);
  await send(app);
  expect(app.outbox.get()).toEqual([expect.objectContaining({ refused: 'Something went wrong on our side.' })]);
});

test('signs that no database keeps are taken out where the note is written', async () => {
  const app = await begin();
  expect((await remark(app, 'a\0b\uD83Dc')).payload).toMatchObject({ text: 'abc' });
});

test('a photo is one entry, however often it is sent: after a kill between the answer and the next step too', async () => {
  const app = await begin();
  await app.recordPhoto(JOB, 'worm', new Blob(['x']));
  const receipt: Answer = { status: 200, body: { hash: HASH, type: 'image/png', bytes: 1, width: 1, height: 1 } };
  const [waiting] = app.outbox.get();
  if (waiting?.kind !== 'photo') throw new Error('no photo waits');
  // Two windows, or a kill: the answer comes twice for the same waiting photo.
  await app.photoArrived(waiting, HASH);
  await app.photoArrived(waiting, HASH);
  expect(app.outbox.get()).toHaveLength(1);
  const again = restart();
  await again.openOutbox();
  expect(again.outbox.get()).toEqual([
    expect.objectContaining({ key: waiting.key, kind: 'entry', entry: expect.objectContaining({ id: waiting.entryId }) as unknown }),
  ]);
  answers.push(stored);
  await send(again);
  // The other window comes late: the entry is gone, and the photo does not come back.
  await again.photoArrived(waiting, HASH);
  expect(again.outbox.get()).toEqual([]);

  await again.recordPhoto(JOB, 'worm', new Blob(['y']));
  await remark(again, 'after the photo');
  answers.push(receipt, stored, stored);
  await send(again);
  expect(calls.slice(-3).map(({ url }) => url)).toEqual(['/api/photos', '/api/entries', '/api/entries']);
});

test('what has arrived is no longer waiting, and is not sent again while it is kept a moment', async () => {
  const app = await begin();
  await remark(app, 'once');
  answers.push(stored);
  await app.sendWaiting(async ({ item }) => app.acknowledge(item));
  await app.sendWaiting(async ({ item }) => app.acknowledge(item));
  expect(calls).toHaveLength(1);
  expect(app.outbox.get()).toEqual([expect.objectContaining({ sent: true })]);
});

test('two windows send the same note, and one empties the box: the other takes nothing out that was written since', async () => {
  const one = await begin();
  await remark(one, 'sent twice');
  const other = restart();
  await other.openOutbox();
  other.choosePerson('tobin');
  other.standing.set({ state: 'signedIn', person: 'tobin', proven: ['tobin'], sample: null });
  const [late] = one.outbox.get();
  answers.push(stored);
  await send(other);
  // The box is empty and counts from one again.
  await remark(other, 'written since');
  await one.openOutbox();
  expect(one.outbox.get().map(({ key }) => key)).toEqual([late?.key]);
  if (!late) throw new Error('nothing waits');
  await one.setAside(late, catalogue.no);
  await one.remove(late);
  const after = restart();
  await after.openOutbox();
  expect(after.outbox.get()).toEqual([expect.not.objectContaining({ refused: catalogue.no })]);
  expect(texts(after.outbox.get())).toEqual(['written since']);
  expect(texts(one.outbox.get())).toEqual(['written since']);
});

test('nobody writes without a name, and nothing impossible is kept', async () => {
  const app = await begin(null);
  await expect(remark(app, 'x')).rejects.toThrow(shared.chooseWhoYouAreFirst);
  app.choosePerson('imke');
  await expect(app.record('not-a-job', { kind: 'remark', text: 'x' })).rejects.toThrow();
  expect(app.outbox.get()).toEqual([]);
});

const signedIn = (person: string, proven: readonly string[]) => ({
  status: 200,
  body: { state: 'signedIn', person, proven, sample: null },
});

test('a session that has run out loses nothing: what waits goes out under its author once somebody has signed in again', async () => {
  const app = await begin('tobin');
  await remark(app, 'before');
  answers.push(problem(401, 'signInFirst'), { status: 200, body: { state: 'signIn', person: null, proven: [], sample: null } });
  await send(app);
  expect(texts(app.outbox.get())).toEqual(['before']);
  expect(app.standing.get()?.state).toBe('signIn');
  // Work goes on, and nobody is asked in vain meanwhile.
  await remark(app, 'meanwhile');
  const asked = calls.length;
  await send(app);
  expect(calls).toHaveLength(asked);
  const again = restart();
  await again.openOutbox();
  again.standing.set({ ...signedIn('tobin', ['tobin']).body, state: 'signedIn', proven: ['tobin'] });
  answers.push(stored, stored);
  await send(again);
  expect(again.outbox.get()).toEqual([]);
  expect(calls.slice(-2)).toEqual([
    { url: '/api/entries', person: 'tobin', texts: ['before'] },
    { url: '/api/entries', person: 'tobin', texts: ['meanwhile'] },
  ]);
});

test('what somebody wrote who took the device without a connection waits for their PIN; the work of others goes out', async () => {
  const app = await begin('wren');
  app.standing.set({ state: 'signedIn', person: 'tobin', proven: ['tobin'], sample: null });
  const made = await app.recordMachine({
    modelId: null,
    family: 'saw-oil-pump',
    label: 'A saw',
    serial: '',
    owner: '',
    contact: '',
    facts: {},
  });
  app.choosePerson('tobin');
  await remark(app, 'by Tobin');
  // A job on the machine that Wren wrote down cannot be known before it.
  const takenIn = { kind: 'takenIn', machineId: made.id, family: 'saw-oil-pump', complaint: 'dry', facts: {} } as const;
  await app.record('0197a000-0000-7000-8000-000000000002', takenIn);
  answers.push(stored);
  await send(app);
  expect(app.outbox.get().map(({ kind }) => kind)).toEqual(['machine', 'entry']);
  app.standing.set({ state: 'signedIn', person: 'wren', proven: ['tobin', 'wren'], sample: null });
  answers.push({ status: 200, body: { ...made, modelName: null, instruments: false, retired: false, mergedInto: null } }, stored);
  await send(app);
  expect(app.outbox.get()).toEqual([]);
  expect(calls.map(({ url, person }) => [url, person])).toEqual([
    ['/api/entries', 'tobin'],
    ['/api/machines', 'wren'],
    ['/api/entries', 'tobin'],
  ]);
});

test('a server that no longer takes somebody’s word asks for it again, and sets nothing aside', async () => {
  const app = await begin('wren');
  await remark(app, 'mine');
  answers.push(problem(403, 'confirmWho'), signedIn('tobin', ['tobin']));
  await send(app);
  expect(app.standing.get()?.proven).toEqual(['tobin']);
  expect(app.outbox.get()[0]?.refused).toBeUndefined();
  expect(texts(app.outbox.get())).toEqual(['mine']);
  // Whoever has the phone stays on it until they have shown who they are.
  expect(app.currentPerson()).toBe('wren');
});

test('the header that names the person is the contract’s', () => expect(Api.PERSON_HEADER).toBe(PERSON_HEADER));
