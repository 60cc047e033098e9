import { randomUUID } from 'node:crypto';
import type { BookPage, JobPage, Machine, MachineHistory, MachineModel, MachinePage, Problem } from '@patient-badger/contract';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const get = async <T>(url: string) => (await server.inject(url)).json<T>();
const found = async (words: string) => (await get<MachinePage>(`/api/machines?words=${encodeURIComponent(words)}`)).machines;

test('machines are found by the beginnings of name, owner and plate, by model, and by what kind they are', async () => {
  const { machines } = await get<MachinePage>('/api/machines');
  expect(machines.length).toBeGreaterThan(20);
  for (const machine of machines.slice(0, 8)) {
    for (const text of [machine.label, machine.owner, machine.serial, machine.modelName ?? '']) {
      const word = text.split(/[^\p{L}\p{N}]+/u).find((each) => each.length > 2);
      if (word) expect((await found(word.slice(0, 4).toUpperCase())).map(({ id }) => id)).toContain(machine.id);
    }
  }
  const saws = await found('oil pump');
  expect(saws.length).toBeGreaterThan(1);
  expect(new Set(saws.map(({ family }) => family))).toEqual(new Set(['saw-oil-pump']));
  expect(await found('nothing of the kind')).toEqual([]);
});

test('one machine is told by its id, with its model; one that is not there is said not to be', async () => {
  const [first] = (await get<MachinePage>('/api/machines')).machines as [Machine];
  expect(await get<Machine>(`/api/machines/${first.id}`)).toEqual(first);
  const missing = await server.inject('/api/machines/00000000-0000-4000-8000-000000000000');
  expect([missing.statusCode, missing.json<Problem>().code]).toEqual([404, 'notFound']);
  expect((await server.inject('/api/machines/seven')).statusCode).toBe(400);
});

test('machines are counted by family', async () => {
  const { machines } = await get<MachinePage>('/api/machines');
  const counts = await get<Record<string, number>>('/api/machines/counts');
  expect(Object.values(counts).reduce((sum, each) => sum + each, 0)).toBe(machines.length);
  expect(counts['saw-oil-pump']).toBe(machines.filter(({ family }) => family === 'saw-oil-pump').length);
});

test('a thousand machines are told fifty at a time, and that there are more', async () => {
  await server.dataSource.query(
    `INSERT INTO machines (id, shop_id, family, label, serial, owner, facts)
     SELECT gen_random_uuid(), 'skarrow', 'saw-oil-pump', 'Yard saw ' || n, '', 'Yard', '{}' FROM generate_series(1, 1000) n`,
  );
  const page = await get<MachinePage>('/api/machines?words=yard');
  expect([page.machines.length, page.more]).toEqual([50, true]);
  expect((await found('yard 777')).map(({ label }) => label)).toEqual(['Yard saw 777']);
});

const post = (url: string, payload: object, person = 'imke') =>
  server.inject({ method: 'POST', url, payload, headers: { 'x-person': person } });
const draft = (label: string) => ({ id: randomUUID(), modelId: null, family: 'saw-oil-pump', label, serial: '', owner: '', facts: {} });
const take = async (machineId: string, at: string, hours: number) => {
  const jobId = randomUUID();
  const payload = { kind: 'takenIn', machineId, family: 'saw-oil-pump', complaint: 'runs dry', facts: { hours } };
  const answer = await post('/api/entries', [{ id: randomUUID(), jobId, at, by: 'imke', payload }]);
  expect(answer.json<{ status: string }[]>()[0]?.status).toBe('stored');
  return jobId;
};

test('a machine is renamed with its owner’s contact, and found by its new name, its jobs too', async () => {
  const machine = draft('Barn saw');
  await post('/api/machines', machine);
  const jobId = await take(machine.id, '2026-01-05T10:00:00Z', 10);
  const changed = (
    await post(`/api/machines/${machine.id}/change`, { label: 'Weir saw', owner: 'The lock keeper', contact: 'By the bell' })
  ).json<Machine>();
  expect(changed).toMatchObject({ label: 'Weir saw', owner: 'The lock keeper', contact: 'By the bell' });
  expect((await found('weir lock')).map(({ id }) => id)).toEqual([machine.id]);
  const jobs = async (words: string) => (await get<JobPage>(`/api/jobs?words=${encodeURIComponent(words)}`)).rows.map(({ id }) => id);
  expect(await jobs('weir keeper')).toEqual([jobId]);
  expect(await jobs('barn')).toEqual([]);
  await post(`/api/machines/${machine.id}/change`, { retired: true });
  expect(await found('weir')).toEqual([]);
  expect((await get<MachinePage>('/api/machines?words=weir&retired=yes')).machines).toMatchObject([{ retired: true }]);
});

