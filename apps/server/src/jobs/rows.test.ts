import { randomUUID } from 'node:crypto';
import type { JobPage, JobRow } from '@patient-badger/contract';
import { foldJob, nextMove, withOwnPriors } from '@patient-badger/core/job';
import pg from 'pg';
import { idOf } from '../idOf.ts';
import { packOfJob } from '../machines/packs.ts';
import { everyJobRow, sendEntries, testServer, type TestServer } from '../testing.ts';
import { toEntry } from './commit.ts';
import { entries, jobs } from './entities.ts';
import { rebuildRows } from './rows.ts';
import { verdictsOf } from './verdicts.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const page = async (query: string) => (await server.inject(`/api/jobs?${query}`)).json<JobPage>();

const everyPage = (query: string) => everyJobRow(server, query);

test('finished jobs come page by page, each once, the newest first', async () => {
  const whole = await everyPage('state=closed');
  const small = await everyPage('state=closed&most=7');
  expect(whole.length).toBeGreaterThan(30);
  expect(small).toEqual(whole);
  const days = whole.map(({ closedAt }) => closedAt ?? '');
  expect(days).toEqual([...days].sort().reverse());
});

test('rows say what the entries say', async () => {
  for (const row of [...(await everyPage('state=open')), ...(await everyPage('state=closed'))]) {
    const list = await server.dataSource.getRepository(entries).find({ where: { jobId: row.id }, order: { seq: 'ASC' } });
    const state = foldJob(row.id, list.map(toEntry));
    expect(row).toMatchObject({
      complaint: state.takenIn?.complaint,
      takenInAt: state.takenInAt,
      closedAt: state.closed?.at ?? null,
      found: state.closed?.found ?? null,
      seq: list.at(-1)?.seq,
    });
  }
});

test('words find jobs by machine, owner, complaint and finding, each by its beginning', async () => {
  const [first] = (await page('state=closed&most=1')).rows as [JobRow];
  const beginning = (text: string) =>
    encodeURIComponent(
      text
        .split(/\W+/)
        .find((each) => each.length > 4)
        ?.slice(0, 4)
        .toUpperCase() ?? '',
    );
  for (const text of [first.label, first.complaint, first.found ?? '']) {
    const { rows } = await page(`state=closed&words=${beginning(text)}`);
    expect(rows.map(({ id }) => id)).toContain(first.id);
  }
  expect((await page('state=closed&words=zzzz')).rows).toEqual([]);
  expect((await page(`state=closed&words=${encodeURIComponent("'; DROP TABLE jobs; & | ! ( :*")}`)).next).toBeNull();
});

test.each(['after=yesterday', 'after=2026-13-77T99:99:99Z_x', 'most=0', 'most=51', 'state=half', 'machine=seven'])(
  '%s is refused with a sentence',
  async (query) => {
    const answer = await server.inject(`/api/jobs?${query}`);
    expect([answer.statusCode, answer.json<{ sentence: string }>().sentence.length > 5]).toEqual([400, true]);
  },
);

