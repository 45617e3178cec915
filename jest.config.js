/** Jest in native ESM over bundles; types are checked by tsc. */
export default {
  testEnvironment: 'node',
  roots: ['core/src', 'server/src', 'web/src', 'stand-ins/src', 'demo/src', 'bench/src', 'tools/src'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '\\.test\\.tsx?$': '<rootDir>/tools/lib/bundledTest.mjs' },
  globalSetup: './tools/lib/beforeTests.mjs',
  globalTeardown: './tools/lib/afterTests.mjs',
  // Both cores: by itself Jest leaves one for the screen.
  maxWorkers: 2,
  testTimeout: 60_000,
}
