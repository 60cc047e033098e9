import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const CORE = join(import.meta.dirname, '..');
const doors = ['index.ts', ...readdirSync(import.meta.dirname).flatMap((name) => (name.endsWith('.test.ts') ? [] : [`doors/${name}`]))];

const namesOf = (door: string): readonly string[] =>
  [...readFileSync(join(CORE, door), 'utf8').matchAll(/\{([^}]*)\}/g)].flatMap(([, names = '']) =>
    names
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  );

test.each(doors)('the door %s names a hundred things or fewer, and no whole file', (door) => {
  expect(namesOf(door).length).toBeGreaterThan(5);
  expect(namesOf(door).length).toBeLessThanOrEqual(100);
  expect(readFileSync(join(CORE, door), 'utf8')).not.toContain('export *');
});

test('a thing is had by one door alone', () => {
  const names = doors.flatMap(namesOf).map((name) => name.replace(/^type /, ''));
  expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([]);
});
