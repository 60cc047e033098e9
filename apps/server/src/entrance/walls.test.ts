import { buildApp } from '../app.ts';
import { readConfig } from '../config.ts';
import { randomUUID } from 'node:crypto';
import type { LightMyRequestResponse } from 'fastify';
import jpeg from 'jpeg-js';
import { idOf } from '../idOf.ts';
import { testServer, type TestServer } from '../testing.ts';
import { hashSecret } from '../people/secrets.ts';
import { beginSession } from '../people/sessions.ts';

jest.setTimeout(120_000);

const PHOTO = jpeg.encode({ width: 8, height: 8, data: Buffer.alloc(256, 120) }, 80).data;
const ANOTHER = jpeg.encode({ width: 8, height: 8, data: Buffer.alloc(256, 60) }, 80).data;
const STRANGE_MACHINE = '0197a000-0000-7000-8000-00000000000e';
const STRANGE = 'strange-shop';

/** Routes that answer whoever asks, since nothing of a shop is in them. */
const OPEN = [
  'GET /api/standing',
  'POST /api/first-shop',
  'POST /api/sign-in',
  'POST /api/sign-out',
  'GET /api/health',
  'GET /api/openapi.json',
];

let server: TestServer;
let strange: string;
let ours: string;
beforeAll(async () => {
  server = await testServer();
  const { dataSource } = server;
  await dataSource.query(`INSERT INTO shops (id, name, currency) VALUES ($1, 'Next door', 'EUR')`, [STRANGE]);
  await dataSource.query(`INSERT INTO people (id, shop_id, name, about, role, passphrase) VALUES ('odd', $1, 'Odd', '', 'owner', $2)`, [
    STRANGE,
    await hashSecret('four buckets under the eaves'),
  ]);
  await dataSource.query(
    `INSERT INTO machines (id, shop_id, family, label, serial, owner, facts) VALUES ($1, $2, 'saw-oil-pump', 'Theirs', '', '', '{}')`,
    [STRANGE_MACHINE, STRANGE],
  );
  strange = `badger=${await beginSession(dataSource.manager, { shopId: STRANGE, personId: 'odd', device: 'Next door’s phone' })}`;
  ours = `badger=${await beginSession(dataSource.manager, { shopId: 'skarrow', personId: 'imke', device: 'Ours' })}`;
});
afterAll(() => server.stop());

interface Route {
  readonly method: 'GET' | 'POST';
  readonly url: string;
}

/** Every route of the server, as the server itself prints them: a tree, each branch the rest of an address. */
function routes(): readonly Route[] {
  const above: string[] = [];
  return server.app
    .printRoutes({ commonPrefix: false })
    .split('\n')
    .flatMap((line) => {
      const [, indent = '', part = '', methods = ''] = /^(.*?[└├]── )(\S+)(?: \(([A-Z, ]+)\))?$/.exec(line) ?? [];
      if (!part) return [];
      const depth = indent.length / 4 - 1;
      above.splice(depth, above.length, (above[depth - 1] ?? '') + part);
      const url = above[depth] ?? '';
      const kept = methods.split(', ').filter((each): each is Route['method'] => each === 'GET' || each === 'POST');
      return url.startsWith('/api/') ? kept.map((method) => ({ method, url })) : [];
    });
}

const ask = ({ method, url }: Route, headers: Record<string, string>, payload?: object | Buffer): Promise<LightMyRequestResponse> =>
  server.app.inject({ method, url, headers, ...(method === 'POST' && { payload: payload ?? {} }) });

test('the list of routes is the whole of it', () => {
  expect(routes().length).toBeGreaterThan(30);
  expect(routes().map(({ method, url }) => `${method} ${url}`)).toEqual(
    expect.arrayContaining([...OPEN, 'POST /api/entries', 'GET /api/jobs/:id']),
  );
});

test('no route but the open ones answers without a session, nor with a made-up one', async () => {
  for (const route of routes()) {
    if (OPEN.includes(`${route.method} ${route.url}`)) continue;
    for (const headers of [{}, { cookie: `badger=${'A'.repeat(43)}` }, { 'x-person': 'imke' }] as Record<string, string>[]) {
      const answer = await ask({ ...route, url: route.url.replace(':id', randomUUID()) }, headers);
      expect([route.url, answer.statusCode, answer.json<{ code: string }>().code]).toEqual([route.url, 401, 'signInFirst']);
    }
  }
});

