import { register } from 'node:module'

register('./tools/page-hooks.mjs', import.meta.url)

/**
 * All tests run in Node as it is, the modules of a project loaded once for all its files, in one process: the runner's own
 * helpers wait for each other for ever now and then. Start jest with `--import tsx` and `--runInBand`.
 */
const project = (name, more = {}) => ({
  displayName: name,
  rootDir: import.meta.dirname,
  testMatch: [`<rootDir>/${name}/**/*.test.ts`],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  runner: 'jest-light-runner',
  transform: {},
  ...more,
})

export default {
  // A database that has to start and stop takes its time on a busy machine.
  testTimeout: 60_000,
  maxWorkers: 2,
  projects: [
    project('core', {
      testMatch: ['<rootDir>/contract/**/*.test.ts', '<rootDir>/core/**/*.test.ts', '<rootDir>/demo/**/*.test.ts'],
    }),
    project('server', {
      globalSetup: '<rootDir>/server/testing/database.mjs',
      globalTeardown: '<rootDir>/server/testing/stop-database.mjs',
    }),
    project('web'),
    project('tools'),
  ],
}
