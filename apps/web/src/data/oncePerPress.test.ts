import { oncePerPress } from './oncePerPress.ts';

/** Work that ends when it is told to, and what was begun and ended so far. */
function bench() {
  const seen: string[] = [];
  const ends = new Map<string, (wrong?: Error) => void>();
  const work = (name: string) => () => {
    seen.push(`${name} begun`);
    return new Promise<string>((resolve, reject) => {
      ends.set(name, (wrong) => (wrong ? reject(wrong) : resolve(name)));
    });
  };
  const turn = () => new Promise((resolve) => setTimeout(resolve));
  const end = async (name: string, wrong?: Error) => {
    await turn();
    ends.get(name)?.(wrong);
    await turn();
  };
  return { seen, work, end };
}

test('the same press twice is written once; pressed again later it is written again', async () => {
  const { seen, work, end } = bench();
  const run = oncePerPress();
  const first = run('a', work('a'));
  expect(await run('a', work('a'))).toBeNull();
  await end('a');
  expect(await first).toBe('a');
  const again = run('a', work('a'));
  await end('a');
  expect(await again).toBe('a');
  expect(seen).toEqual(['a begun', 'a begun']);
});

test('another press waits its turn and is not lost', async () => {
  const { seen, work, end } = bench();
  const run = oncePerPress();
  const first = run('a', work('a'));
  const second = run('b', work('b'));
  expect(await run('b', work('b'))).toBeNull();
  await new Promise((resolve) => setTimeout(resolve));
  expect(seen).toEqual(['a begun']);
  await end('a');
  expect(seen).toEqual(['a begun', 'b begun']);
  await end('b');
  expect([await first, await second]).toEqual(['a', 'b']);
});

test('there and back while the first is kept: the last press stands', async () => {
  const { seen, work, end } = bench();
  const run = oncePerPress();
  const all = [run('a', work('a')), run('b', work('b')), run('a', work('a'))];
  for (const name of ['a', 'b', 'a']) await end(name);
  expect(await Promise.all(all)).toEqual(['a', 'b', 'a']);
  expect(seen).toEqual(['a begun', 'b begun', 'a begun']);
});

test('what failed is told to who pressed it, and the next one runs', async () => {
  const { work, end } = bench();
  const run = oncePerPress();
  const first = run('a', work('a'));
  const told = expect(first).rejects.toThrow('no room');
  const second = run('b', work('b'));
  await end('a', new Error('no room'));
  await told;
  await end('b');
  expect(await second).toBe('b');
});
