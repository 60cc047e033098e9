import { randomUUID } from 'node:crypto';
import { PERSON_HEADER, type JobPage, type JobRow } from '@patient-badger/contract';
import { SCENARIO } from '@patient-badger/knowledge/scenario';
import type { EntryPayload } from '@patient-badger/core/job';
import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from 'fastify';
import pg from 'pg';
import type { DataSource } from 'typeorm';
import { buildApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDataSource } from './dataSource.ts';
import { SAMPLE } from './demo/sample.ts';
import { seedDemo } from './demo/seed.ts';
import { beginSession } from './people/sessions.ts';

type Inject = (asked: string | InjectOptions) => Promise<LightMyRequestResponse>;

export interface TestServer {
  readonly app: FastifyInstance;
  readonly dataSource: DataSource;
  readonly url: string;
  /** A request from a device on which the person of the header is signed in; without one, Tobin. */
  readonly inject: Inject;
  readonly stop: () => Promise<void>;
}

/** A server on a real database of its own, made for this test and dropped after it. */
export async function testServer(): Promise<TestServer> {
  const { url, drop } = await databaseLike(process.env.FILLED_DATABASE);
  const served = await serverOn(url);
  const { app, dataSource } = served;
  return {
    ...served,
    url,
    stop: async () => {
      await app.close();
      if (dataSource.isInitialized) await dataSource.destroy();
      await drop();
    },
  };
}

/** A database with nothing in it, not even tables. */
export const emptyDatabase = () => databaseLike();

/** The address of a database of the cluster. */
export const databaseIn = (cluster: string, name: string): string => Object.assign(new URL(cluster), { pathname: `/${name}` }).href;

/** A copy of a database of the cluster, or an empty one. */
async function databaseLike(template = 'template1'): Promise<{ readonly url: string; readonly drop: () => Promise<void> }> {
  const cluster = process.env.TEST_DATABASE_URL;
  if (!cluster) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test');
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  await inCluster(cluster, `CREATE DATABASE ${name} TEMPLATE ${template}`);
  return { url: databaseIn(cluster, name), drop: async () => void (await inCluster(cluster, `DROP DATABASE ${name} WITH (FORCE)`)) };
}

/** One more server process on the same database, as it would run elsewhere. */
export async function serverOn(url: string): Promise<Pick<TestServer, 'app' | 'dataSource' | 'inject'>> {
  const dataSource = await openDataSource(url, seedDemo);
  const app = await buildApp(
    readConfig({
      DATABASE_URL: url,
      LOG_LEVEL: 'silent',
      SEED_DEMO: '1',
      ALLOWED_HOSTS: 'badger.example',
      SIGN_INS_PER_MINUTE: '1000',
      REQUESTS_PER_MINUTE: '1000000',
    }),
    dataSource,
    SETUP_CODE,
  );
  await app.ready();
  return { app, dataSource, inject: await signedIn(app, dataSource) };
}

/** The rows of every page of jobs that was asked for, as a list shows them one below the other. */
export async function everyJobRow({ inject }: Pick<TestServer, 'inject'>, query: string): Promise<readonly JobRow[]> {
  const rows: JobRow[] = [];
  for (let after = ''; ;) {
    const got = (await inject(`/api/jobs?${query}${after}`)).json<JobPage>();
    rows.push(...got.rows);
    if (got.next === null) return rows;
    after = `&after=${encodeURIComponent(got.next)}`;
  }
}

/** Sends entries of one job as Tobin's; their ids, and what was answered. */
export async function sendEntries({ inject }: Pick<TestServer, 'inject'>, jobId: string, payloads: readonly EntryPayload[]) {
  const entries = payloads.map((payload) => ({ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'tobin', payload }));
  const answer = await inject({ method: 'POST', url: '/api/entries', payload: entries });
  return { ids: entries.map(({ id }) => id), answer };
}

/** Somebody gives their PIN for entries of theirs that want it, on a device of their own. */
export const sign = ({ inject }: Pick<TestServer, 'inject'>, person: string, ...signs: readonly string[]) =>
  inject({ method: 'POST', url: '/api/switch', payload: { person, pin: SAMPLE.pin, signs }, headers: { [PERSON_HEADER]: person } });

export { SAMPLE };

export const SETUP_CODE = 'let-me-begin';

/** A device of their own for each person of the demo; the cookie as their browsers would hold it. */
export async function cookiesOf(dataSource: DataSource): Promise<ReadonlyMap<string, string>> {
  const shopId = SCENARIO.shop.id;
  const made = SCENARIO.people.map(
    async ({ id }) => [id, `badger=${await beginSession(dataSource.manager, { shopId, personId: id, device: 'A test' })}`] as const,
  );
  return new Map(await Promise.all(made));
}

