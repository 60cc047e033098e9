import { randomUUID } from 'node:crypto';
import type { JobRow, Learning, Machine } from '@patient-badger/contract';
import { findFamily } from '@patient-badger/knowledge';
import type { EntryPayload, FamilyVerdicts } from '@patient-badger/core/job';
import { SCENARIO } from '@patient-badger/knowledge/scenario';
import ICAL from 'ical.js';
import { work } from './learnOnThread.ts';
import { everyJobRow, sendEntries, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
let machine: Machine;
beforeAll(async () => {
  server = await testServer();
  machine = (await server.inject('/api/machines?words=orchard%20saw')).json<{ machines: Machine[] }>().machines[0] as Machine;
});
afterAll(() => server.stop());

const FAMILY = 'saw-oil-pump';
const send = async (jobId: string, ...payloads: EntryPayload[]) => {
  const { ids, answer } = await sendEntries(server, jobId, payloads);
  expect(answer.json<{ status: string }[]>().map(({ status }) => status)).toEqual(ids.map(() => 'stored'));
  return ids;
};
const takenIn = (facts = {}): EntryPayload => ({ kind: 'takenIn', machineId: machine.id, family: machine.family, complaint: 'dry', facts });
const proofs = (findFamily(FAMILY)?.proofs ?? [])
  .filter(({ phase }) => phase !== 'later')
  .map(({ id }): EntryPayload => ({ kind: 'proofDone', proof: id, passed: true }));
const decided: EntryPayload = { kind: 'decided', fault: 'worm-stripped', remedy: 'replace', probability: 0.9 };
const closed: EntryPayload = { kind: 'closed', outcome: 'replaced', found: 'worm', note: 'the owner tries it' };

/** Read again until the log is read through. */
async function learnt(): Promise<NonNullable<Learning['learnt']>> {
  for (let i = 0; i < 100; i++) {
    const { learnt: now, working } = (await server.inject('/api/learnt')).json<Learning>();
    if (now && !working) return now;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('the log was never read through');
}
const verdicts = async () => (await server.inject('/api/verdicts')).json<FamilyVerdicts[]>().find(({ family }) => family === FAMILY);
const again = (query = '') => everyJobRow(server, `again=yes${query}`);
const followUp = (due: string, what: string): EntryPayload => ({ kind: 'followUpSet', action: 'call', what, due });

test('what is to be looked at again stays on the list until it is done, finished job or not, the soonest first', async () => {
  const [open, done] = [randomUUID(), randomUUID()];
  await send(open, takenIn(), followUp('2031-01-09', 'open one'));
  await send(done, takenIn(), decided, ...proofs, closed, followUp('2031-01-08', 'first'), followUp('2031-01-31', 'second'));
  const rows = await again();
  expect(rows.map((row: JobRow) => [row.id, row.followUp?.what])).toEqual([
    [done, 'first'],
    [open, 'open one'],
  ]);
  expect(await again('&most=1')).toEqual(rows);
  const [firstId] = await server.dataSource.query<{ id: string }[]>(
    `SELECT id FROM entries WHERE job_id = $1 AND payload->>'what' = 'first'`,
    [done],
  );
  await send(done, { kind: 'followUpDone', followUp: firstId?.id ?? '', passed: true });
  expect((await again()).map((row: JobRow) => row.followUp?.what)).toEqual(['open one', 'second']);
  expect((await everyJobRow(server, 'state=closed')).some((row) => row.id === done)).toBe(true);

  // Read by a library that had no part in writing it.
  const file = await server.inject('/api/follow-ups.ics');
  expect(file.headers['content-type']).toContain('text/calendar');
  const events = new ICAL.Component(ICAL.parse(file.body) as never).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.map((each) => [String(each.startDate), String(each.endDate), each.startDate.isDate, each.description])).toEqual([
    ['2031-01-09', '2031-01-10', true, 'open one'],
    ['2031-01-31', '2031-02-01', true, 'second'],
  ]);
  expect(events[0]?.summary).toBe(`Call ${machine.owner}: ${machine.label}`);
  expect((await server.inject('/api/follow-ups.ics')).body.match(/UID:.*/g)).toEqual(file.body.match(/UID:.*/g));
  const one = await server.inject(`/api/jobs/${open}/follow-ups.ics`);
  expect(one.body.match(/BEGIN:VEVENT/g)).toHaveLength(1);
  expect((await server.inject(`/api/jobs/${randomUUID()}/follow-ups.ics`)).statusCode).toBe(404);

  // A part that was saved and not renewed comes back on its day.
  const saved: EntryPayload = { kind: 'partSaved', gear: 'worm', way: 'bond', figures: 'bond: gap 0.05 mm', lookAgainOn: '2031-01-02' };
  await send(open, saved);
  expect((await again())[0]?.followUp).toEqual({ due: '2031-01-02', action: 'look', what: 'bond: gap 0.05 mm' });
  expect((await server.inject(`/api/jobs/${open}/follow-ups.ics`)).body).toContain('DESCRIPTION:bond: gap 0.05 mm');
});

test('ten proved jobs count as verdicts; not proved, opened again or switched off they do not', async () => {
  const before = (await verdicts())?.faults.find(({ fault }) => fault === 'worm-stripped')?.count ?? 0;
  for (let i = 0; i < 10; i++) await send(randomUUID(), takenIn(), decided, ...proofs, closed);
  await send(randomUUID(), takenIn(), decided, closed);
  const reopened = randomUUID();
  await send(reopened, takenIn(), decided, ...proofs, closed, { kind: 'reopened', reason: 'drips' });
  const now = await verdicts();
  expect(now?.faults.find(({ fault }) => fault === 'worm-stripped')?.count).toBe(before + 10);
  expect(now?.jobs).toBe(now?.faults.reduce((sum, { count }) => sum + count, 0));
  const change = (ownPriors: boolean, person: string) =>
    server.inject({ method: 'POST', url: '/api/shop', payload: { ownPriors }, headers: { 'x-person': person } });
  expect((await change(false, 'tobin')).statusCode).toBe(403);
  expect((await change(false, 'imke')).statusCode).toBe(200);
  expect(await verdicts()).toBeUndefined();
  await change(true, 'imke');
  expect(await verdicts()).toEqual(now);
});

test('the log is learnt from on a thread: every finished job, lives by the meter, and the same after summaries were lost', async () => {
  const [first, second] = [randomUUID(), randomUUID()];
  const fitted: EntryPayload = { kind: 'partFitted', gear: 'worm', partId: randomUUID(), partNumber: 'QB-77' };
  await send(first, takenIn({ hours: 90_000 }), decided, fitted, ...proofs, closed);
  await server.dataSource.query(
    `UPDATE jobs SET taken_in_at = now() - interval '400 days', closed_at = now() - interval '399 days' WHERE id = $1`,
    [first],
  );
  await server.dataSource.query(`UPDATE entries SET at = now() - interval '400 days' WHERE job_id = $1`, [first]);
  await send(second, takenIn({ hours: 90_140 }), decided, { ...fitted, partNumber: 'QB-78' }, ...proofs, closed);
  const told = await learnt();
  const [{ count }] = await server.dataSource.query<[{ count: number }]>('SELECT count(*)::int AS count FROM jobs WHERE closed');
  expect(told.jobs).toBe(count);
  expect(told.lives.find(({ partNumber }) => partNumber === 'QB-77')).toMatchObject({
    family: FAMILY,
    gear: 'worm',
    unit: 'hours',
    life: { failures: 1, enough: false },
  });
  const [row] = told.comesBack.filter(({ kind, of }) => kind === 'machine' && of === machine.id);
  expect(row).toMatchObject({ name: machine.label, what: 'worm-stripped' });
  await server.dataSource.query('UPDATE jobs SET summary = NULL WHERE closed AND id <> $1', [first]);
  // Something new is written, so that it is read again.
  await send(randomUUID(), takenIn());
  expect((await learnt()).jobs).toBe(count);
});

test('whoever waits sees how far the reading is', async () => {
  const progress = new SharedArrayBuffer(8);
  const { jobs } = await work({ databaseUrl: server.url, shopId: SCENARIO.shop.id, progress });
  expect([...new Int32Array(progress)]).toEqual([jobs, jobs]);
  expect(jobs).toBeGreaterThan(30);
});

test('the road-speed reference shows what the needle reads off by', async () => {
  const job = (await everyJobRow(server, 'state=open')).find(({ machineId }) => machineId === machine.id);
  for (let attempt = 0; attempt < 20; attempt++) {
    const payload = { jobId: job?.id, instrument: 'roadSpeedReference', speed: 51, attempt };
    const answer = await server.inject({ method: 'POST', url: '/api/instruments/read', payload });
    if (answer.statusCode !== 200) continue;
    expect(answer.json<{ reading: object }>().reading).toMatchObject({ unit: 'km/h' });
    expect(Math.abs(answer.json<{ reading: { value: number } }>().reading.value - 50)).toBeLessThan(1);
    return;
  }
  throw new Error('it never answered');
});
