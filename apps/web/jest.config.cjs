const preset = require('jest-expo/web/jest-preset.js');

// What Babel takes a minute for on a machine that has seen nothing yet, takes seconds; class names style nothing in tests.
const transform = {
  ...preset.transform,
  '\\.[jt]sx?$': [
    '@swc/jest',
    {
      jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022', transform: { react: { runtime: 'automatic' } } },
      module: { type: 'commonjs' },
    },
  ],
};

// Babel writes this into the code.
process.env.EXPO_OS = 'web';

module.exports = {
  displayName: 'screens',
  preset: 'jest-expo/web',
  transform,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  moduleNameMapper: {
    '^react-native$': '<rootDir>/../../node_modules/react-native-web',
    '^lucide-react-native/icons/(.*)$': '<rootDir>/../../node_modules/lucide-react-native/dist/cjs/icons/$1.js',
    // Some of their module files end on .mjs, which the preset does not transform.
    '^(d3-[a-z-]+)$': '<rootDir>/../../node_modules/$1/dist/$1.min.js',
    '\\.css$': '<rootDir>/src/testing/empty.js',
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(.pnpm|expo|@expo|react-native|@react-native|nativewind|react-native-css-interop|lucide-react-native|uuid|idb-keyval|@patient-badger|fake-indexeddb|@tanstack|comlink|standard-navigation|expo-router|perfect-freehand|d3-|earcut|internmap|@noble|stemmer)).*',
  ],
};