test('two records of one machine become one, with all jobs and meters; the other way round is refused afterwards', async () => {
  const [one, two] = [draft('Chapel saw'), { ...draft('Chapel saw, again'), serial: 'CH-9' }];
  for (const each of [one, two]) await post('/api/machines', each);
  const jobs = [await take(one.id, '2025-01-01T10:00:00Z', 100), await take(two.id, '2026-01-01T10:00:00Z', 180)];
  await post(`/api/machines/${two.id}/meter`, { id: randomUUID(), on: '2026-07-01', hours: 220, km: null });
  const merged = (await post(`/api/machines/${two.id}/merge`, { into: one.id })).json<Machine>();
  expect(merged).toMatchObject({ id: one.id, label: 'Chapel saw', serial: 'CH-9' });
  expect((await get<JobPage>(`/api/jobs?machine=${one.id}`)).rows.map(({ id }) => id).sort()).toEqual([...jobs].sort());
  expect(await get<Machine>(`/api/machines/${two.id}`)).toMatchObject({ retired: true, mergedInto: one.id });
  const { meters, yearly } = await get<MachineHistory>(`/api/machines/${one.id}/history`);
  expect(meters.map(({ on, hours }) => [on, hours])).toEqual([
    ['2026-07-01', 220],
    ['2026-01-01', 180],
    ['2025-01-01', 100],
  ]);
  expect(yearly).toEqual({ hours: expect.closeTo((120 / 546) * 365.25, 6) as number, km: null });
  // Work on a job of the record that went goes on.
  const note = {
    id: randomUUID(),
    jobId: jobs[1],
    at: new Date().toISOString(),
    by: 'imke',
    payload: { kind: 'remark', text: 'still here' },
  };
  expect((await post('/api/entries', [note])).json<{ status: string }[]>()[0]?.status).toBe('stored');
  for (const [from, into] of [
    [one.id, two.id],
    [one.id, one.id],
    [one.id, (await found('tractor'))[0]?.id],
  ])
    expect((await post(`/api/machines/${from}/merge`, { into })).json<Problem>().code).toBe('otherMachine');
});

test('a model is added once, given other counts, and not taken what its jobs speak of', async () => {
  const model = { id: randomUUID(), maker: 'Orrick', code: 'S-40', family: 'saw-oil-pump' };
  expect((await post('/api/models', model)).json<MachineModel>()).toMatchObject({ maker: 'Orrick', retired: false });
  expect((await post('/api/models', model)).statusCode).toBe(200);
  expect((await post('/api/models', { ...model, id: randomUUID(), maker: 'ORRICK' })).json<Problem>().code).toBe('modelTaken');
  const machine = { ...draft('Orrick saw'), modelId: model.id };
  await post('/api/machines', machine);
  const jobId = await take(machine.id, '2026-02-01T10:00:00Z', 1);
  const look = {
    id: randomUUID(),
    jobId,
    at: '2026-02-01T10:05:00Z',
    by: 'imke',
    payload: { kind: 'lookRecorded', look: 'tank-level', result: 'full' },
  };
  await post('/api/entries', [look]);
  const change = (overrides: object | null) => post(`/api/models/${model.id}/change`, { overrides });
  expect((await change({ joints: { 'worm-pinion': { teeth: 14 } } })).json<MachineModel | Problem>()).not.toHaveProperty('sentence');
  expect((await change({ without: { looks: ['tank-level'] } })).json<Problem>()).toMatchObject({ code: 'modelInUse' });
  expect((await change({ joints: { nothing: { teethB: 14 } } })).statusCode).toBe(422);
  // Another model's family is another machine's.
  const other = (await get<MachineModel[]>('/api/models')).find(({ family }) => family !== 'saw-oil-pump');
  expect((await post(`/api/machines/${machine.id}/change`, { modelId: other?.id })).json<Problem>().code).toBe('unknownModel');
});

test('what a job learnt goes into the book of its model, comes out as a file, and goes into another shop’s', async () => {
  const [model] = await get<MachineModel[]>('/api/models').then((list) => list.filter(({ family }) => family === 'saw-oil-pump'));
  const machine = { ...draft('Book saw'), modelId: model?.id ?? null };
  await post('/api/machines', machine);
  const jobId = await take(machine.id, '2026-03-01T10:00:00Z', 1);
  const lines = [
    { kind: 'fault', fault: 'worm-stripped' },
    { kind: 'partProved', gear: 'worm', partNumber: 'QB-7701-L', name: 'Oil pump worm' },
    { kind: 'note', text: 'Warm the drum first' },
  ];
  const url = `/api/models/${model?.id}/book`;
  const once = (await post(url, { jobId, lines })).json<BookPage>();
  expect(once.lines.map(({ line }) => line).sort((p, q) => (p.kind < q.kind ? -1 : 1))).toEqual([lines[0], lines[2], lines[1]]);
  // Written twice it stands once.
  expect((await post(url, { jobId, lines })).json<BookPage>().lines).toHaveLength(3);
  expect((await post(url, { jobId, lines: [{ kind: 'fault', fault: 'nothing' }] })).json<Problem>()).toMatchObject({
    path: 'lines.0.fault',
  });
  const another = draft('Of no model');
  await post('/api/machines', another);
  const elsewhere = await take(another.id, '2026-03-02T10:00:00Z', 1);
  expect((await post(url, { jobId: elsewhere, lines })).json<Problem>().code).toBe('unknownJob');
  expect((await post(`${url}/out`, { key: 'note/warm the drum first', source: jobId })).json<BookPage>().lines).toHaveLength(2);

  const file = await get<{ model: { code: string }; from: string }>(`${url}/export`);
  const brought = { ...file, from: 'Reed & Daughter', model: { ...file.model, code: `${file.model.code} mk2` } };
  const next = (await post('/api/model-books', brought)).json<MachineModel>();
  const book = await get<BookPage>(`/api/models/${next.id}/book`);
  expect(book.lines.map(({ source }) => source.startsWith('Reed & Daughter: '))).toEqual([true, true]);
  expect((await post('/api/model-books', brought)).json<MachineModel>().id).toBe(next.id);
  expect((await get<BookPage>(`/api/models/${next.id}/book`)).lines).toHaveLength(2);
  expect((await post('/api/model-books', { ...brought, version: 2 })).json<Problem>()).toMatchObject({
    code: 'bookBroken',
    path: 'version',
  });
  expect((await post('/api/model-books', brought, 'tobin')).json<Problem>().code).toBe('ownersOnly');
});

