const swc = ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } }]

const project = (name, more = {}) => ({
  displayName: name,
  rootDir: import.meta.dirname,
  testMatch: [`<rootDir>/${name}/**/*.test.ts`],
  extensionsToTreatAsEsm: ['.ts', '.vue', '.md', '.css'],
  transform: {
    '^.+\\.ts$': swc,
    '^.+\\.vue$': '<rootDir>/tools/vue-jest.mjs',
    '^.+\\.(?:md|css)$': '<rootDir>/tools/text-jest.mjs',
  },
  moduleNameMapper: {
    '(.*\\.(?:md|css))\\?raw$': '$1',
    '^@zucchini/contract$': '<rootDir>/contract/index.ts',
    '^@zucchini/(core|demo)/(.*)$': '<rootDir>/$1/$2/index.ts',
  },
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  ...more,
})

/**
 * Code with no page and no mocks runs in Node as it is, its modules loaded once for all files. One project, in one
 * process: the
 * runner's own helpers wait for each other for ever now and then. Start jest with `--import tsx` and `--runInBand` for
 * it.
 */
const plain = project('core', {
  testMatch: ['<rootDir>/contract/**/*.test.ts', '<rootDir>/core/**/*.test.ts', '<rootDir>/demo/**/*.test.ts'],
  runner: 'jest-light-runner',
  transform: {},
})

export default {
  // A database that has to start and stop takes its time on a busy machine.
  testTimeout: 60_000,
  maxWorkers: 2,
  projects: [
    plain,
    project('server', {
      runner: 'jest-light-runner',
      transform: {},
      globalSetup: '<rootDir>/server/testing/database.mjs',
      globalTeardown: '<rootDir>/server/testing/stop-database.mjs',
    }),
    project('web', {
      testEnvironment: 'jsdom',
      testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
      setupFiles: ['<rootDir>/web/testing/setup.ts'],
    }),
    project('tools'),
  ],
}
