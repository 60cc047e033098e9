import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import jpeg from 'jpeg-js';
import { createDataSource } from '../dataSource.ts';
import { idOf } from '../idOf.ts';
import { emptyDatabase, rowHashes, testServer, type TestServer } from '../testing.ts';
import { exportShop } from './shopOut.ts';
import { importShop } from './shopIn.ts';

jest.setTimeout(120_000);

let server: TestServer;
let folder: string;
const spare: (() => Promise<void>)[] = [];
beforeAll(async () => {
  server = await testServer();
  folder = await mkdtemp(join(tmpdir(), 'badger-strange-'));
  const payload = jpeg.encode({ width: 40, height: 30, data: Buffer.alloc(40 * 30 * 4, 120) }, 80).data;
  expect((await server.inject({ method: 'POST', url: '/api/photos', payload, headers: { 'content-type': 'image/jpeg' } })).statusCode).toBe(
    200,
  );
});
afterAll(async () => {
  for (const drop of spare) await drop();
  await server.stop();
});

async function fresh(): Promise<string> {
  const { url, drop } = await emptyDatabase();
  spare.push(drop);
  return url;
}

async function tablesIn(url: string): Promise<readonly string[]> {
  const dataSource = await createDataSource(url).initialize();
  try {
    const rows = await dataSource.query<{ t: string }[]>(
      `SELECT table_name AS t FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1`,
    );
    return rows.map(({ t }) => t);
  } finally {
    await dataSource.destroy();
  }
}

const remark = (text: string) => ({ kind: 'remark', text });
const takenIn = { kind: 'takenIn', machineId: idOf('machine', 'pruner'), family: 'saw-oil-pump', complaint: 'dry', facts: {} };

/** Every script that people write remarks in, and signs of four bytes: pieces of a file end within them. */
const SCRIPTS = [
  'Ĉirkaŭ ŝraŭbo',
  'Шестерня стёрта',
  'Γρανάζι φθαρμένο',
  'גלגל שיניים',
  'ترس ساییده',
  'गियर घिसा',
  'เฟืองสึก',
  '歯車が摩耗',
  '톱니 마모',
  '齿轮磨损',
  '⚙️🔩👩‍🔧',
  '𝛾𝑧₁',
];

/** The shop as it was written out, with some of its files changed. */
async function forged(change: (files: Record<string, Uint8Array>) => void): Promise<string> {
  const file = join(folder, `${randomUUID()}.zip`);
  const written = join(folder, 'plain.zip');
  await pipeline(Readable.from(exportShop(server.dataSource, 'skarrow')), createWriteStream(written));
  const files = unzipSync(await readFile(written));
  change(files);
  await writeFile(file, zipSync(files, { level: 1 }));
  return file;
}
const lineOf = (files: Record<string, Uint8Array>, name: string, change: (line: Record<string, unknown>) => object) => {
  const lines = strFromU8(files[name] ?? new Uint8Array())
    .trimEnd()
    .split('\n');
  lines[0] = JSON.stringify(change(JSON.parse(lines[0] ?? '{}') as Record<string, unknown>));
  files[name] = strToU8(`${lines.join('\n')}\n`);
};

test.each<[string, (files: Record<string, Uint8Array>) => void]>([
  [
    'a photo that is a page',
    (files) => {
      const name = Object.keys(files).find((each) => each.startsWith('photos/')) ?? '';
      files[name] = strToU8('<script>fetch("/api/people")</script>');
    },
  ],
  [
    'an entry of a kind that nobody knows',
    (files) => lineOf(files, 'entries.ndjson', (line) => ({ ...line, payload: { kind: 'moonwalk' } })),
  ],
  [
    'an entry with a field too many',
    (files) => lineOf(files, 'entries.ndjson', (line) => ({ ...line, payload: { ...(line.payload as object), extra: 1 } })),
  ],
  [
    'a part with minus three teeth',
    (files) => lineOf(files, 'parts.ndjson', (line) => ({ ...line, attributes: { type: 'spur', teeth: -3 } })),
  ],
  ['a name that fills a page', (files) => lineOf(files, 'people.ndjson', (line) => ({ ...line, name: 'x'.repeat(30_000) }))],
  ['a table that is not known', (files) => void (files['secrets.ndjson'] = strToU8('{}\n'))],
  [
    'a photo that is missing',
    (files) => {
      const name = Object.keys(files).find((each) => each.startsWith('photos/')) ?? '';
      Reflect.deleteProperty(files, name);
    },
  ],
  ['half a sign', (files) => void (files['entries.ndjson'] = new Uint8Array([...(files['entries.ndjson'] ?? []), 0xd0]))],
])('a strange file with %s is refused whole', async (_name, change) => {
  const url = await fresh();
  await expect(importShop(url, await forged(change))).rejects.toThrow(/in this file|not known|cut short|damaged/);
  expect((await tablesIn(url)).filter((t) => t !== 'migrations')).toEqual([]);
});

test('a file that swells to far more than any record is stopped before it does', async () => {
  const file = await forged((files) => {
    files['entries.ndjson'] = new Uint8Array(60_000_000).fill(32);
  });
  expect((await readFile(file)).length).toBeLessThan(5_000_000);
  await expect(importShop(await fresh(), file)).rejects.toThrow(/swells|longer than any/);
});

test('previews are made anew: what a stranger lays beside a photo is shown to nobody', async () => {
  const file = await forged((files) => {
    for (const name of Object.keys(files)) if (name.startsWith('previews/')) files[name] = strToU8('<svg onload="alert(1)"/>');
  });
  const url = await fresh();
  await importShop(url, file);
  expect(await rowHashes(url, ['photos'])).toEqual(await rowHashes(server.url, ['photos']));
});

test('a photo runs nothing, also where it is opened by itself', async () => {
  const [photo] = await server.dataSource.query<{ hash: string }[]>('SELECT hash FROM photos LIMIT 1');
  for (const path of ['', '/preview']) {
    const { headers } = await server.inject(`/api/photos/${photo?.hash}${path}`);
    expect(headers['content-security-policy']).toBe("default-src 'none'; sandbox");
    expect([headers['x-content-type-options'], headers['cross-origin-resource-policy']]).toEqual(['nosniff', 'same-origin']);
  }
});

// The last, for what it writes lies in every file that is made after it.
test('three thousand remarks in every script come back as they were, wherever the pieces of the file end', async () => {
  const jobId = randomUUID();
  const begin = { id: randomUUID(), jobId, at: new Date().toISOString(), by: 'tobin', payload: takenIn };
  await server.inject({ method: 'POST', url: '/api/entries', payload: [begin] });
  for (let i = 0; i < 30; i++) {
    const payload = Array.from({ length: 100 }, (_, k) => ({
      id: randomUUID(),
      jobId,
      at: new Date().toISOString(),
      by: 'tobin',
      payload: remark(`${SCRIPTS[(i + k) % SCRIPTS.length]} `.repeat(1 + ((i * k) % 9)) + k),
    }));
    expect((await server.inject({ method: 'POST', url: '/api/entries', payload })).statusCode).toBe(200);
  }
  const file = join(folder, 'scripts.zip');
  await pipeline(Readable.from(exportShop(server.dataSource, 'skarrow')), createWriteStream(file));
  const url = await fresh();
  await importShop(url, file);
  expect(await rowHashes(url, ['entries'])).toEqual(await rowHashes(server.url, ['entries']));
});
