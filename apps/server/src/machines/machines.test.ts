import type { Machine, MachinePage, Problem } from '@patient-badger/contract';
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
