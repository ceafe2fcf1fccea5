// npm test: every check there is, on a machine that has nothing but Node. Ends with "N passed, N failed".
import { spawn } from 'node:child_process'
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildAll, root } from './build.mjs'
import { runDatabase } from './database.mjs'
import { checkNode, ensureProgram } from './machine.mjs'
import { ensurePackages } from './packages.mjs'
import { fail, say, seconds, Stop } from './say.mjs'

const only = new Set(process.argv.slice(2))
const wanted = (name) => only.size === 0 || only.has(name)
const bin = (path) => join(root, 'node_modules', path)

const run = (args, env = {}) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, args, { cwd: root, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] })
    let output = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk))
    child.once('close', (code) => resolve({ code, output }))
  })

const tally = { passed: 0, failed: 0 }
const note = (name, since, passed, failed, output = '') => {
  tally.passed += passed
  tally.failed += failed
  say(`${failed === 0 ? 'ok  ' : 'FAIL'} ${name}: ${passed} passed, ${failed} failed (${seconds(since)})`)
  if (failed > 0) say(output)
}

/** A check that either holds or does not. */
const single = async (name, args) => {
  const since = Date.now()
  const { code, output } = await run(args)
  note(name, since, code === 0 ? 1 : 0, code === 0 ? 0 : 1, output)
}

/** A runner that writes its counts to a file; without that file it failed as a whole. */
const counted = async (name, args, env, file, count) => {
  const since = Date.now()
  rmSync(file, { force: true })
  const { code, output } = await run(args, env)
  if (!existsSync(file)) return note(name, since, 0, 1, output)
  const { passed, failed } = count(JSON.parse(readFileSync(file, 'utf8')))
  note(name, since, passed, code !== 0 && failed === 0 ? 1 : failed, output)
}

const statics = async () => {
  if (wanted('types')) {
    await single('types: core', [bin('typescript/bin/tsc'), '-p', 'core/tsconfig.json'])
    await single('types: server, demo, tools, tests', [bin('typescript/bin/tsc'), '-p', 'tsconfig.json'])
    await single('types: web', [bin('vue-tsc/bin/vue-tsc.js'), '--noEmit', '-p', 'web/tsconfig.json'])
  }
  if (wanted('lint')) {
    await single('lint', [bin('eslint/bin/eslint.js'), '.'])
    await single('format', [bin('prettier/bin/prettier.cjs'), '--check', '.', '--log-level', 'warn'])
  }
}

const unit = async (database, scratch) => {
  const file = join(scratch, 'jest.json')
  await counted(
    'unit, property and server',
    ['--experimental-vm-modules', '--no-warnings', bin('jest/bin/jest.js'), '--json', `--outputFile=${file}`],
    { TEST_DATABASE_URL: database.url('zucchini_test') },
    file,
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    }),
  )
}

const browser = async (database, scratch) => {
  await buildAll()
  const file = join(scratch, 'playwright.json')
  const env = {
    E2E_DATABASE_URL: database.url('zucchini_e2e'),
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    CHROMIUM: ensureProgram('chromium', ['chromium']),
  }
  await counted(
    'browser',
    [bin('@playwright/test/cli.js'), 'test', '-c', 'e2e/playwright.config.ts', '--reporter=json,line'],
    env,
    file,
    ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
  )
}

const main = async () => {
  const since = Date.now()
  checkNode()
  for (const name of only)
    if (!['types', 'lint', 'unit', 'browser'].includes(name))
      throw new Stop(`"${name}" is no part of the tests. Known: types, lint, unit, browser.`)
  ensurePackages(root)
  if (wanted('browser')) ensureProgram('chromium', ['chromium'])
  const scratch = mkdtempSync(join(tmpdir(), 'zucchini-test-'))
  chmodSync(scratch, 0o755)
  const database =
    wanted('unit') || wanted('browser')
      ? await runDatabase({ dir: join(scratch, 'db'), databases: ['zucchini_test_1', 'zucchini_test_2', 'zucchini_e2e'] })
      : undefined
  const end = async () => {
    await database?.stop()
    rmSync(scratch, { recursive: true, force: true })
  }
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void end().then(() => process.exit(130)))
  try {
    await Promise.all([
      statics(),
      (async () => {
        if (wanted('unit')) await unit(database, scratch)
        if (wanted('browser')) await browser(database, scratch)
      })(),
    ])
  } finally {
    await end()
  }
  say(`All of it took ${seconds(since)}.`)
  say(`${tally.passed} passed, ${tally.failed} failed`)
  process.exit(tally.failed === 0 && tally.passed > 0 ? 0 : 1)
}

main().catch(fail)
