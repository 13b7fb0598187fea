/** Core and server are tested in Node, fields and lists in jsdom; the browser is Playwright's. */
export default {
  testEnvironment: 'node',
  testTimeout: 60_000 * Number(process.env.PROPERTY_TIMES ?? 1),
  testSequencer: '<rootDir>/slow-first.mjs',
  sandboxInjectedGlobals: [
    'Math',
    'Number',
    'Object',
    'Array',
    'Set',
    'WeakMap',
    'String',
    'Error',
    'JSON',
    'Reflect',
  ],
  roots: [
    '<rootDir>/core/src',
    '<rootDir>/web',
    '<rootDir>/cli',
    '<rootDir>/demo',
    '<rootDir>/bench',
  ],
  testMatch: ['**/*.test.{ts,tsx}'],
  setupFiles: ['<rootDir>/seed-for-tests.mjs', '<rootDir>/web/ui/setup-for-tests.mjs'],
  modulePathIgnorePatterns: ['<rootDir>/web/.next'],
  transform: {
    '^.+\\.[mc]?[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(nanoid|d3-contour|d3-array|internmap)/)'],
  moduleNameMapper: {
    '^@echo-loom/core$': '<rootDir>/core/src/index.ts',
    '^@echo-loom/core/signal$': '<rootDir>/core/src/signal/index.ts',
    '\\.module\\.css$': 'identity-obj-proxy',
    '^@/(.*)$': '<rootDir>/web/$1',
  },
};
