import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../../..');
const text = (path: string) => readFileSync(join(ROOT, path), 'utf8');
const DOCUMENTS = [
  'README.md',
  'CONTRIBUTING.md',
  ...readdirSync(join(ROOT, 'docs'), { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('.md'))
    .map((path) => `docs/${path}`),
];
const { scripts } = JSON.parse(text('package.json')) as { scripts: Readonly<Record<string, string>> };

/** What stands between backticks, line by line of commands too. */
const quoted = (of: string): readonly string[] => [
  ...[...of.matchAll(/`([^`\n]+)`/g)].map(([, words = '']) => words),
  ...[...of.matchAll(/```[a-z]*\n([\s\S]*?)```/g)].flatMap(([, lines = '']) => lines.split('\n')),
];
/** A path of the house, where it begins with one of its rooms or names a file of the core by its folder. */
const ROOMS = /^(?:packages|apps|scripts|bench|docs|e2e|\.ci)\/[\w./[\]{},-]+$/;
const FILE_OF_CORE = /^[a-z]+(?:\/[\w]+)*\/[\w]+\.ts$/;
/** What a build or a run lays down, and what has a place filled in. */
const NOT_KEPT = /dist\/|\.data|\.cache|test-output|\{|\*|…|NAME|FILE|ID\.|<|X\.|\[/;

const isThere = (path: string): boolean =>
  existsSync(join(ROOT, path.replace(/[#:].*$/, ''))) ||
  [
    'apps/web',
    'packages/core',
    'packages/core/src',
    'apps/server/src',
    'apps/web/src',
    'packages/wording/src',
    'packages/contract/src',
    'packages/knowledge/src',
  ].some((root) => existsSync(join(ROOT, root, path)));

test.each(DOCUMENTS)('%s names files that are there', (document) => {
  const named = quoted(text(document)).filter((words) => (ROOMS.test(words) || FILE_OF_CORE.test(words)) && !NOT_KEPT.test(words));
  expect(named.filter((path) => !isThere(path))).toEqual([]);
});

test.each(DOCUMENTS)('%s links to what is there', (document) => {
  const folder = join(ROOT, document, '..');
  const links = [...text(document).matchAll(/\]\((?!https?:|#|mailto:)([^)\s]+)\)/g)].map(([, to = '']) => to.replace(/#.*$/, ''));
  expect(links.filter((to) => to !== '' && !existsSync(join(folder, to)))).toEqual([]);
});

test.each(DOCUMENTS)('%s names commands that there are', (document) => {
  const commands = [...text(document).matchAll(/npm run (?:-s )?([\w:-]+)/g)].map(([, name = '']) => name);
  expect(commands.filter((name) => !(name in scripts))).toEqual([]);
});

const DECISIONS = DOCUMENTS.filter((path) => path.startsWith('docs/decisions/'));

test.each(DECISIONS)('%s says what was decided, why, and at what price', (document) => {
  const words = text(document);
  expect(words).toMatch(/^# [A-Z“][^\n]+\n\n[^*#\s]/);
  expect(words.match(/\*\*Why\.\*\*/g)).toHaveLength(1);
  expect(words.match(/\*\*Price\.\*\*/g)).toHaveLength(1);
});

test('a decision that replaces another is named by that one', () => {
  for (const document of DECISIONS) {
    const [, replaced] = /\*\*Replaces\*\*[^\n]*?\((\d{3}[\w-]+\.md)\)/.exec(text(document)) ?? [];
    if (replaced)
      expect([replaced, text(`docs/decisions/${replaced}`)]).toEqual([replaced, expect.stringContaining(document.split('/').at(-1) ?? '')]);
  }
});