test('no route does anything for a page of another origin, cookie or not', async () => {
  for (const route of routes()) {
    const marks: Record<string, string>[] = [
      { origin: 'http://elsewhere.example' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ];
    for (const mark of marks) {
      const answer = await ask(
        { ...route, url: route.url.replace(':id', randomUUID()) },
        { cookie: ours, host: 'badger.example', ...mark },
      );
      expect([route.url, answer.json<{ code: string }>().code]).toEqual([route.url, 'otherOrigin']);
    }
  }
  const own = { cookie: ours, host: 'badger.example', origin: 'http://badger.example', 'sec-fetch-site': 'same-origin' };
  expect((await ask({ method: 'GET', url: '/api/jobs' }, own)).statusCode).toBe(200);
});

interface Name {
  readonly table: string;
  readonly id: string;
}

/** Everything that can be named of the shop: ids of each table. */
async function namesOfOurs(): Promise<readonly Name[]> {
  const { dataSource } = server;
  const ids = async (table: string, column = 'id'): Promise<readonly Name[]> =>
    (await dataSource.query<{ id: string }[]>(`SELECT ${column}::text AS id FROM ${table} WHERE shop_id = 'skarrow' LIMIT 3`)).map(
      ({ id }) => ({ table, id }),
    );
  const lists = [
    ...['people', 'machine_models', 'machines', 'jobs', 'entries', 'parts', 'shelf', 'imports', 'sessions'].map((table) => ids(table)),
    ids('photos', 'hash'),
    ids('families'),
  ];
  return (await Promise.all(lists)).flat();
}

/** What changes by itself: worked out beside the record, or the time of the last look. */
const CHANGING: Readonly<Record<string, string>> = {
  jobs: `- 'move' - 'move_seq' - 'row_seq'`,
  shops: `- 'last_row'`,
  sessions: `- 'seen_at'`,
};

/** What the shop has, in every table that belongs to a shop, as one string each. */
async function fingerprint(): Promise<Readonly<Record<string, string>>> {
  const tables = await server.dataSource.query<{ t: string }[]>(
    `SELECT table_name AS t FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'shop_id' ORDER BY 1`,
  );
  const rows = tables.map(async ({ t }) => {
    const but = CHANGING[t] ?? '';
    const [row] = await server.dataSource.query<{ h: string }[]>(
      `SELECT coalesce(md5(string_agg(h, '' ORDER BY h)), '') AS h FROM (SELECT md5((to_jsonb(x) ${but})::text) AS h FROM ${t} x WHERE shop_id = 'skarrow') each`,
    );
    return [t, row?.h ?? ''] as const;
  });
  return Object.fromEntries(await Promise.all(rows));
}

/** What somebody of another shop might send to each route that takes something, with an id of ours in it. */
const BODIES: Readonly<Record<string, (id: string, table: string) => readonly (object | Buffer)[]>> = {
  '/api/sign-out': () => [],
  '/api/first-shop': () => [],
  '/api/sign-in': () => [],
  '/api/switch': (person) => [
    { person, pin: '2580' },
    { person, passphrase: 'rain on the tin roof' },
  ],
  '/api/shop': () => [{ name: 'Next door' }],
  '/api/people': () => [{ name: `Odd ${randomUUID()}`, role: 'mechanic', passphrase: 'seven herons over the weir' }],
  '/api/people/change': (id) => [
    { id, name: 'Taken' },
    { id, retired: true },
    { id, passphrase: 'seven herons over the weir' },
  ],
  '/api/me/secret': () => [{ passphrase: 'four buckets under the eaves', newPin: '8305' }],
  '/api/devices/:id/sign-out': () => [{}],
  '/api/machines': (id, table) => {
    const draft = { family: 'saw-oil-pump', label: 'Taken', serial: '', owner: '', facts: {} };
    // An id of its own for what is new; that it stands for something of ours in another table is nothing to anybody.
    const taken = table === 'machines' ? [{ ...draft, id, modelId: null }] : [];
    return isUuid(id) ? [...taken, { ...draft, id: randomUUID(), modelId: id }] : [];
  },
  '/api/machines/:id/change': () => [{ label: 'Taken' }, { retired: true }, { modelId: null }],
  '/api/machines/:id/merge': (id) => (isUuid(id) ? [{ into: id }, { into: STRANGE_MACHINE }] : []),
  '/api/machines/:id/meter': () => [{ id: randomUUID(), on: '2026-01-01', hours: 7, km: null }],
  '/api/models': (id, table) => {
    const draft = { maker: 'Taken', code: randomUUID(), family: 'saw-oil-pump' };
    return table === 'machine_models' ? [{ ...draft, id }] : [{ ...draft, id: randomUUID() }];
  },
  '/api/models/:id/change': () => [{ maker: 'Taken' }, { retired: true }, { overrides: null }],
  '/api/models/:id/book': (id) => {
    const lines = [{ kind: 'note', text: 'Taken' }];
    return [{ jobId: null, source: 'x', lines }, ...(isUuid(id) ? [{ jobId: id, lines }] : [])];
  },
  '/api/models/:id/book/out': () => [{ key: 'note/ours', source: 'ours' }],
  '/api/model-books': () => [{}],
  '/api/families': () => [{}],
  '/api/jobs/:id/make': () => [{}],
  '/api/put-down': () => [{}],
  '/api/entries': (id) => {
    const at = new Date().toISOString();
    const takenIn = { kind: 'takenIn', machineId: id, family: 'saw-oil-pump', complaint: 'dry', facts: {} };
    const remark = { kind: 'remark', text: 'Here too' };
    if (!isUuid(id)) return [];
    return [
      [{ id: randomUUID(), jobId: id, at, by: 'odd', payload: remark }],
      [{ id, jobId: randomUUID(), at, by: 'odd', payload: remark }],
      [{ id: randomUUID(), jobId: randomUUID(), at, by: 'odd', payload: takenIn }],
      [{ id: randomUUID(), jobId: id, at, by: 'odd', payload: { kind: 'withdrawn', entry: id } }],
      [
        {
          id: randomUUID(),
          jobId: id,
          at,
          by: 'odd',
          payload: { kind: 'closed', outcome: 'repaired', found: 'x', note: 'the owner tries it' },
        },
      ],
    ];
  },
  '/api/parts/change': (id) => (isUuid(id) ? [{ ids: [id], change: { stock: 77 } }] : []),
  '/api/parts/search': () => [{ wanted: { type: 'spur', teeth: 11, normalModuleMm: 3 } }],
  '/api/sample-parts/remove': () => [{}],
  '/api/imports': () => [],
  '/api/uploads/:id': () => [],
  '/api/imports/:id/cancel': () => [{}],
  '/api/shelf': (id, table) => {
    const draft = { name: 'Taken', attributes: { type: 'spur' }, cameFrom: 'x', condition: 'worn', place: 'y' };
    const taken = table === 'shelf' ? [{ ...draft, id }] : [];
    return isUuid(id) ? [...taken, { ...draft, id: randomUUID(), machineId: id }] : [];
  },
  '/api/shelf/:id/gone': () => [{ why: 'Taken' }],
  '/api/photos': () => [ANOTHER],
  '/api/instruments/read': (id) => [{ jobId: id, instrument: 'caliper', gear: 'worm', quantity: 'tipDiameterMm', attempt: 1 }],
};
const isUuid = (id: string) => /^[0-9a-f-]{36}$/.test(id);

test('with the session of another shop no row of ours is told and none is changed, whatever id is tried at whatever route', async () => {
  // A photo and a family, so that there is something of every kind.
  const photo = await server.app.inject({
    method: 'POST',
    url: '/api/photos',
    payload: PHOTO,
    headers: { cookie: ours, 'content-type': 'image/jpeg' },
  });
  expect(photo.statusCode).toBe(200);
  await server.dataSource.query(
    `INSERT INTO imports (id, shop_id, "by", state, done, total, cancel_asked, touched_at)
     SELECT gen_random_uuid(), 'skarrow', 'imke', 'done', 0, 0, false, now()
     WHERE NOT EXISTS (SELECT 1 FROM imports WHERE shop_id = 'skarrow')`,
  );
  await server.dataSource.query(
    `INSERT INTO book_lines (model_id, shop_id, key, line, source) SELECT id, shop_id, 'note/ours', '{"kind":"note","text":"ours"}', 'ours'
     FROM machine_models WHERE shop_id = 'skarrow'`,
  );
  const names = await namesOfOurs();
  expect(names.length).toBeGreaterThan(20);
  expect(names.every(({ id }) => typeof id === 'string' && id !== '')).toBe(true);
  const before = await fingerprint();
  const headers = { cookie: strange };
  const listed = routes().filter(({ url }) => !url.startsWith('/api/operations') && url !== '/api/events' && url !== '/api/openapi.json');
  let tried = 0;
  for (const route of listed) {
    if (route.method === 'POST') expect(Object.keys(BODIES)).toContain(route.url);
    const isSame = route.method === 'GET' && !route.url.includes('/:') && route.url !== '/api/jobs';
    // What is asked for without an id is the same whatever id is tried.
    for (const { id: name, table } of isSame ? names.slice(0, 1) : names) {
      const url = route.url.replace(/:(id|hash)/, name);
      const query =
        ({ '/api/jobs': isUuid(name) ? `?machine=${name}` : '', '/api/parts/refusals': '?partNumber=QB-7700-K' } as Record<string, string>)[
          route.url
        ] ?? '';
      const bodies = route.method === 'GET' ? [undefined] : (BODIES[route.url]?.(name, table) ?? []);
      for (const body of bodies) {
        tried++;
        const type: Record<string, string> = Buffer.isBuffer(body) ? { 'content-type': 'image/jpeg' } : {};
        const answer = await ask({ ...route, url: `${url}${query}` }, { ...headers, ...type }, body);
        const told = names.filter(({ id }) => answer.body.includes(`"${id}"`) && !JSON.stringify([body, url]).includes(id));
        expect([route.url, told]).toEqual([route.url, []]);
        // A try that was turned away for its number has tried nothing; one's own secret is guarded closer than that.
        if (route.url !== '/api/me/secret') expect([route.url, answer.statusCode]).not.toEqual([route.url, 429]);
        const isOurs = route.url.includes('/:') && answer.statusCode < 300 && answer.body.includes(name);
        expect([route.url, name, isOurs]).toEqual([route.url, name, false]);
      }
    }
  }
  expect(tried).toBeGreaterThan(500);
  expect(await fingerprint()).toEqual(before);
});

test('the other shop’s lists hold its own and nothing else, and its stream is silent of ours', async () => {
  const rows = async (url: string) => (await ask({ method: 'GET', url }, { cookie: strange })).json<unknown>();
  expect(await rows('/api/jobs')).toEqual({ rows: [], next: null });
  expect(await rows('/api/shelf')).toEqual([]);
  expect(await rows('/api/parts?limit=5')).toEqual([]);
  const address = await server.app.listen({ port: 0, host: '127.0.0.1' });
  const stop = new AbortController();
  const stream = await fetch(`${address}/api/events`, { headers: { cookie: strange }, signal: stop.signal });
  const heard: string[] = [];
  const reading = (async () => {
    for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>) heard.push(new TextDecoder().decode(chunk));
  })().catch(() => undefined);
  const takenIn = {
    kind: 'takenIn',
    machineId: idOf('machine', 'pruner'),
    family: 'saw-oil-pump',
    complaint: 'our own trouble',
    facts: {},
  };
  const entry = { id: randomUUID(), jobId: randomUUID(), at: new Date().toISOString(), by: 'imke', payload: takenIn };
  expect((await ask({ method: 'POST', url: '/api/entries' }, { cookie: ours }, [entry])).statusCode).toBe(200);
  await new Promise((resolve) => setTimeout(resolve, 500));
  stop.abort();
  await reading;
  expect(heard.join('')).toContain('event: here');
  expect(heard.join('')).not.toContain('our own trouble');
});

test.each([
  ['a page of another name that was made to lead here', { host: 'evil.example' }, 403],
  ['the same with the port', { host: 'evil.example:4173' }, 403],
  ['an address', { host: '192.168.1.20:4173' }, 200],
  ['an address of version 6', { host: '[fd00::1]:4173' }, 200],
  ['this computer', { host: 'localhost:4173' }, 200],
  ['a name that was set', { host: 'badger.lan' }, 200],
  ['a page over TLS of the same name, asking over plain HTTP', { host: 'localhost', origin: 'https://localhost' }, 403],
  ['a page of the same name and scheme', { host: 'localhost', origin: 'http://localhost' }, 200],
  ['a page of the address that was set', { host: 'localhost', origin: 'https://shop.badger.lan' }, 200],
])('called by %s', async (_name, headers, status) => {
  const app = await buildApp(
    readConfig({ DATABASE_URL: server.url, LOG_LEVEL: 'silent', ALLOWED_HOSTS: 'badger.lan', PUBLIC_ADDRESS: 'https://shop.badger.lan' }),
    server.dataSource,
  );
  expect((await app.inject({ url: '/api/standing', headers })).statusCode).toBe(status);
  await app.close();
});
