import { readConfig } from './config.ts';

const DATABASE_URL = 'postgres://badger@127.0.0.1:5432/badger';

test('listens on loopback unless told otherwise', () => {
  expect(readConfig({ DATABASE_URL })).toMatchObject({ HOST: '127.0.0.1', PORT: 4173 });
});

test.each([
  [{}, /DATABASE_URL is missing/],
  [{ DATABASE_URL: 'mysql://x' }, /must begin with postgres/],
  [{ DATABASE_URL, PORT: 'ninety' }, /PORT must be a number/],
  [{ DATABASE_URL, PORT: '70000' }, /65535 or less/],
  [{ DATABASE_URL, LOG_LEVEL: 'loud' }, /LOG_LEVEL must be/],
  [{ DATABASE_URL, STATIC_DIR: '/nowhere/at/all' }, /STATIC_DIR holds no index.html/],
  [{ DATABASE_URL, SEED_DEMO: 'yes' }, /SEED_DEMO must be 1/],
])('refuses %j with a sentence', (env, words) => {
  expect(() => readConfig(env)).toThrow(words);
});
