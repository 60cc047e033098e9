import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { onThread } from './onThread.ts';

const folder = mkdtempSync(join(tmpdir(), 'thread-'));
const moduleOf = (name: string, code: string) => {
  const path = join(folder, `${name}.mjs`);
  writeFileSync(path, code);
  return pathToFileURL(path);
};

test('what a module works out on its thread comes back as data', async () => {
  const twice = moduleOf('twice', 'export const work = async ({ n }) => ({ twice: 2 * n });');
  expect(await onThread<{ n: number }, { twice: number }>(twice, { n: 21 })).toEqual({ twice: 42 });
});

test('a thread that breaks or takes too long is an error, and the answering thread lives on', async () => {
  const broken = moduleOf('broken', "export const work = () => { throw new Error('a tooth is gone'); };");
  await expect(onThread(broken, {})).rejects.toThrow('a tooth is gone');
  const endless = moduleOf('endless', 'export const work = () => { for (;;); };');
  await expect(onThread(endless, {}, { deadlineMs: 1500 })).rejects.toThrow('endless.mjs took longer than 1500 ms');
  const silent = moduleOf('silent', 'export const work = () => process.exit(3);');
  await expect(onThread(silent, {})).rejects.toThrow('ended with 3 and no answer');
});
