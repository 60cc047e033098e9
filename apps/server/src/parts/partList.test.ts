import type { Part } from '@patient-badger/contract';
import { PERSON_HEADER } from '@patient-badger/contract';
import { guessMapping, readPartRow } from '@patient-badger/core';
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
  const [first, second] = [await page('limit=40&order=price'), await page('limit=40&from=40&order=price')];
  const prices = [...first, ...second].map(({ priceMinor }) => priceMinor);
  expect(prices).toEqual([...prices].sort((p, q) => p - q));
  expect(new Set([...first, ...second].map(({ id }) => id)).size).toBe(80);
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
