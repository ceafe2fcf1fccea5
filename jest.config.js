const swc = ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } }]

const project = (name, more = {}) => ({
  displayName: name,
  rootDir: import.meta.dirname,
  testMatch: [`<rootDir>/${name}/**/*.test.ts`],
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  transform: { '^.+\\.ts$': swc, '^.+\\.vue$': '<rootDir>/tools/vue-jest.mjs' },
  moduleNameMapper: { '^@zucchini/(core|demo)/(.*)$': '<rootDir>/$1/$2/index.ts' },
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  ...more,
})

export default {
  // A database that has to start and stop takes its time on a busy machine.
  testTimeout: 60_000,
  maxWorkers: 2,
  projects: [
    project('core'),
    project('demo'),
    project('server', {
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