async function signedIn(app: FastifyInstance, dataSource: DataSource): Promise<Inject> {
  const cookies = new Map(await cookiesOf(dataSource));
  const renewed = async (person: string) => {
    const cookie = cookies.get(person);
    if (!cookie || !dataSource.isInitialized) return cookie;
    // With the database away, or its connections cut, the cookie is what it was, and the call itself says so.
    const session = await app.sessions.find(cookie.slice('badger='.length)).catch(() => undefined);
    if (session === undefined || session?.holder?.id === person) return cookie;
    const again = `badger=${await beginSession(dataSource.manager, { shopId: SCENARIO.shop.id, personId: person, device: 'A test' })}`;
    cookies.set(person, again);
    return again;
  };
  return async (asked) => {
    const options = typeof asked === 'string' ? { url: asked } : asked;
    const person = String(options.headers?.[PERSON_HEADER] ?? 'tobin');
    // Somebody who does not work here asks from a device of those who do.
    const cookie = (await renewed(person)) ?? cookies.get('tobin') ?? '';
    return app.inject({ ...options, headers: { cookie, ...options.headers } });
  };
}

export async function inCluster<Row extends pg.QueryResultRow>(url: string, sql: string): Promise<readonly Row[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Row>(sql)).rows;
  } finally {
    await client.end();
  }
}

/** Every row of every table as one hash each, photos byte by byte; of these tables alone, and without these columns. */
export async function rowHashes(
  url: string,
  only?: readonly string[],
  without: Readonly<Record<string, readonly string[]>> = {},
): Promise<Readonly<Record<string, readonly string[]>>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const tables = await client.query<{ t: string }>(
      `SELECT table_name AS t FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE' ORDER BY 1`,
    );
    const out: Record<string, readonly string[]> = {};
    for (const { t } of tables.rows.filter((each) => !only || only.includes(each.t))) {
      const minus = (without[t] ?? []).map((column) => `- '${column}'`).join(' ');
      const { rows } = await client.query<{ h: string }>(`SELECT md5((to_jsonb(x) ${minus})::text) AS h FROM ${t} x ORDER BY 1`);
      out[t] = rows.map(({ h }) => h);
    }
    return out;
  } finally {
    await client.end();
  }
}

/** A browser: it keeps the cookie that it is given, and shows it again. */
function browserOf(app: FastifyInstance) {
  let cookie = '';
  const kept = new Map<string, string>();
  const ask = async (
    method: 'GET' | 'POST',
    url: string,
    { payload, headers = {} }: { payload?: object | undefined; headers?: Record<string, string> | undefined } = {},
  ) => {
    const answer = await app.inject({ method, url, ...(payload && { payload }), headers: { ...(cookie && { cookie }), ...headers } });
    const given = answer.headers['set-cookie'];
    for (const setCookie of given === undefined ? [] : [given].flat()) {
      const [name = '', value = ''] = (setCookie.split(';')[0] ?? '').split('=');
      if (value === '') kept.delete(name);
      else kept.set(name, value);
    }
    cookie = [...kept].map(([name, value]) => `${name}=${value}`).join('; ');
    return answer;
  };
  return {
    ask,
    get: (url: string) => ask('GET', url),
    post: (url: string, payload: object = {}, headers?: Record<string, string>) => ask('POST', url, { payload, headers }),
    cookie: () => cookie,
    session: () => `badger=${kept.get('badger') ?? ''}`,
  };
}

/** Browsers of people of a test's server, each with the cookies that it was given. */
export function devicesOf(server: () => Pick<TestServer, 'app'>) {
  const browser = (app = server().app) => browserOf(app);
  async function signedIn(name: string, passphrase = SAMPLE.passphrase) {
    const device = browser();
    const answer = await device.post('/api/sign-in', { name, passphrase, device: `${name}’s phone` });
    if (answer.statusCode !== 200) throw new Error(`${name} is not let in: ${answer.body}`);
    return device;
  }

  async function newcomer(role: 'owner' | 'mechanic' | 'apprentice', name = `Newcomer ${randomUUID().slice(0, 8)}`) {
    const owner = await signedIn('Imke');
    const passphrase = 'seven herons over the weir';
    const { id } = (await owner.post('/api/people', { name, role, passphrase })).json<{ id: string }>();
    return { id, name, passphrase, owner };
  }
  return { browser, signedIn, newcomer };
}
