const stripTypes = { useESM: true, diagnostics: false, tsconfig: 'tsconfig.jest.json' }

/** Jest in native ESM; types are checked by tsc, so ts-jest only strips them. */
export default {
  testEnvironment: 'node',
  roots: ['core/src', 'server/src', 'web/src', 'stand-ins/src', 'demo/src', 'bench/src'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx', '.css'],
  transform: {
    '\\.css$': '<rootDir>/tools/lib/cssModules.cjs',
    '/core/src/pictures/.+\\.ts$': ['<rootDir>/tools/lib/quickGlobals.mjs', stripTypes],
    '^.+\\.tsx?$': ['ts-jest', stripTypes],
  },
  globalSetup: './server/src/testing/beforeTests.mjs',
  globalTeardown: './server/src/testing/afterTests.mjs',
  // Both cores: by itself Jest leaves one for the screen.
  maxWorkers: 2,
  testTimeout: 60_000,
}
