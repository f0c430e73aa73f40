export default {
  testEnvironment: 'node',
  // No test may fail because the machine is slow: the limit only ends a test that hangs.
  testTimeout: 300_000,
  // Property tests draw small samples unless `npm run test:long` asks for the full ones (core/fixtures/samples.ts).
  globals: { LONG_TESTS: process.env.LONG_TESTS === '1' },
  // Looked up by name, it is slow inside a test's own world; handed in, the sums run as fast as in the app.
  sandboxInjectedGlobals: ['Math'],
  // Every file of tests would compile the error texts of fifty languages, and be swept property by property after it.
  testEnvironmentOptions: { globalsCleanup: 'off' },
  testMatch: ['<rootDir>/{core,library,app,server,demo}/**/*.test.ts'],
  transform: {
    '^.+\\.m?(t|j)sx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
  },
  // These ship ES modules only, so they are transformed like our own code.
  transformIgnorePatterns: [
    '/node_modules/(?!(pinia|d3-shape|d3-path|fast-png|tiff|iobuffer|nostics|uuid|@noble/hashes|culori|@vue/devtools-[a-z]+|birpc|hookable|perfect-debounce)/)',
  ],
  moduleNameMapper: {
    '^\\.\\./locales/index\\.cjs$': '<rootDir>/node_modules/zod/v4/locales/en.cjs',
    '\\?worker&url$': '<rootDir>/app/workers/workerUrl.stub.ts',
    '^\\./fontBytes$': '<rootDir>/app/kit/fontBytes.node.ts',
    '^\\./vips$': '<rootDir>/app/workers/vips.node.ts',
    '^@core/(.*)$': '<rootDir>/core/$1',
    '^@library/(.*)$': '<rootDir>/library/$1',
    '^@demo/(.*)$': '<rootDir>/demo/$1',
  },
}
