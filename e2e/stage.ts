import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import pg from 'pg';
import { SAMPLE } from '../apps/server/src/demo/sample.ts';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';

export const PHONE = { width: 390, height: 844 } as const;
export const WIDE = { width: 1280, height: 800 } as const;

/** Debian's browser without a window, which asks nobody outside for anything. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** So many times slower than this machine are the devices: what is right only on a fast one shows. */
const SLOWER = Number(process.env.SLOWER ?? 1);
/** What has not happened by then will not: long, for a machine that does other work beside. */
const WAIT_MS = 30_000 * SLOWER;

/** Devices of the story that runs: put away after it, for an open page goes on working beside the next. */
const ofThisStory: BrowserContext[] = [];
if (typeof afterEach === 'function') {
  afterEach(async () => {
    for (const context of ofThisStory.splice(0)) await context.close();
  });
}

export interface Stage {
  readonly address: string;
  /** Where the first shop is made, as the start of the server prints it; the address itself where there is one. */
  readonly firstVisit: string;
  readonly browser: Browser;
  readonly databaseUrl: string;
  /** A window of its own device: nothing kept from others. */
  readonly device: (size: { width: number; height: number }) => Promise<{ context: BrowserContext; page: Page }>;
  /** Takes the server's database away, connections and all, and gives it back. */
  readonly database: (state: 'stopped' | 'back') => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** The real app on a real server and database, in Debian's Chromium. */
export async function start({ demo = true } = {}): Promise<Stage> {
  const root = process.cwd();
  const dist = join(root, 'apps/web/dist');
  if (!existsSync(join(dist, 'index.html'))) throw new Error('The app is not built: run the tests with npm test');
  const cluster = process.env.TEST_DATABASE_URL;
  if (!cluster) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test');
  const name = `e_${randomUUID().replaceAll('-', '')}`;
  await sql(cluster, `CREATE DATABASE ${name} TEMPLATE ${(demo && process.env.FILLED_DATABASE) || 'template1'}`);
  const databaseUrl = Object.assign(new URL(cluster), { pathname: `/${name}` }).href;
  const port = await freePort();
  const { server, said } = await startServer(root, {
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    STATIC_DIR: dist,
    SEED_DEMO: demo ? '1' : '0',
    // All the devices of a story come from one address.
    SIGN_INS_PER_MINUTE: '1000',
  });
  const browser = await chromium.launch(CHROMIUM);
  const address = `http://127.0.0.1:${port}`;
  const contexts: BrowserContext[] = [];
  return {
    address,
    firstVisit: /Make the shop at (\S+)/.exec(said())?.[1] ?? address,
    browser,
    databaseUrl,
    device: async (viewport) => {
      const context = await browser.newContext({ viewport, reducedMotion: 'reduce' });
      context.setDefaultTimeout(WAIT_MS);
      const within = typeof expect === 'function' ? expect.getState().currentTestName : undefined;
      (within === undefined ? contexts : ofThisStory).push(context);
      const page = await context.newPage();
      if (SLOWER > 1) await (await throttleOf(page))(SLOWER);
      return { context, page };
    },
    database: async (state) => {
      await sql(cluster, `ALTER DATABASE ${name} ALLOW_CONNECTIONS ${state === 'back'}`);
      if (state === 'stopped') await sql(cluster, `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = '${name}'`);
    },
    stop: async () => {
      for (const context of [...contexts, ...ofThisStory.splice(0)]) await context.close();
      await browser.close();
      server.kill();
      await sql(cluster, `DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
}

/** Makes the device of a page so many times slower than it is; 1 gives its speed back. */
export async function throttleOf(page: Page): Promise<(rate: number) => Promise<unknown>> {
  const session = await page.context().newCDPSession(page);
  return (rate) => session.send('Emulation.setCPUThrottlingRate', { rate });
}

async function startServer(cwd: string, env: Record<string, string>): Promise<{ server: ChildProcess; said: () => string }> {
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd,
    env: { ...process.env, ...env, LOG_LEVEL: 'error', NODE_ENV: 'production' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  await new Promise<void>((resolve, reject) => {
    const hear = (chunk: Buffer) => {
      said += String(chunk);
      if (said.includes(env.SEED_DEMO === '1' ? 'Patient Badger is at' : 'Make the shop at')) resolve();
    };
    server.stdout.on('data', hear);
    server.stderr.on('data', hear);
    server.once('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
  return { server, said: () => said };
}

/** A device of the made-up shop that is no browser: what it shows to be let in. */
export async function cookieOf(address: string, name: string): Promise<string> {
  const answer = await fetch(`${address}/api/sign-in`, {
    method: 'POST',
    body: JSON.stringify({ name, passphrase: SAMPLE.passphrase, device: 'A bench' }),
    headers: { 'content-type': 'application/json' },
  });
  return (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}

/** A browser that was signed in before this visit. */
export async function letIn(context: BrowserContext, address: string, name: string): Promise<void> {
  const [cookie = '', value = ''] = (await cookieOf(address, name)).split('=');
  await context.addCookies([{ name: cookie, value, url: address, httpOnly: true, sameSite: 'Strict' }]);
}

/**
 * The database comes to hold what is wanted: a screen shows what was written before the server has it.
 * Fails where it does not in time.
 */
export async function inTime<T>(url: string, text: string, wanted: readonly T[]): Promise<void> {
  const ends = Date.now() + WAIT_MS;
  for (;;) {
    const { rows } = await sql(url, text);
    if (JSON.stringify(rows) === JSON.stringify(wanted)) return;
    if (Date.now() > ends) return expect(rows).toEqual(wanted);
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

export async function sql(url: string, text: string): Promise<pg.QueryResult> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await client.query(text);
  } finally {
    await client.end();
  }
}

export const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });
