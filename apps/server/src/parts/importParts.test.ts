import { PERSON_HEADER } from '@patient-badger/contract';
import { testServer, type TestServer } from '../testing.ts';

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
const send = (parts: readonly object[], duplicates: string, headers: Record<string, string> = { [PERSON_HEADER]: 'imke' }) =>
  server.app.inject({ method: 'POST', url: '/api/parts/import', headers, payload: { parts, duplicates } });
const count = async () =>
  ((await server.dataSource.query(`SELECT count(*)::int AS n FROM parts WHERE part_number LIKE 'LIST-%'`)) as { n: number }[])[0]?.n;

test('a list of five thousand is taken in, and found by its dimensions', async () => {
  const answer = await send(
    Array.from({ length: 5000 }, (_, i) => draft(i)),
    'refuse',
  );
  expect(answer.json()).toEqual({ added: 5000, replaced: 0, skipped: 0 });
  const found = await server.app.inject({
    method: 'POST',
    url: '/api/parts/search',
    payload: { wanted: { type: 'spur', teeth: 17, normalModuleMm: 1.5, boreDiameterMm: 8, faceWidthMm: 10 } },
  });
  expect(
    (found.json() as { part: { partNumber: string; claims: string[] } }[]).some(
      ({ part }) => part.partNumber.startsWith('LIST-') && part.claims.length === 2,
    ),
  ).toBe(true);
});

test('all or nothing: one known number refuses the whole list, unless it is replaced or skipped', async () => {
  const before = await count();
  const list = [draft(9000), draft(9001), draft(1, { priceMinor: 1234 })];
  expect((await send(list, 'refuse')).statusCode).toBe(409);
  expect(await count()).toBe(before);
  expect((await send(list, 'skip')).json()).toEqual({ added: 2, replaced: 0, skipped: 1 });
  expect((await send(list, 'replace')).json()).toEqual({ added: 0, replaced: 3, skipped: 0 });
  const [row] = (await server.dataSource.query(`SELECT price_minor AS p FROM parts WHERE part_number = 'LIST-1'`)) as { p: number }[];
  expect(row?.p).toBe(1234);
});

test('a list with a row that is no part changes nothing, and nobody unnamed brings one in', async () => {
  const before = await count();
  expect((await send([draft(9100), draft(9101, { attributes: { teeth: -3 } })], 'skip')).statusCode).toBe(400);
  expect((await send([draft(9100)], 'skip', {})).statusCode).toBe(401);
  expect(await count()).toBe(before);
});
