import { importState, PERSON_HEADER, type ImportState } from '@patient-badger/contract';
import { guessMapping, readPartRow } from '@patient-badger/core/parts';
import Papa from 'papaparse';
import { randomUUID } from 'node:crypto';
import { cookiesOf, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const draft = (n: number, more: object = {}) => ({
  partNumber: `LIST-${n}`,
  name: `Gear ${n}`,
  supplier: 'Hobdray Stores',
  attributes: { type: 'spur', teeth: 12 + (n % 50), normalModuleMm: 1.5, boreDiameterMm: 8, faceWidthMm: 10 },
  priceMinor: 900,
  leadDays: 2,
  stock: 1,
  claims: ['Wall 9', 'Wall 10'],
  ...more,
});
const headers = { [PERSON_HEADER]: 'imke', 'content-type': 'application/x-ndjson' };
const begin = (rows: readonly object[], duplicates: string, who: Record<string, string> = headers) =>
  server.inject({
    method: 'POST',
    url: `/api/imports?duplicates=${duplicates}`,
    headers: who,
    payload: rows.map((row) => JSON.stringify(row)).join('\n'),
  });
const stateOf = async (id: string) => importState.parse((await server.inject(`/api/imports/${id}`)).json());

/** Waits until the list is in, refused or stopped. */
async function send(rows: readonly object[], duplicates: string): Promise<ImportState> {
  const begun = await begin(rows, duplicates);
  expect(begun.statusCode).toBe(202);
  for (let { id } = begun.json<ImportState>(); ; await new Promise((resolve) => setTimeout(resolve, 50))) {
    const state = await stateOf(id);
    if (state.state !== 'running') return state;
    ({ id } = state);
  }
}
const query = async <Row>(text: string) => await server.dataSource.query<Row[]>(text);
const count = async () => (await query<{ n: number }>(`SELECT count(*)::int AS n FROM parts WHERE part_number LIKE 'LIST-%'`))[0]?.n;

test('a list of five thousand is taken in, and found by its dimensions', async () => {
  const answer = await send(
    Array.from({ length: 5000 }, (_, i) => draft(i)),
    'refuse',
  );
  expect(answer).toMatchObject({ state: 'done', done: 5000, total: 5000, receipt: { added: 5000, replaced: 0, skipped: 0 } });
  const found = await server.inject({
    method: 'POST',
    url: '/api/parts/search',
    payload: { wanted: { type: 'spur', teeth: 17, normalModuleMm: 1.5, boreDiameterMm: 8, faceWidthMm: 10 } },
  });
  expect(
    found
      .json<{ part: { partNumber: string; claims: string[] } }[]>()
      .some(({ part }) => part.partNumber.startsWith('LIST-') && part.claims.length === 2),
  ).toBe(true);
});

test('all or nothing: one known number refuses the whole list, unless it is replaced or skipped', async () => {
  const before = await count();
  const list = [draft(9000), draft(9001), draft(1, { priceMinor: 1234 })];
  expect(await send(list, 'refuse')).toMatchObject({ state: 'failed', sentence: expect.stringContaining('in the catalogue already') });
  expect(await count()).toBe(before);
  expect((await send(list, 'skip')).receipt).toEqual({ added: 2, replaced: 0, skipped: 1 });
  expect((await send(list, 'replace')).receipt).toEqual({ added: 0, replaced: 3, skipped: 0 });
  expect(await query(`SELECT price_minor AS p FROM parts WHERE part_number = 'LIST-1'`)).toEqual([{ p: 1234 }]);
});

test('a second seller’s row becomes a second listing, in the same list or in a later one', async () => {
  const other = (n: number, priceMinor: number) => draft(n, { supplier: 'Quernby Spares', priceMinor });
  expect((await send([draft(9500), other(9500, 700)], 'refuse')).receipt).toEqual({ added: 2, replaced: 0, skipped: 0 });
  expect((await send([other(9500, 650), other(9001, 800)], 'replace')).receipt).toEqual({ added: 1, replaced: 1, skipped: 0 });
  const rows = await query(
    `SELECT p.part_number AS n, p.supplier AS of, l.supplier AS by, l.price_minor AS price FROM listings l JOIN parts p ON p.id = l.part_id
     WHERE p.part_number LIKE 'LIST-9%' ORDER BY 1`,
  );
  expect(rows).toEqual([
    { n: 'LIST-9001', of: 'Hobdray Stores', by: 'Quernby Spares', price: 800 },
    { n: 'LIST-9500', of: 'Hobdray Stores', by: 'Quernby Spares', price: 650 },
  ]);
});

test('a list with a row that is no part changes nothing and says which; nobody unnamed brings one in', async () => {
  const before = await count();
  const bad = await send([draft(9100), draft(9101, { attributes: { teeth: -3 } })], 'skip');
  expect(bad).toMatchObject({ state: 'failed', receipt: null });
  expect(bad.sentence).toMatch(/^Row 2: /);
  expect((await begin([draft(9100)], 'skip', { cookie: '', 'content-type': 'application/x-ndjson' })).statusCode).toBe(401);
  expect((await begin([], 'skip')).statusCode).toBe(400);
  expect(await count()).toBe(before);
});

test('a part that gives only a diametral pitch is stored with its size, and found by it as by a module', async () => {
  const pitch = { type: 'spur', teeth: 19, diametralPitch: 22, boreDiameterMm: 8, faceWidthMm: 10 };
  expect((await send([draft(9300, { attributes: pitch })], 'refuse')).receipt).toMatchObject({ added: 1 });
  expect(await query(`SELECT round(module_mm::numeric, 4)::text AS m FROM parts WHERE part_number = 'LIST-9300'`)).toEqual([
    { m: '1.1545' },
  ]);
  for (const size of [{ diametralPitch: 22 }, { normalModuleMm: 25.4 / 22 }]) {
    const payload = { wanted: { type: 'spur', teeth: 19, boreDiameterMm: 8, faceWidthMm: 10, ...size } };
    const found = await server.inject({ method: 'POST', url: '/api/parts/search', payload });
    expect(found.json<{ part: { partNumber: string } }[]>()[0]?.part.partNumber).toBe('LIST-9300');
  }
});

test('a part of which nobody says what it is is refused by its row, and never stored as a spur gear', async () => {
  const refused = await send([draft(9310, { attributes: { teeth: 20, normalModuleMm: 1 } })], 'skip');
  expect(refused).toMatchObject({ state: 'failed', sentence: expect.stringMatching(/^Row 1: The type is missing/) as string });
  expect(await query(`SELECT count(*)::int AS n FROM parts WHERE part_number = 'LIST-9310'`)).toEqual([{ n: 0 }]);
});

test('one number is one gear: another seller’s row that differs is refused, against the list and against the catalogue', async () => {
  const wide = { ...draft(0).attributes, faceWidthMm: 12 };
  const other = { supplier: 'Quernby Spares', attributes: wide };
  const sentence = expect.stringContaining('LIST-9320 from Quernby Spares is another gear') as string;
  expect(await send([draft(9320, { attributes: { ...wide, faceWidthMm: 10 } }), draft(9320, other)], 'refuse')).toMatchObject({
    state: 'failed',
    sentence,
  });
  await send([draft(9320, { attributes: { ...wide, faceWidthMm: 10 } })], 'refuse');
  expect(await send([draft(9320, other)], 'replace')).toMatchObject({ state: 'failed', sentence });
  expect(await query(`SELECT count(*)::int AS n FROM listings l JOIN parts p ON p.id = l.part_id WHERE part_number = 'LIST-9320'`)).toEqual(
    [{ n: 0 }],
  );
});

test('a list that is stopped on its way leaves nothing behind', async () => {
  const before = await count();
  const rows = Array.from({ length: 40_000 }, (_, i) => draft(20_000 + i));
  const { id } = (await begin(rows, 'refuse')).json<ImportState>();
  await server.inject({ method: 'POST', url: `/api/imports/${id}/cancel`, headers: { [PERSON_HEADER]: 'imke' } });
  let state = await stateOf(id);
  while (state.state === 'running') {
    await new Promise((resolve) => setTimeout(resolve, 50));
    state = await stateOf(id);
  }
  expect(state).toMatchObject({ state: 'cancelled', receipt: null });
  expect(await count()).toBe(before);
});

test('what is written out is the same when it is read in again', async () => {
  const csv = (await server.inject('/api/parts/export?format=csv')).body;
  const { data, meta } = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: true });
  const drafts = data.map((row) => readPartRow(row, guessMapping(meta.fields ?? []), 'mm'));
  expect(drafts.filter(({ ok }) => !ok)).toEqual([]);
  const rows = drafts.flatMap((each) => (each.ok ? [each.draft] : []));
  const parts = (await server.inject('/api/parts/export?format=json')).json<{ partNumber: string; listings: unknown[] }[]>();
  expect(rows.length).toBe(parts.reduce((sum, part) => sum + 1 + part.listings.length, 0));
  const table = async () =>
    query(`SELECT part_number, name, supplier, module_mm, teeth, bore_mm, face_mm, price_minor, stock, claims,
      (SELECT count(*)::int FROM listings l WHERE l.part_id = p.id) AS sellers, (SELECT count(*)::int FROM part_links k WHERE k.part_id = p.id) AS links
      FROM parts p ORDER BY part_number`);
  const before = await table();
  await server.dataSource.query('DELETE FROM parts');
  expect((await send(rows, 'refuse')).state).toBe('done');
  expect(await table()).toEqual(before);
});

