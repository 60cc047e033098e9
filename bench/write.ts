/**
 * Entries into the record, each on disk when it is answered: `npm run bench:write`. The real server on a real
 * database. First 300 a second for a while, sent when they are due whether the others are answered or not
 * (an open loop: a slow answer does not slow the asking down), from three devices. Then as many as go through
 * by sixteen connections. Baseline in the same run: a bare route with one INSERT of the same size, in a
 * process of its own on the same database, asked in the same two ways.
 */
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import type { EntryReceipt, JobPage } from '@patient-badger/contract';
import { cookieOf, start } from '../e2e/stage.ts';

const RATE = Number(process.env.RATE ?? 300);
const SECONDS = Number(process.env.SECONDS ?? 20);
const CONNECTIONS = 16;
const THROUGH_SECONDS = 8;
const TO_REACH = { p99Ms: 50, ofBare: 0.5 };
const PEOPLE = ['imke', 'tobin', 'wren'];
/** Each from a device of their own. */
const cookies = new Map<string, string>();

type Post = (i: number) => Promise<void>;

/** Over connections that stay open, as a browser keeps them. */
function poster(address: string, agent: Agent) {
  return (path: string, body: string, person: string) =>
    new Promise<string>((resolve, reject) => {
      const headers = {
        'content-type': 'application/json',
        'content-length': Buffer.byteLength(body),
        'x-person': person,
        cookie: cookies.get(person) ?? '',
      };
      const asked = request(`${address}${path}`, { method: 'POST', agent, headers }, (answer) => {
        let text = '';
        answer.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
        answer.on('end', () => (answer.statusCode === 200 ? resolve(text) : reject(new Error(`${answer.statusCode} ${text}`))));
      });
      asked.on('error', reject).end(body);
    });
}

/** Milliseconds of each answer, from when it was due to be sent. */
async function atRate(post: Post): Promise<readonly number[]> {
  const took: number[] = [];
  const began = performance.now();
  const all: Promise<void>[] = [];
  for (let i = 0; i < RATE * SECONDS; i++) {
    const due = began + (i * 1000) / RATE;
    const wait = due - performance.now();
    if (wait > 1) await new Promise((resolve) => setTimeout(resolve, wait));
    all.push(post(i).then(() => void took.push(performance.now() - due)));
  }
  await Promise.all(all);
  return took.sort((p, q) => p - q);
}

async function through(post: Post): Promise<number> {
  const end = performance.now() + THROUGH_SECONDS * 1000;
  let count = 0;
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async (_, k) => {
      for (let i = 0; performance.now() < end; i++, count++) await post(1_000_000 * (k + 1) + i);
    }),
  );
  return count / THROUGH_SECONDS;
}

const at = (list: readonly number[], share: number) => list[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN;
const line = (name: string, list: readonly number[], most: number) =>
  `${name}: at ${RATE} a second median ${at(list, 0.5).toFixed(1)} ms, p99 ${at(list, 0.99).toFixed(1)} ms, worst ${(list.at(-1) ?? NaN).toFixed(1)} ms; at most ${Math.round(most)} a second`;

process.env.REQUESTS_PER_MINUTE = '1000000';
const stage = await start();
const bare = spawn(process.execPath, ['--import', 'tsx', 'bench/bareInsert.ts'], {
  env: { ...process.env, DATABASE_URL: stage.databaseUrl },
  stdio: ['ignore', 'pipe', 'inherit'],
});
try {
  const bareAddress = await new Promise<string>((resolve) => bare.stdout.once('data', (chunk: Buffer) => resolve(chunk.toString().trim())));
  const agent = new Agent({ keepAlive: true, maxSockets: 64 });
  for (const person of PEOPLE) cookies.set(person, await cookieOf(stage.address, person));
  const { rows } = (await (
    await fetch(`${stage.address}/api/jobs?state=open`, { headers: { cookie: cookies.get('imke') ?? '' } })
  ).json()) as JobPage;
  const entryOf = (i: number) => ({
    id: randomUUID(),
    jobId: rows[i % rows.length]?.id,
    at: new Date().toISOString(),
    by: PEOPLE[i % PEOPLE.length] ?? '',
    payload: { kind: 'remark', text: `note ${i}` },
  });
  const toShop = poster(stage.address, agent);
  const toBare = poster(bareAddress, agent);
  const write: Post = async (i) => {
    const entry = entryOf(i);
    const [receipt] = JSON.parse(await toShop('/api/entries', JSON.stringify([entry]), entry.by)) as EntryReceipt[];
    if (receipt?.status !== 'stored') throw new Error(`not stored: ${JSON.stringify(receipt)}`);
  };
  const insert: Post = async (i) => void (await toBare('/bare', JSON.stringify(entryOf(i)), ''));
  for (const post of [write, insert]) await Promise.all(Array.from({ length: 100 }, (_, i) => post(i)));

  const [took, tookBare] = [await atRate(write), await atRate(insert)];
  const [most, mostBare] = [await through(write), await through(insert)];
  console.log(line('entries', took, most));
  console.log(line('bare INSERT', tookBare, mostBare));
  console.log(
    `${Math.round((most / mostBare) * 100)} % of the bare route (to reach ${TO_REACH.ofBare * 100} %); p99 to reach ${TO_REACH.p99Ms} ms`,
  );
  if (at(took, 0.99) > TO_REACH.p99Ms || most / mostBare < TO_REACH.ofBare) process.exitCode = 1;
} finally {
  bare.kill();
  await stage.stop();
}
