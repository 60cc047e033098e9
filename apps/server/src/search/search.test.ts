import { randomUUID } from 'node:crypto';
import type { SearchHit, Machine } from '@patient-badger/contract';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const find = async (words: string) => (await server.inject(`/api/search?words=${encodeURIComponent(words)}`)).json<SearchHit>();
const post = (url: string, payload: object) => server.inject({ method: 'POST', url, payload });

test('one search finds a machine by name, owner and plate, its jobs, a part by its number, a model by its code', async () => {
  const [machine] = (await server.inject('/api/machines?words=cider')).json<{ machines: Machine[] }>().machines;
  for (const words of [machine?.label.slice(0, 5) ?? '', 'cider growers', machine?.serial ?? ''])
    expect((await find(words)).machines.map(({ id }) => id)).toContain(machine?.id);
  expect((await find('orchard windfall')).jobs).toHaveLength(1);
  expect((await find('QB-7700')).parts[0]).toMatchObject({ partNumber: expect.stringMatching(/^QB-7700/) as string });
  expect((await find('t5 46')).models.map(({ name }) => name)).toEqual(['Tovelund T5-46']);
  // A machine is found by its model too.
  expect((await find('t5 46')).machines.length).toBeGreaterThan(0);
});

test('a number that was read off a machine leads to that machine', async () => {
  const [machine] = (await server.inject('/api/machines?words=orchard%20saw')).json<{ machines: Machine[] }>().machines;
  const jobId = randomUUID();
  const entry = (payload: object) => ({ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'tobin', payload });
  const takenIn = { kind: 'takenIn', machineId: machine?.id, family: machine?.family, complaint: 'dry', facts: {} };
  const plate = { kind: 'plateRead', partNumber: 'Wx_9/44', where: 'Under the drum' };
  await post('/api/entries', [entry(takenIn), entry(plate)]);
  expect((await find('wx_9')).plates).toEqual([
    { machineId: machine?.id, label: machine?.label, partNumber: 'Wx_9/44', where: 'Under the drum' },
  ]);
  // A sign of the database's own patterns is only a sign.
  expect((await find('w%')).plates).toEqual([]);
});

test('a letter left out, two changed round or one too many still finds what was meant, and says so', async () => {
  const [machine] = (await server.inject('/api/machines?words=cider')).json<{ machines: Machine[] }>().machines;
  const near = await find('cidr growrs');
  expect(near.near).toBe(true);
  expect(near.machines.map(({ id }) => id)).toContain(machine?.id);
  expect((await find('Tovleund')).models.map(({ name }) => name)).toContain('Tovelund T5-46');
  expect((await find('slide pinnion')).parts[0]?.name).toMatch(/^Slide pinion/);
  expect((await find('orchrad windfal')).jobs.length).toBeGreaterThan(0);
  // Where something begins with the words, nothing else is dragged in.
  expect(await find('QB-7700')).toMatchObject({ near: false });
});

test('nothing typed finds nothing; what nobody has finds nothing; each list is short', async () => {
  const none = { machines: [], plates: [], jobs: [], parts: [], models: [], near: false };
  expect(await find('')).toEqual(none);
  expect(await find(' -- ')).toEqual(none);
  expect(await find('zzz nowhere')).toEqual({ ...none, near: true });
  expect((await find('pinion')).parts.length).toBeLessThanOrEqual(6);
  expect((await server.inject(`/api/search?words=${'a'.repeat(101)}`)).statusCode).toBe(400);
});
