const node = (displayName, roots, more = {}) => ({
  displayName,
  rootDir: __dirname,
  roots: roots.map((each) => `<rootDir>/${each}`),
  testMatch: ['**/*.test.ts'],
  testEnvironment: 'node',
  transform: { '\\.[jt]s$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }] },
  // Packages that ship as ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(@patient-badger|content-disposition|cookie|earcut|fastify-plugin|stemmer)/)'],
  ...more,
});

// Sums over pixels look these up millions of times, and each look-up would leave the test's sandbox.
const sandboxInjectedGlobals = ['Math', 'Float32Array', 'Float64Array', 'Uint8ClampedArray', 'Array'];

// One database with the made-up shop, of which each test takes a copy.
const globalSetup = `${__dirname}/apps/server/src/testFilled.ts`;

module.exports = {
  // A server on a fresh database takes its seconds where the machine is shared.
  testTimeout: 30_000,
  projects: [
    node('core', ['packages'], { sandboxInjectedGlobals }),
    node('server', ['apps/server/src'], { globalSetup }),
    '<rootDir>/apps/web/jest.config.cjs',
    node('browser', ['e2e'], { sandboxInjectedGlobals, globalSetup }),
  ],
};
