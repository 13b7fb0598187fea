import source from './jest.config.mjs';

/** All unit tests as `bin/test` runs them, with core bundled once by `bundle-tests.mjs`. One alone: `npx jest FILE`. */
const { moduleNameMapper, roots, ...forWeb } = source;
delete forWeb.testSequencer;
delete forWeb.testTimeout;

export default {
  testSequencer: '<rootDir>/slow-first.mjs',
  testTimeout: source.testTimeout,
  projects: [
    {
      displayName: 'core',
      // No sandbox a file: nothing here touches what is global, and a worker keeps what it has loaded.
      runner: 'jest-light-runner',
      roots: ['<rootDir>/.local/unit/tests'],
      testMatch: ['**/*.test.mjs'],
      setupFiles: ['<rootDir>/seed-for-tests.mjs'],
      transform: {},
    },
    {
      ...forWeb,
      displayName: 'web',
      roots: roots.filter((root) => root.endsWith('/web')),
      moduleNameMapper: {
        ...moduleNameMapper,
        '^@echo-loom/core$': '<rootDir>/.local/unit/core/core.cjs',
        '^@echo-loom/core/signal$': '<rootDir>/.local/unit/core/signal.cjs',
      },
    },
  ],
};
