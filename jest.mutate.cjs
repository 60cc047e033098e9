/** Jest as the mutation run sees it: one project at a time, chosen by MUTATE_PROJECT. */
const { projects } = require('./jest.config.cjs');

const chosen = projects.find((each) => each.displayName === (process.env.MUTATE_PROJECT ?? 'core'));
const { testMatch, ...rest } = chosen;
module.exports = {
  ...rest,
  ...(process.env.MUTATE_TESTS ? { testRegex: [process.env.MUTATE_TESTS] } : { testMatch }),
  rootDir: process.cwd(),
  testTimeout: 30_000,
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
};
