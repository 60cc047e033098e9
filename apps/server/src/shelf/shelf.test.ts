import { randomUUID } from 'node:crypto';
import {
  machineHistory,
  PERSON_HEADER,
  shelfItem,
  type JobPage,
  type JobRow,
  type Machine,
  type MachinePage,
  type ShelfItem,
} from '@patient-badger/contract';
import type { EntryPayload } from '@patient-badger/core/job';
import { testServer, type TestServer } from '../testing.ts';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const headers = { [PERSON_HEADER]: 'imke' };
const post = (url: string, payload: object, who: Record<string, string> = headers) =>
  server.inject({ method: 'POST', url, payload, headers: who });
const get = async <T>(url: string) => (await server.inject(url)).json<T>();
const draft = (more: object = {}) => ({
  id: randomUUID(),
  name: 'Slide pinion',
  attributes: { type: 'spur', teeth: 11, normalModuleMm: 3 },
  cameFrom: 'the old wall',
  condition: 'worn',
  place: 'drawer 4',
  ...more,
});

const write = async (jobId: string, payload: EntryPayload) => {
  const entry = { id: randomUUID(), jobId, at: new Date().toISOString(), by: 'imke', payload };
  const [receipt] = (await post('/api/entries', [entry])).json<{ status: string }[]>();
  expect(receipt?.status).toBe('stored');
  return entry.id;
};

test('a donor goes on the shelf once, however often it is sent, and wants a place and a past', async () => {
  const item = draft({ workedHours: 180 });
  expect((await post('/api/shelf', item)).statusCode).toBe(200);
  const again = shelfItem.parse((await post('/api/shelf', item)).json());
  expect(again).toMatchObject({ workedHours: 180, by: 'imke', usedIn: null, gone: null });
  expect((await get<ShelfItem[]>('/api/shelf')).filter(({ id }) => id === item.id)).toHaveLength(1);
  expect((await post('/api/shelf', draft({ place: ' ' }))).json()).toMatchObject({ path: 'place' });
  expect((await post('/api/shelf', draft({ machineId: randomUUID() }))).statusCode).toBe(422);
  expect((await post('/api/shelf', draft(), { cookie: '' })).statusCode).toBe(401);
});

test('a donor that was fitted is off the shelf until the fitting is taken back', async () => {
  const item = draft();
  await post('/api/shelf', item);
  const { rows } = await get<JobPage>('/api/jobs?state=open');
  const wall = rows.find(({ family }) => family === 'slide-rack-drive') as JobRow;
  const fitted = await write(wall.id, {
    kind: 'partFitted',
    gear: 'rpinion',
    partId: item.id,
    partNumber: 'Slide pinion',
    source: 'shelf',
  });
  const find = async () => (await get<ShelfItem[]>('/api/shelf')).find(({ id }) => id === item.id);
  expect((await find())?.usedIn).toBe(wall.id);
  await write(wall.id, { kind: 'withdrawn', entry: fitted });
  expect((await find())?.usedIn).toBeNull();
});

test('one that cracked is written off with the reason, and comes back where that was a mistake', async () => {
  const item = draft();
  await post('/api/shelf', item);
  expect((await post(`/api/shelf/${item.id}/gone`, { why: 'cracked' })).json()).toMatchObject({ gone: 'cracked' });
  expect((await post(`/api/shelf/${item.id}/gone`, { why: null })).json()).toMatchObject({ gone: null });
  expect((await post(`/api/shelf/${randomUUID()}/gone`, { why: 'cracked' })).statusCode).toBe(404);
});

test('a machine’s record holds what went in over all its jobs, and the number on its plate', async () => {
  const { machines } = await get<MachinePage>('/api/machines');
  const historyOf = async ({ id }: Machine) => machineHistory.parse(await get(`/api/machines/${id}/history`));
  const all = await Promise.all(machines.map(async (machine) => ({ machine, history: await historyOf(machine) })));
  const parts = all.flatMap(({ history }) => history.parts);
  expect(parts.length).toBeGreaterThan(3);
  expect(parts.every(({ state }) => state === 'fitted')).toBe(true);
  const wall = machines.find(({ family }) => family === 'slide-rack-drive');
  if (!wall) throw new Error('the demo has no wall');
  const { rows } = await get<JobPage>(`/api/jobs?machine=${wall.id}&state=open`);
  expect(rows.map(({ machineId }) => machineId)).toEqual([wall.id]);
  await write(rows[0]?.id ?? '', { kind: 'plateRead', partNumber: 'QB-8022-N', where: 'inside the left runner', gear: 'rpinion' });
  expect((await historyOf(wall)).plates).toMatchObject([{ partNumber: 'QB-8022-N', where: 'inside the left runner' }]);
});
