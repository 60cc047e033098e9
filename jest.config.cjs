const node = (displayName, roots, more = {}) => ({
  displayName,
  rootDir: __dirname,
  roots: roots.map((each) => `<rootDir>/${each}`),
  testMatch: ['**/*.test.ts'],
  testEnvironment: 'node',
  transform: { '\\.[jt]s$': ['babel-jest', { configFile: `${__dirname}/babel.config.cjs` }] },
  // Packages that ship as ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(@patient-badger|content-disposition|cookie|earcut|fastify-plugin)/)'],
  ...more,
});

// Sums over pixels look these up millions of times, and each look-up would leave the test's sandbox.
const sandboxInjectedGlobals = ['Math', 'Float32Array', 'Float64Array', 'Uint8ClampedArray', 'Array'];

module.exports = {
  // A server on a fresh database takes its seconds where the machine is shared.
  testTimeout: 30_000,
  projects: [
    node('core', ['packages'], { sandboxInjectedGlobals }),
    node('server', ['apps/server/src']),
    '<rootDir>/apps/web/jest.config.cjs',
    node('browser', ['e2e'], { sandboxInjectedGlobals }),
  ],
};
