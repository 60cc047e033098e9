import { randomUUID } from 'node:crypto';
import type { Part } from '@patient-badger/contract';
import { PERSON_HEADER } from '@patient-badger/contract';
import { guessMapping, readPartRow } from '@patient-badger/core/parts';
import Papa from 'papaparse';
import { testServer, type TestServer } from '../testing.ts';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const page = async (query: string) => (await server.inject({ method: 'GET', url: `/api/parts?${query}` })).json<Part[]>();
const change = (payload: object, headers: Record<string, string> = { [PERSON_HEADER]: 'imke' }) =>
  server.inject({ method: 'POST', url: '/api/parts/change', headers, payload });

test('the catalogue is read page by page, in the order asked for, each part once', async () => {
  for (const order of ['partNumber', 'price', 'size']) {
    for (const down of ['no', 'yes']) {
      const query = `order=${order}&down=${down}`;
      const whole = await page(`limit=200&${query}`);
      const paged: Part[] = [];
      for (let after = ''; paged.length < whole.length;) {
        const next = await page(`limit=30&${query}${after}`);
        paged.push(...next);
        after = `&after=${next.at(-1)?.id ?? ''}`;
      }
      expect(paged.slice(0, whole.length).map(({ id }) => id)).toEqual(whole.map(({ id }) => id));
    }
  }
  const prices = (await page('limit=200&order=price')).map(({ priceMinor }) => priceMinor);
  expect(prices).toEqual([...prices].sort((p, q) => p - q));
});

test('a page goes on from the part that ended the one before, whatever came in between; one that nobody knows is refused', async () => {
  const first = await page('limit=10');
  await server.dataSource.query(
    `INSERT INTO parts (id, shop_id, part_number, name, supplier, type, attributes, price_minor, lead_days, stock, claims)
     SELECT gen_random_uuid(), shop_id, '000-' || n, name, supplier, type, attributes, price_minor, lead_days, stock, claims
     FROM parts, generate_series(1, 5) n WHERE id = $1`,
    [first[0]?.id],
  );
  const second = await page(`limit=10&after=${first.at(-1)?.id ?? ''}`);
  expect(second.some(({ id }) => first.some((each) => each.id === id))).toBe(false);
  expect((await server.inject(`/api/parts?after=${randomUUID()}`)).statusCode).toBe(400);
});

test('words, the beginning of a number, kind and teeth narrow it down', async () => {
  expect((await page('text=slide%20pinion')).every(({ name }) => name.startsWith('Slide pinion'))).toBe(true);
  expect((await page('text=qb-7700')).map(({ partNumber }) => partNumber)).toEqual([expect.stringMatching(/^QB-7700-/)]);
  expect(await page('text=100%25')).toEqual([]);
  const spurs = await page('kind=spur&teeth=17');
  expect(spurs.length).toBeGreaterThan(10);
  expect(spurs.every(({ attributes }) => attributes.type === 'spur' && attributes.teeth === 17)).toBe(true);
});

test('several parts are changed alike, by somebody with a name, and a change of nothing is refused', async () => {
  const [one, two] = await page('kind=spur&limit=2');
  const ids = [one?.id, two?.id];
  expect((await change({ ids, change: { stock: 3, pricePercent: 10 } })).json()).toEqual({ changed: 2 });
  const [after] = await page('kind=spur&limit=1');
  expect([after?.stock, after?.priceMinor]).toEqual([3, Math.round((one?.priceMinor ?? 0) * 1.1)]);
  expect((await change({ ids, change: {} })).statusCode).toBe(400);
  expect((await change({ ids, change: { stock: 1 } }, { cookie: '' })).statusCode).toBe(401);
});

test('what a spreadsheet would work out is marked as text, full-width signs too, and comes back without the mark', async () => {
  const names = ['=1+1', '+1', '@SUM(A1)', '\uFF1D1+1', '\uFF0B1', '\uFF20SUM(A1)', '\uFF0D1+1'];
  const parts = await page('kind=spur&limit=7');
  for (const [i, { id }] of parts.entries()) await server.dataSource.query('UPDATE parts SET name = $2 WHERE id = $1', [id, names[i]]);
  const csv = (await server.inject('/api/parts/export?format=csv')).body.replace(/^\uFEFF/, '');
  const cells = Papa.parse<string[]>(csv).data.flat();
  for (const name of names) {
    expect(cells).toContain(`'${name}`);
    expect(cells).not.toContain(name);
  }
  const { data, meta } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
  const back = data.flatMap((row) => {
    const read = readPartRow(row, guessMapping(meta.fields ?? []), 'mm');
    return read.ok ? [read.draft.name] : [];
  });
  for (const name of names) expect(back).toContain(name);
});
