export default {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,library,app,server,demo}/**/*.test.ts'],
  transform: {
    '^.+\\.(t|j)sx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
  },
  // These ship ES modules only, so they are transformed like our own code.
  transformIgnorePatterns: ['/node_modules/(?!(pinia|@noble/hashes|fast-check|pure-rand)/)'],
  moduleNameMapper: {
    '^@core/(.*)$': '<rootDir>/core/$1',
    '^@library/(.*)$': '<rootDir>/library/$1',
    '^@demo/(.*)$': '<rootDir>/demo/$1',
  },
}