test('the next move is worked out beside the entries, and is that of the core', async () => {
  await page('state=open');
  for (let tries = 0; tries < 200 && (await page('state=open')).rows.some(({ move }) => move === null); tries++) {
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const { rows } = await page('state=open');
  for (const row of rows) {
    const job = await server.dataSource.getRepository(jobs).findOneByOrFail({ id: row.id });
    const list = await server.dataSource.getRepository(entries).findBy({ jobId: row.id });
    const { manager } = server.dataSource;
    const pack = withOwnPriors(await packOfJob(manager, job), await verdictsOf(manager, job.shopId, job.family));
    expect(row.move).toEqual(nextMove(foldJob(row.id, list.map(toEntry)), pack));
  }
});

// Behind the test in which every move was worked out: nobody else waits here.
const noted = ({ id }: JobRow) => sendEntries(server, id, [{ kind: 'reopened', reason: 'It drips' }]);
const changed = async ({ machineId }: JobRow) =>
  await server.inject({ method: 'POST', url: `/api/machines/${machineId}/change`, payload: { owner: 'Pell' } });

test.each([
  { what: 'its machine changes', before: () => Promise.resolve(null), then: changed },
  { what: 'its next move is worked out', before: noted, then: () => Promise.resolve(null) },
])('nobody holds the row of a job while they wait for the shop’s: $what', async ({ before, then }) => {
  const [row] = (await page('state=open&most=1')).rows as [JobRow];
  const client = new pg.Client({ connectionString: server.url });
  await client.connect();
  try {
    await before(row);
    await client.query('BEGIN');
    await client.query('SELECT 1 FROM shops FOR NO KEY UPDATE');
    const after = then(row);
    // On another connection: within a transaction the view stays as it was first read.
    const waiting = "SELECT 1 FROM pg_stat_activity WHERE datname = current_database() AND wait_event_type = 'Lock'";
    while ((await server.dataSource.query<unknown[]>(waiting)).length === 0);
    await client.query('SELECT 1 FROM jobs WHERE machine_id = $1 FOR UPDATE NOWAIT', [row.machineId]);
    await client.query('COMMIT');
    await after;
  } finally {
    await client.end();
  }
});

test('a row changes with its job in the same breath, and a move that is out of date is not told', async () => {
  const jobId = randomUUID();
  const machineId = idOf('machine', 'pruner');
  const send = (payload: object) =>
    server.inject({
      method: 'POST',
      url: '/api/entries',
      headers: { 'x-person': 'tobin' },
      payload: [{ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'tobin', payload }],
    });
  const row = async (state: string) => (await page(`state=${state}`)).rows.find(({ id }) => id === jobId);
  await send({ kind: 'takenIn', machineId, family: 'saw-oil-pump', complaint: 'dry as a bone', facts: {} });
  expect(await row('open')).toMatchObject({ complaint: 'dry as a bone', machineId });
  await server.dataSource.getRepository(jobs).update({ id: jobId }, { move: { kind: 'nothingElse' }, moveSeq: 1 });
  expect((await row('open'))?.move).not.toEqual({ kind: 'nothingElse' });
  await send({ kind: 'closed', outcome: 'cleaned', found: 'chips', note: 'the owner tries it' });
  expect(await row('closed')).toMatchObject({ found: 'chips', move: { kind: 'finished' } });
  await send({ kind: 'reopened', reason: 'still dry' });
  expect(await row('open')).toMatchObject({ closedAt: null, found: null });
});

test('the bench is read in its order from an index, however much stands on it', async () => {
  const { dataSource } = server;
  await dataSource.query(
    `INSERT INTO jobs (id, shop_id, machine_id, family, closed, taken_in_at, promised_on)
     SELECT gen_random_uuid(), shop_id, machine_id, family, false, now() - n * interval '1 minute', CASE WHEN n % 3 = 0 THEN date '2026-01-01' + n END
     FROM (SELECT * FROM jobs LIMIT 1) one, generate_series(1, 3000) n`,
  );
  await dataSource.query('ANALYZE jobs');
  const query = jest.spyOn(dataSource, 'query');
  await page('state=open');
  const [text, values] = query.mock.calls.find(([each]) => each.includes('FROM jobs j')) ?? [];
  query.mockRestore();
  const plan = JSON.stringify(await dataSource.query(`EXPLAIN ${text ?? ''}`, values));
  expect(plan).toContain('jobs_on_bench');
  expect(plan).not.toContain('Sort');
  await dataSource.query("DELETE FROM jobs WHERE complaint = '' AND seq = 0");
});

test('rows made anew are the rows that were kept', async () => {
  const before = [...(await everyPage('state=open')), ...(await everyPage('state=closed'))].map(({ move: _, ...each }) => each);
  await server.dataSource.query("UPDATE jobs SET complaint = '', closed = false, closed_at = NULL, found = 'nonsense', seq = 1");
  expect(await rebuildRows(server.dataSource)).toBe(before.length);
  const after = [...(await everyPage('state=open')), ...(await everyPage('state=closed'))].map(({ move: _, ...each }) => each);
  expect(after).toEqual(before);
});
