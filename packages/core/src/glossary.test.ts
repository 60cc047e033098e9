import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const CORE = import.meta.dirname;
const GLOSSARY = join(CORE, '../../../docs/glossary.md');

/** What a type is, in the words of the language, geometry, statistics and the web: these need no entry. */
const PLAIN = `answer answers attribute attributes back calculation campaign case cause cell change chance code column comparison
  correction count cross data dimension dimensions drive draft entry estimate expected facts field file flank frame free generated
  given id identification identify identified information input integral json kind length letter likelihood line link list
  logged loop loops log machine made mapping measured measurement method name names option options order outline output outputs
  pack part payload place plan plane point possible problem progress question radial extent rank ranked read readable reason
  record report request requirements result ring rule run running sample scale schema series session shape shop side sized
  size solid solution spec specification standing state statistics status stop swap system table target text token tooth train
  transfer type unit use value vocabulary while why width write written x y z`.split(/\s+/);

const stem = (word: string): string =>
  word
    .toLowerCase()
    .replace(/ies$/, 'y')
    .replace(/(?<=\w{3})(?:s|ed)$/, '');
const plain = new Set(PLAIN.map(stem));

const sources = readdirSync(CORE, { recursive: true, encoding: 'utf8' }).filter(
  (path) => path.endsWith('.ts') && !path.endsWith('.test.ts'),
);
const types = new Set(
  sources.flatMap((path) =>
    [...readFileSync(join(CORE, path), 'utf8').matchAll(/^export (?:type|interface) (\w+)/gm)].map(([, name = '']) => name),
  ),
);
const entries = readFileSync(GLOSSARY, 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('|'))
  .map((line) => line.split('|')[1] ?? '');
const known = new Set(entries.flatMap((entry) => entry.match(/[A-Za-z]+/g) ?? []).map(stem));

test('the types of the core are read', () => expect(types.size).toBeGreaterThan(250));

test.each([...types].sort())('%s is made of words of the glossary, or of words that need no entry', (type) => {
  const words = type.match(/[A-Z][a-z]*/g) ?? [];
  expect(words.filter((word) => !known.has(stem(word)) && !plain.has(stem(word)))).toEqual([]);
});

test('a type is a noun: no participle of asking, telling, making or finding stands for one', () => {
  expect(
    [...types].filter((type) => /^(?:Asked|Told|Begun|Read|Made|Found|Before|Given|Taken|Shown|Kept|Learnt|Worked)$/.test(type)),
  ).toEqual([]);
});
