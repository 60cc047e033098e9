import { readdir, readFile, stat } from 'node:fs/promises';
import { join } from 'node:path';

const DIST = 'apps/web/dist';
const SCRIPTS = join(DIST, '_expo/static/js/web');
const kB = 1000;

/** Bytes on the wire of the scripts whose name begins so, packed as the build lays them. */
async function packed(name: string): Promise<number> {
  const files = (await readdir(SCRIPTS)).filter((each) => each.startsWith(`${name}-`) && each.endsWith('.js.br'));
  expect(files).toHaveLength(1);
  return (await stat(join(SCRIPTS, files[0] ?? ''))).size;
}

test.each([
  ['entry', 250 * kB],
  ['rest', 587 * kB],
  // Seventeen families with what owners say for each complaint and how people go on from each fault; they come after the first screen.
  ['operations', 332 * kB],
  ['scan', 127 * kB],
])('the script %s weighs no more than %i bytes on the wire', async (name, most) => {
  const bytes = await packed(name);
  expect(bytes).toBeGreaterThan(kB);
  expect(bytes).toBeLessThanOrEqual(most);
});

test('before the first screen comes one script, and no piece that others share', async () => {
  const html = await readFile(join(DIST, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/<script[^>]*src="[^"]*\/([a-z_-]+)-[0-9a-f]+\.js"/g)].map(([, name]) => name);
  expect(scripts).toEqual(['entry']);
});

test('the faces and the page before the app are small', async () => {
  const fonts = await Promise.all(
    (await readdir(join(DIST, 'fonts'))).filter((name) => name.endsWith('.woff2')).map((name) => stat(join(DIST, 'fonts', name))),
  );
  expect(fonts.reduce((sum, { size }) => sum + size, 0)).toBeLessThanOrEqual(90 * kB);
  expect((await stat(join(DIST, 'index.html.br'))).size).toBeLessThanOrEqual(2 * kB);
});

test('the offline worker keeps scripts under their own names, as the browser keeps them compiled only so', async () => {
  const worker = await readFile(join(DIST, 'sw.js'), 'utf8');
  const [, revision] = /url:"[^"]*\/entry-[0-9a-f]+\.js",revision:([^}]+)}/.exec(worker) ?? [];
  expect(revision).toBe('null');
});
