import type { AuditLine } from '@patient-badger/contract';
import { buildApp } from '../app.ts';
import { readConfig } from '../config.ts';
import { SAMPLE } from '../demo/sample.ts';
import { devicesOf, testServer, type TestServer } from '../testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const json = <T>(answer: { json: () => unknown }) => answer.json() as T;
const codeOf = (answer: { json: () => unknown }) => json<{ code: string }>(answer).code;

const { browser, signedIn, newcomer } = devicesOf(() => server);

test('wrong passphrases make the place wait that they come from, guesses at once too, and never somebody on a device of their own', async () => {
  const { name, passphrase, id } = await newcomer('mechanic');
  const own = await signedIn(name, passphrase);
  await own.post('/api/sign-out');
  const guess = (given: string, device = browser()) => device.post('/api/sign-in', { name, passphrase: given });
  const codes = (await Promise.all(Array.from({ length: 12 }, (_, i) => guess(`wrong passphrase ${i}`)))).map(codeOf);
  expect(codes.filter((code) => code === 'wrongPassphrase').length).toBeLessThanOrEqual(6);
  expect(codes.filter((code) => code === 'lockedOut').length).toBeGreaterThanOrEqual(6);
  expect(codeOf(await guess(passphrase))).toBe('lockedOut');
  // Their own phone is let in at once, however often others guess.
  expect((await guess(passphrase, own)).statusCode).toBe(200);
  // And nobody waits for an hour, whatever happened before.
  await server.dataSource.query('UPDATE sign_in_tries SET failed = 400 WHERE name = $1', [name.toLowerCase()]);
  expect(codeOf(await guess(passphrase))).toBe('lockedOut');
  await server.dataSource.query("UPDATE sign_in_tries SET last_at = now() - interval '5 minutes 1 second' WHERE name = $1", [
    name.toLowerCase(),
  ]);
  expect((await guess(passphrase)).statusCode).toBe(200);
  const [told] = json<{ lines: AuditLine[] }>(await (await signedIn('Imke')).get('/api/audit')).lines.filter(
    ({ what }) => what === 'passphraseGuessed',
  );
  expect(told).toMatchObject({ about: id, by: null });
});

test('guesses on a device of somebody’s own make that device wait', async () => {
  const { name, passphrase } = await newcomer('mechanic');
  const own = await signedIn(name, passphrase);
  await own.post('/api/sign-out');
  const codes = [];
  for (let i = 0; i < 7; i++) codes.push(codeOf(await own.post('/api/sign-in', { name, passphrase: `a lost phone ${i}` })));
  expect(codes.slice(0, 5)).toEqual(Array(5).fill('wrongPassphrase'));
  expect(codes.slice(5)).toEqual(['lockedOut', 'lockedOut']);
});

test('namesakes in two shops share no try: the one who signs in costs the other nothing', async () => {
  const { name, passphrase } = await newcomer('mechanic');
  await server.dataSource.query(`INSERT INTO shops (id, name, currency) VALUES ('elsewhere', 'Elsewhere', 'EUR') ON CONFLICT DO NOTHING`);
  await server.dataSource.query(
    `INSERT INTO people (id, shop_id, name, about, role, passphrase) SELECT 'twin-' || id, 'elsewhere', name, '', 'mechanic', passphrase FROM people WHERE id = 'wren'`,
  );
  await server.dataSource.query(`UPDATE people SET name = $1 WHERE id = 'twin-wren'`, [name]);
  for (let i = 0; i < 8; i++) {
    expect((await browser().post('/api/sign-in', { name, passphrase })).statusCode).toBe(200);
    expect((await browser().post('/api/sign-in', { name, passphrase: SAMPLE.passphrase })).statusCode).toBe(200);
  }
  await server.dataSource.query(
    `DELETE FROM sessions WHERE shop_id = 'elsewhere'; DELETE FROM own_devices WHERE person_id = 'twin-wren'; DELETE FROM people WHERE id = 'twin-wren'; DELETE FROM shops WHERE id = 'elsewhere'`,
  );
});

