import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createPool, PoolBusy, PoolLate, type Pool } from './pool.ts';

const folder = mkdtempSync(join(tmpdir(), 'pool-'));
const moduleOf = (name: string, code: string) => {
  const path = join(folder, `${name}.mjs`);
  writeFileSync(path, code);
  return pathToFileURL(path);
};
const pools: Pool<{ n: number }, { n: number }>[] = [];
const poolOf = (code: string, limits: Partial<Parameters<typeof createPool>[1]> = {}) => {
  const made = createPool<{ n: number }, { n: number }>(moduleOf(`m${pools.length}`, code), {
    threads: 1,
    queue: 1,
    deadlineMs: 10_000,
    ...limits,
  });
  pools.push(made);
  return made;
};
afterAll(() => Promise.all(pools.map((each) => each.close())));

test('what a module works out comes back as data, and its thread remembers', async () => {
  const pool = poolOf('let count = 0; export const work = ({ n }) => ({ n: n + count++ });');
  expect([await pool.run({ n: 10 }), await pool.run({ n: 10 })]).toEqual([{ n: 10 }, { n: 11 }]);
});

test('so many at once, so many waiting, and the next is turned away', async () => {
  const pool = poolOf('export const work = ({ n }) => new Promise((done) => setTimeout(() => done({ n }), 300));');
  await pool.run({ n: 0 });
  const asked = await Promise.allSettled([1, 2, 3].map((n) => pool.run({ n })));
  expect(asked.map((each) => (each.status === 'fulfilled' ? each.value.n : each.reason instanceof PoolBusy))).toEqual([1, 2, true]);
});

test('who takes too long is ended and said to be late, and the next is served', async () => {
  const pool = poolOf('export const work = ({ n }) => { for (;;) if (n !== 0) return { n }; };', { deadlineMs: 2500 });
  await expect(pool.run({ n: 0 })).rejects.toBeInstanceOf(PoolLate);
  expect(await pool.run({ n: 4 })).toEqual({ n: 4 });
});

test('work that breaks is its own error', async () => {
  const pool = poolOf("export const work = () => { throw new Error('a tooth is gone'); };");
  await expect(pool.run({ n: 1 })).rejects.toThrow('a tooth is gone');
});

test('a deadline counts from when the work begins: waiting for a turn, and for a thread to come up, costs nothing of it', async () => {
  const pool = poolOf('export const work = ({ n }) => new Promise((done) => setTimeout(() => done({ n }), 600));', {
    deadlineMs: 1500,
    queue: 5,
  });
  // The last of them waits for three seconds before it begins.
  expect(await Promise.all([1, 2, 3, 4, 5, 6].map((n) => pool.run({ n })))).toEqual([1, 2, 3, 4, 5, 6].map((n) => ({ n })));
});
