export default {
  roots: ['<rootDir>/.cache/unit'],
  testMatch: ['**/*.test.mjs'],
  testEnvironment: './tools/jest-environment.mjs',
  maxWorkers: 2,
  testTimeout: 300_000,
  // Test files come bundled: tools/unit.mjs
  transform: {},
};