test('one address may try so many names a minute, and no more', async () => {
  const app = await buildApp(readConfig({ DATABASE_URL: server.url, LOG_LEVEL: 'silent', SIGN_INS_PER_MINUTE: '3' }), server.dataSource);
  const tries = [];
  for (let i = 0; i < 4; i++) tries.push(await browser(app).post('/api/sign-in', { name: `Nobody ${i}`, passphrase: 'x' }));
  expect(tries.map(codeOf)).toEqual(['wrongPassphrase', 'wrongPassphrase', 'wrongPassphrase', 'tooMany']);
  await app.close();
});

test('PINs: each wrong one makes the next slower; after five of one signer’s devices only the passphrase counts, a new sign-in gives no new tries', async () => {
  const device = await signedIn('Imke');
  const pinOf = (person: string, pin: string, on = device) => on.post('/api/switch', { person, pin });
  const began = Date.now();
  for (let i = 0; i < 5; i++) expect(codeOf(await pinOf('wren', `90${i}1`))).toBe('wrongPin');
  expect(Date.now() - began).toBeGreaterThan(3000);
  expect(codeOf(await pinOf('wren', SAMPLE.pin))).toBe('pinSpent');
  const again = await signedIn('Imke');
  expect(codeOf(await pinOf('wren', SAMPLE.pin, again))).toBe('pinSpent');
  // Elsewhere Wren gets on as before.
  expect((await pinOf('wren', SAMPLE.pin, await signedIn('Tobin'))).statusCode).toBe(200);
  const lines = json<{ lines: AuditLine[] }>(await (await signedIn('Imke')).get('/api/audit')).lines;
  expect(lines.find(({ what }) => what === 'pinGuessed')).toMatchObject({ by: 'imke', about: 'wren' });
  expect((await device.post('/api/switch', { person: 'wren', passphrase: SAMPLE.passphrase })).statusCode).toBe(200);
  await pinOf('imke', SAMPLE.pin);
  expect((await pinOf('wren', SAMPLE.pin)).statusCode).toBe(200);
});

test('thirty wrong PINs of one person within a day, from wherever, and no device takes it; the passphrase still does', async () => {
  const { id, passphrase, name } = await newcomer('mechanic');
  const own = await signedIn(name, passphrase);
  await own.post('/api/me/secret', { passphrase, newPin: '7301' });
  await server.dataSource.query(
    `INSERT INTO pin_tries (person_id, signer_id, settled) SELECT $1, 'wren', true FROM generate_series(1, 29)`,
    [id],
  );
  const device = await signedIn('Tobin');
  expect(codeOf(await device.post('/api/switch', { person: id, pin: '0000' }))).toBe('wrongPin');
  expect(codeOf(await device.post('/api/switch', { person: id, pin: '7301' }))).toBe('pinLocked');
  expect(codeOf(await own.post('/api/switch', { person: id, pin: '7301' }))).toBe('pinLocked');
  expect((await own.post('/api/switch', { person: id, passphrase })).statusCode).toBe(200);
  const lines = json<{ lines: AuditLine[] }>(await (await signedIn('Imke')).get('/api/audit')).lines;
  expect(lines.find(({ what }) => what === 'pinLocked')).toMatchObject({ by: 'tobin', about: id });
  await server.dataSource.query(`UPDATE pin_tries SET "at" = now() - interval '25 hours' WHERE person_id = $1`, [id]);
  expect((await own.post('/api/switch', { person: id, pin: '7301' })).statusCode).toBe(200);
});

test('guessing at one’s own passphrase on a phone left lying waits too, and only there', async () => {
  const { name, passphrase } = await newcomer('mechanic');
  const [left, own] = [await signedIn(name, passphrase), await signedIn(name, passphrase)];
  await server.dataSource.query(`UPDATE sessions SET person_id = 'wren' WHERE token = sha256($1)`, [
    Buffer.from(left.session().slice('badger='.length)),
  ]);
  server.app.sessions.forget();
  const codes = [];
  for (let i = 0; i < 7; i++) codes.push(codeOf(await left.post('/api/me/secret', { passphrase: `guess ${i}`, newPin: '7301' })));
  expect(codes).toEqual([...Array<string>(5).fill('wrongPassphrase'), 'lockedOut', 'lockedOut']);
  expect((await own.post('/api/me/secret', { passphrase, newPin: '7301' })).statusCode).toBe(200);
});
