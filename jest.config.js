export default {
  testEnvironment: './tools/jest-environment.mjs',
  maxWorkers: 2,
  testTimeout: 300_000,
  testMatch: ['**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/', '/.cache/'],
  modulePathIgnorePatterns: ['/dist/', '/.cache/'],
  // Every test file would load the sentences of all languages.
  moduleNameMapper: {
    '^\\.\\./locales/index\\.js$': '<rootDir>/node_modules/zod/v4/locales/en.js',
  },
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } },
    ],
  },
};
