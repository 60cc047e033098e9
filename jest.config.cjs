const node = (displayName, roots, more = {}) => ({
  displayName,
  rootDir: __dirname,
  roots: roots.map((each) => `<rootDir>/${each}`),
  testMatch: ['**/*.test.ts'],
  testEnvironment: 'node',
  transform: { '\\.[jt]s$': ['babel-jest', { configFile: `${__dirname}/babel.config.cjs` }] },
  // Packages that ship as ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(@patient-badger|content-disposition|cookie|fastify-plugin)/)'],
  ...more,
});

module.exports = {
  projects: [
    node('core', ['packages']),
    node('server', ['apps/server/src']),
    '<rootDir>/apps/web/jest.config.cjs',
    node('browser', ['e2e']),
  ],
};