test('two records are not made one where a job would no longer make sense, nor into one that is retired, nor twice', async () => {
  const model = {
    id: randomUUID(),
    maker: 'Orrick',
    code: 'S-41',
    family: 'saw-oil-pump',
    overrides: { without: { looks: ['vent-open'], faults: ['vent-blocked'] } },
  };
  expect((await post('/api/models', model)).statusCode).toBe(200);
  const [plain, spared, retired] = [draft('Weir saw'), { ...draft('Weir saw, the other'), modelId: model.id }, draft('Weir saw, old')];
  for (const each of [plain, spared, retired]) expect((await post('/api/machines', each)).statusCode).toBe(200);
  const jobId = await take(plain.id, '2026-01-05T10:00:00Z', 10);
  const look = {
    id: randomUUID(),
    jobId,
    at: new Date().toISOString(),
    by: 'imke',
    payload: { kind: 'lookRecorded', look: 'vent-open', result: 'same' },
  };
  expect((await post('/api/entries', [look])).json<{ status: string }[]>()[0]?.status).toBe('stored');
  expect((await post(`/api/machines/${plain.id}/change`, { modelId: model.id })).json<Problem>().code).toBe('modelInUse');
  expect((await post(`/api/machines/${plain.id}/merge`, { into: spared.id })).json<Problem>().code).toBe('modelInUse');
  await post(`/api/machines/${retired.id}/change`, { retired: true });
  expect((await post(`/api/machines/${plain.id}/merge`, { into: retired.id })).json<Problem>().code).toBe('otherMachine');
  const other = draft('Weir saw, again');
  await post('/api/machines', other);
  expect((await post(`/api/machines/${other.id}/merge`, { into: plain.id })).statusCode).toBe(200);
  // What went into another is not taken up beside it.
  expect((await post(`/api/machines/${other.id}/change`, { retired: false })).json<Problem>().code).toBe('otherMachine');
  expect((await post(`/api/machines/${other.id}/merge`, { into: plain.id })).json<Problem>().code).toBe('otherMachine');
});

test('a book that grew elsewhere and is brought in again has each line once', async () => {
  const note = (text: string) => ({ line: { kind: 'note', text }, at: '2026-05-01T00:00:00Z', source: 'A job of Far shed' });
  const file = (lines: readonly object[]) => ({
    format: 'patient-badger-model-book',
    version: 1,
    from: 'Far shed',
    lines,
    model: { maker: 'Orrick', code: 'G-1', family: 'saw-oil-pump', note: null, overrides: null },
  });
  const bring = async (...texts: string[]) => {
    const { id } = (await post('/api/model-books', file(texts.map(note)))).json<MachineModel>();
    const { lines } = await get<BookPage>(`/api/models/${id}/book`);
    return lines.map(({ line }) => (line.kind === 'note' ? line.text : '')).sort();
  };
  expect(await bring('b', 'c')).toEqual(['b', 'c']);
  expect(await bring('a', 'b', 'c', 'd')).toEqual(['a', 'b', 'c', 'd']);
  expect(await bring('a', 'b', 'c', 'd')).toEqual(['a', 'b', 'c', 'd']);
});

test('a calendar has the lines that it has, whatever a machine and an interval are called', async () => {
  const evil = 'Saw\r\nBEGIN:VALARM\r\nACTION:DISPLAY\r\nEND:VALARM';
  const machine = draft(evil);
  await post('/api/machines', machine);
  const jobId = await take(machine.id, '2026-01-05T10:00:00Z', 10);
  const payload = { kind: 'intervalSet', what: `Oil\nBEGIN:VALARM`, every: { days: 30 } };
  await post('/api/entries', [{ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'imke', payload }]);
  const { body } = await server.inject(`/api/machines/${machine.id}/due.ics`);
  const lines = body.split(/\r?\n/);
  expect(lines.filter((line) => line.startsWith('BEGIN:'))).toEqual(['BEGIN:VCALENDAR', 'BEGIN:VEVENT']);
  expect(lines.filter((line) => line.startsWith('UID:'))).toEqual([expect.stringMatching(/^UID:[0-9a-f]{32}@patient-badger$/)]);
});
