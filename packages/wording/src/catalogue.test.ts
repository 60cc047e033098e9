import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { catalogue } from './catalogue.ts';

const FOLDER = join(import.meta.dirname, 'en');

/** Ways of saying it that no mechanic does, each with what is said instead. */
const NOT_USED: readonly (readonly [RegExp, string])[] = [
  [/whose figure/i, 'source'],
  [/in for one out/i, 'ratio'],
  [/^it shows, /i, 'indicator reading'],
  [/shall hold by/i, 'interference wanted'],
  [/wants something|it wants again/i, 'service interval'],
  [/of a hundred/i, 'per cent'],
  [/as one number/i, 'enter …'],
  [/nothing can be said/i, 'what is to be done first'],
  [/were of something else/i, 'try another material'],
  [/\d(?:\.\d+)?e[+-]?\d/, 'a figure without an exponent'],
  [/\bshall\b/i, 'must, or the plain verb'],
  [/in 1 days|\b1 (?:days|teeth|starts|steps|parts)\b/, 'one of a thing'],
];

type Entry = string | ((...values: string[]) => string);
const textsOf = (of: Readonly<Record<string, unknown>>): readonly (readonly [string, string])[] =>
  Object.entries(of).flatMap(([name, value]) => {
    if (typeof value !== 'object' || value === null) return [];
    return Object.entries(value as Record<string, Entry>).flatMap(([key, entry]) => {
      if (typeof entry === 'string') return [[`${name}.${key}`, entry] as const];
      return typeof entry === 'function' && !['reasonWords', 'TEXTS'].includes(name) ? [[`${name}.${key}`, worded(entry)] as const] : [];
    });
  });

/** A sentence with something in its places; one that wants figures of its own kind is worded where it is tested. */
function worded(entry: (...values: string[]) => string): string {
  try {
    return entry('2', '3', '4', '5', '6', '7', '8');
  } catch {
    return '';
  }
}

const areas = readdirSync(FOLDER).filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'));

test.each(areas)('%s says it as it is said at a bench', async (file) => {
  const texts = textsOf((await import(join(FOLDER, file))) as Record<string, unknown>);
  const found = texts.flatMap(([key, text]) =>
    NOT_USED.filter(([pattern]) => pattern.test(text)).map(([, instead]) => [key, text, instead]),
  );
  expect(found).toEqual([]);
});

test('there are words in every area, and a thousand in all', async () => {
  const counts = await Promise.all(
    areas.map(async (file) => textsOf((await import(join(FOLDER, file))) as Record<string, unknown>).length),
  );
  expect(counts.reduce((sum, count) => sum + count, 0)).toBeGreaterThan(1000);
});

describe('the pseudo-language', () => {
  const words = { kept: 'Kept', count: (teeth: number) => `${teeth} teeth`, both: (one: string, other: string) => `${one} and ${other}` };
  beforeAll(() => void (globalThis.pseudoLanguage = true));
  afterAll(() => void (globalThis.pseudoLanguage = undefined));

  test('is a third longer, and by its letters: nothing is broken that did not break before', () => {
    const { kept, count } = catalogue(words);
    for (const [text, plain] of [
      [kept, 'Kept'],
      [count(41), '41 teeth'],
      [catalogue({ hm: 'Hm' }).hm, 'Hm'],
    ] as const) {
      const grown = text.replaceAll(/[⟦⟧]/g, '');
      expect(grown.length).toBeGreaterThanOrEqual(Math.ceil(1.3 * plain.length));
      expect(grown.split(' ')).toHaveLength(plain.split(' ').length);
    }
  });

  test('a word that is put into a sentence does not grow twice', () => {
    const { both } = catalogue(words);
    const { rack, worm } = catalogue({ rack: 'rack', worm: 'worm' });
    expect(both(rack, worm)).toContain(rack.slice(1, -1));
    expect(both(rack, worm)).toContain(worm.slice(1, -1));
  });
});
