import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '@patient-badger/core/machine';
import type { JobPage, MachinePage, OwnFamily, Problem } from '@patient-badger/contract';
import { randomUUID } from 'node:crypto';
import { sign, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const headers = { 'x-person': 'imke' };
const own = (change: Partial<Pack> = {}) => ({
  ...structuredClone(findFamily('trimmer-bevel-head') as Pack),
  id: 'hedge-head',
  name: 'Hedge head',
  ...change,
});
const keep = (payload: object) => server.inject({ method: 'POST', url: '/api/families', headers, payload });
const kept = async () => (await server.inject('/api/families')).json<OwnFamily[]>();

test('a family of the shop’s own is kept, listed, and counts up when it is brought in again', async () => {
  expect((await keep(own())).json()).toMatchObject({ id: 'hedge-head', version: 1 });
  expect((await keep(own({ summary: 'Belt, bevel pair, blades.' }))).json()).toMatchObject({ version: 2 });
  expect(await kept()).toMatchObject([{ id: 'hedge-head', version: 2, pack: { summary: 'Belt, bevel pair, blades.' } }]);
});

test('two at once become two versions', async () => {
  const before = (await kept())[0]?.version ?? 0;
  const versions = (await Promise.all([keep(own()), keep(own())])).map((answer) => answer.json<OwnFamily>().version);
  expect(versions.sort()).toEqual([before + 1, before + 2]);
});

test.each([
  [{ id: 'auger-gearbox' }, 409, 'familyShips'],
  [{ order: ['engine'] }, 400, 'invalidInput'],
  [{ faults: [] }, 400, 'invalidInput'],
] as const)('%j is refused with %i', async (change, status, code) => {
  const answer = await keep(own(change as unknown as Partial<Pack>));
  expect([answer.statusCode, answer.json<Problem>().code]).toEqual([status, code]);
  expect(answer.json<Problem>().sentence).toMatch(/\.$/);
});

test('nobody in particular may not bring one in', async () => {
  expect((await server.app.inject({ method: 'POST', url: '/api/families', payload: own() })).statusCode).toBe(401);
});

test('a job runs on the shop’s own family, and a new file that would make nonsense of it is refused', async () => {
  await keep(own());
  const machineId = randomUUID();
  const machine = { id: machineId, family: 'hedge-head', label: 'Hedge cutter', facts: {} };
  expect((await server.inject({ method: 'POST', url: '/api/machines', headers, payload: machine })).statusCode).toBe(200);
  const jobId = randomUUID();
  const entry = (payload: object) => ({ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'imke', payload });
  const entries = [
    entry({ kind: 'takenIn', machineId, family: 'hedge-head', complaint: 'stands', facts: {} }),
    entry({ kind: 'lookRecorded', look: 'wrap-look', result: 'clear' }),
    entry({ kind: 'lookRecorded', look: 'tank-level', result: 'full' }),
  ];
  const receipts = (await server.inject({ method: 'POST', url: '/api/entries', headers, payload: entries })).json<{ status: string }[]>();
  expect(receipts.map(({ status }) => status)).toEqual(['stored', 'stored', 'refused']);

  const without = own();
  const looks = without.looks.filter(({ id }) => id !== 'wrap-look');
  const complaints = without.complaints.map((each) => ({ ...each, first: [] }));
  const refused = await keep({ ...without, looks, complaints, finds: [], textbookOrder: looks.map(({ id }) => id) });
  expect(refused.json<Problem>()).toMatchObject({ code: 'familyInUse', sentence: expect.stringContaining('"wrap-look"') as string });
  expect((await keep(own())).statusCode).toBe(200);
});

test('a model’s overrides reach the server: a step it does not have cannot be done', async () => {
  const jobId = randomUUID();
  const { machines } = (await server.inject('/api/machines')).json<MachinePage>();
  const hedge = machines.find(({ label }) => label === 'Hedge saw');
  expect(hedge).toMatchObject({ instruments: true });
  expect(hedge).not.toHaveProperty('truth');
  const entry = (payload: object) => ({ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'imke', payload });
  const entries = [
    entry({ kind: 'takenIn', machineId: hedge?.id, family: 'saw-oil-pump', complaint: 'dry', facts: {} }),
    entry({ kind: 'stepDone', step: 'clutch-off' }),
    entry({ kind: 'stepDone', step: 'piston-held' }),
  ];
  const receipts = (await server.inject({ method: 'POST', url: '/api/entries', headers, payload: entries })).json<{ status: string }[]>();
  expect(receipts.map(({ status }) => status)).toEqual(['stored', 'stored', 'refused']);
});

test('a safety-critical job is closed only once somebody without a hand in it has looked it over', async () => {
  const tractor = (await server.inject('/api/jobs')).json<JobPage>().rows.find(({ family }) => family === 'sector-steering');
  const send = async (by: string, payload: object) => {
    const id = randomUUID();
    await sign(server, by, id);
    const entry = { id, jobId: tractor?.id, at: new Date().toISOString(), by, payload };
    const answer = await server.inject({ method: 'POST', url: '/api/entries', headers: { 'x-person': entry.by }, payload: [entry] });
    return answer.json<{ status: string; sentence?: string }[]>()[0];
  };
  const close = { kind: 'closed', outcome: 'repaired', found: 'sector', note: 'the owner tries it' };
  await send('imke', { kind: 'decided', fault: 'sector-stripped', remedy: 'replace', probability: 0.95 });
  expect(await send('imke', close)).toMatchObject({ status: 'refused', sentence: expect.stringContaining('safety-critical') as string });
  await send('imke', { kind: 'secondChecked' });
  expect((await send('imke', close))?.status).toBe('refused');
  await send('tobin', { kind: 'secondChecked' });
  expect((await send('imke', close))?.status).toBe('stored');
});

test('a job is not closed while something that came off is not back, unless with a reason', async () => {
  const trimmer = (await server.inject('/api/jobs')).json<JobPage>().rows.find(({ family }) => family === 'trimmer-bevel-head');
  const send = async (payload: object) => {
    const entry = { id: randomUUID(), jobId: trimmer?.id, at: new Date().toISOString(), by: 'tobin', payload };
    const answer = await server.inject({ method: 'POST', url: '/api/entries', headers: { 'x-person': entry.by }, payload: [entry] });
    return answer.json<{ status: string; sentence?: string }[]>()[0];
  };
  const close = { kind: 'closed', outcome: 'repaired', found: 'square', note: 'the owner tries it' };
  await send({ kind: 'stepDone', step: 'head-off' });
  expect(await send(close)).toMatchObject({ status: 'refused', sentence: expect.stringContaining('not back') as string });
  expect(await send({ kind: 'looseNoted', step: 'head-off', item: 'rivets', what: 'lost', count: 1 })).toMatchObject({ status: 'refused' });
  expect(await send({ kind: 'captured', step: 'head-open', capture: 'shim-order' })).toMatchObject({ status: 'refused' });
  expect((await send({ ...close, despiteLedger: 'owner takes it as it is' }))?.status).toBe('stored');
  await send({ kind: 'reopened', reason: 'again' });
  await send({ kind: 'closingDone', step: 'head-on' });
  expect((await send(close))?.status).toBe('stored');
});

const steering = (change: Partial<Pack> = {}) => ({
  ...structuredClone(findFamily('sector-steering') as Pack),
  id: 'own-steering',
  name: 'Garden steering',
  ...change,
});
const asPerson = (person: string, payload: object) =>
  server.inject({ method: 'POST', url: '/api/families', headers: { 'x-person': person }, payload });

test.each(['wren', 'tobin'])('%s brings no family in: that is for an owner', async (person) => {
  expect((await asPerson(person, own())).json<Problem>().code).toBe('ownersOnly');
});

/** Everything renamed, so that nothing stands under its old id. */
const renamed = (pack: Pack): Pack =>
  JSON.parse(JSON.stringify(pack).replaceAll(/"(rim-play|links-look|sector-stripped|king-dry)"/g, '"x-$1"')) as Pack;

test.each<[string, (pack: Pack) => object]>([
  ['as it is', (pack) => pack],
  ['under other ids', renamed],
  ['with other names', (pack) => ({ ...pack, faults: pack.faults.map((each) => ({ ...each, name: `Fault ${each.id.length}` })) })],
])('a copy of a chain that steers, %s, stays safety-critical', async (_name, change) => {
  const answer = await keep({ ...change(steering()), safetyCritical: false });
  expect([answer.statusCode, answer.json<Problem>().code]).toEqual([409, 'familyCanHurt']);
});

test('what could hurt somebody when a job was taken in does so until it is closed, whatever becomes of the family', async () => {
  const brake = own({ id: 'winch-brake', name: 'Winch brake', safetyCritical: true });
  expect((await keep(brake)).statusCode).toBe(200);
  const machineId = randomUUID();
  await server.inject({
    method: 'POST',
    url: '/api/machines',
    headers,
    payload: { id: machineId, family: 'winch-brake', label: 'Boat winch', facts: {} },
  });
  const jobId = randomUUID();
  const write = async (payload: object) => {
    const entry = { id: randomUUID(), jobId, at: new Date().toISOString(), by: 'imke', payload };
    return (await server.inject({ method: 'POST', url: '/api/entries', headers, payload: [entry] })).json<
      { status: string; sentence?: string }[]
    >()[0];
  };
  await write({ kind: 'takenIn', machineId, family: 'winch-brake', complaint: 'slips', facts: {} });
  expect((await keep({ ...brake, safetyCritical: false })).json<Problem>().code).toBe('familyCanHurt');
  // Even where it was changed behind the program's back, the job keeps what it was.
  await server.dataSource.query(
    `UPDATE families SET version = version + 1, pack = jsonb_set(pack, '{safetyCritical}', 'false') WHERE id = 'winch-brake'`,
  );
  const gear = brake.gears[0]?.id;
  expect((await write({ kind: 'gearMade', gear, file: 'x.stl', material: 'nylon' }))?.status).toBe('refused');
  expect((await write({ kind: 'partSaved', gear, way: 'bond', figures: 'gap 0.05' }))?.status).toBe('refused');
  await write({ kind: 'decided', fault: brake.faults[0]?.id, remedy: 'replace', probability: 0.9 });
  expect(await write({ kind: 'closed', outcome: 'repaired', found: 'x', note: 'the owner tries it' })).toMatchObject({
    sentence: expect.stringContaining('safety-critical') as string,
  });
  const made = await server.inject({ method: 'POST', url: `/api/jobs/${jobId}/make`, payload: GEAR });
  expect([made.statusCode, made.json<Problem>().path]).toEqual([422, 'family']);
});

const GEAR = { gear: { teeth: 20, normalModuleMm: 2 }, bore: { shape: 'none' }, faceWidthMm: 10, format: 'svg' };
const make = (name: string, payload: object) => server.inject({ method: 'POST', url: `/api/operations/${name}`, payload });

test('who has a gear drawn says what it is for: a family, or none, which its file then says', async () => {
  const { format: _, faceWidthMm: __, ...outline } = GEAR;
  for (const [name, input] of [
    ['make.file', GEAR],
    ['make.outline', outline],
  ] as const) {
    expect((await make(name, input)).json<Problem>().code).toBe('makeNeedsFamily');
    for (const family of ['sector-steering', 'worm-steering-box', 'park-brake-actuator'])
      expect((await make(name, { ...input, family })).json<Problem>().path).toBe('family');
    expect((await make(name, { ...input, family: 'not-there' })).json<Problem>().code).toBe('unknownFamily');
    expect((await make(name, { ...input, family: 'none' })).statusCode).toBe(200);
    // Own families are known.
    expect((await make(name, { ...input, family: 'hedge-head' })).statusCode).toBe(200);
  }
  expect((await make('make.file', { ...GEAR, family: 'none' })).json<{ name: string }>().name).toBe('bench-only-gear-20-m2.svg');
  expect((await make('make.file', { ...GEAR, family: 'dash-odometer-motor' })).json<{ name: string }>().name).toBe('gear-20-m2.svg');
});

test('within a job the server says what a gear is for, whatever is asked', async () => {
  const { rows } = (await server.inject('/api/jobs')).json<JobPage>();
  const ask = (family: string, payload: object) =>
    server.inject({ method: 'POST', url: `/api/jobs/${rows.find((each) => each.family === family)?.id}/make`, payload });
  expect((await ask('sector-steering', { ...GEAR, family: 'none' })).json<Problem>().path).toBe('family');
  expect((await ask('trimmer-bevel-head', GEAR)).json<{ name: string }>().name).toBe('gear-20-m2.svg');
});