test('a list comes in pieces, over a line that is cut: it goes on from what has come, and lies on the disk meanwhile', async () => {
  const lines = Array.from({ length: 3000 }, (_, i) => JSON.stringify(draft(70_000 + i))).join('\n');
  const bytes = Buffer.from(lines);
  const id = randomUUID();
  const piece = (from: number, to: number) =>
    server.inject({ method: 'POST', url: `/api/uploads/${id}?from=${from}`, headers, payload: bytes.subarray(from, to) });
  const size = async () => (await server.inject(`/api/uploads/${id}`)).json<{ size: number }>().size;
  expect(await size()).toBe(0);
  expect((await piece(0, 100_000)).json()).toEqual({ size: 100_000 });
  // Sent again, or with a gap: refused, and what there is can be asked.
  expect((await piece(0, 100_000)).json()).toMatchObject({ code: 'uploadElsewhere' });
  expect((await piece(200_000, 300_000)).statusCode).toBe(409);
  expect(await size()).toBe(100_000);
  await piece(100_000, bytes.length);
  const begun = await server.inject({ method: 'POST', url: `/api/imports?duplicates=refuse&upload=${id}`, headers, payload: '' });
  expect(begun.statusCode).toBe(202);
  let state = begun.json<ImportState>();
  while (state.state === 'running') {
    await new Promise((resolve) => setTimeout(resolve, 50));
    state = await stateOf(state.id);
  }
  expect(state.receipt).toEqual({ added: 3000, replaced: 0, skipped: 0 });
  expect(
    (await server.inject({ method: 'POST', url: `/api/imports?duplicates=refuse&upload=${id}`, headers, payload: '' })).statusCode,
  ).toBe(400);
});

test('of forty lists that are half sent at once all but a few are told to come again, and others are answered', async () => {
  const address = await server.app.listen({ host: '127.0.0.1', port: 0 });
  const cookie = (await cookiesOf(server.dataSource)).get('imke') ?? '';
  const stop = new AbortController();
  let turnedAway = 0;
  const half = Array.from({ length: 40 }, () => {
    const body = new ReadableStream({
      start: (out) => {
        for (let i = 0; i < 20; i++) out.enqueue(new Uint8Array(1_000_000).fill(32));
      },
    });
    return fetch(`${address}/api/imports?duplicates=skip`, {
      method: 'POST',
      body,
      duplex: 'half',
      signal: stop.signal,
      headers: { cookie, 'content-type': 'application/x-ndjson' },
    } as RequestInit).then(
      ({ status }) => void (turnedAway += status === 503 ? 1 : 0),
      () => undefined,
    );
  });
  await new Promise((resolve) => setTimeout(resolve, 3000));
  expect((await fetch(`${address}/api/jobs`, { headers: { cookie } })).status).toBe(200);
  stop.abort();
  await Promise.all(half);
  expect(turnedAway).toBeGreaterThan(0);
});
