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

/** The cores to keep busy. */
const AT_ONCE = 2

const only = new Set(process.argv.slice(2))
const wanted = (name) => only.size === 0 || only.has(name)
const bin = (path) => join(root, 'node_modules', path)

/** What has not ended by then never will: it is ended, and told as failed. */
const LONGEST_MIN = 25

const run = (args, env = {}) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let output = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk))
    const late = setTimeout(() => {
      output += `\nIt had not ended after ${LONGEST_MIN} minutes, and was ended.`
      child.kill('SIGTERM')
    }, LONGEST_MIN * 60_000)
    child.once('close', (code) => {
      clearTimeout(late)
      resolve({ code: code ?? 1, output })
    })
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

/** The slowest of a runner's tests are told, so that one sees where the time goes. */
const SLOWEST = 10
const slow = []
const noteSlow = (kind, name, ms) => slow.push({ kind, name, ms })
const tellSlowest = () => {
  for (const kind of new Set(slow.map((one) => one.kind))) {
    say(`The slowest ${kind} tests:`)
    const worst = slow.filter((one) => one.kind === kind).sort((a, b) => b.ms - a.ms)
    for (const { name, ms } of worst.slice(0, SLOWEST)) say(`  ${(ms / 1000).toFixed(1).padStart(6)} s  ${name}`)
  }
}

/** What failed is told once more at the very end, with why, where nobody has to look for it. */
const WHY = 1500
const broken = []
const noteBroken = (name, why) => broken.push({ name, why: String(why).slice(0, WHY) })
const tellBroken = () => {
  for (const { name, why } of broken) say(`Failed: ${name}\n${why}\n`)
}

/** The browser without its window: the same engine, quicker to start and to open a page. */
const BROWSER = ['chromium-headless-shell', ['chromium-headless-shell']]

const JEST = ['--import', 'tsx', '--no-warnings', bin('jest/bin/jest.js')]
const jestCount = (report) => {
  for (const suite of report.testResults) {
    for (const { fullName, duration } of suite.assertionResults) noteSlow('unit', fullName, duration ?? 0)
    for (const { fullName, failureMessages } of suite.assertionResults)
      if (failureMessages.length > 0) noteBroken(fullName, failureMessages.join('\n'))
    if (suite.status === 'failed' && suite.assertionResults.length === 0) noteBroken(suite.name, suite.message)
  }
  return { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }
}
const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)]
const browserCount = ({ stats, suites }) => {
  for (const { title, tests } of suites.flatMap(specsOf)) {
    const results = tests.flatMap((one) => one.results)
    noteSlow(
      'browser',
      title,
      results.reduce((sum, { duration }) => sum + duration, 0),
    )
    const errors = results.flatMap((one) => one.errors ?? [])
    if (errors.length > 0) noteBroken(title, errors.map(({ message }) => message).join('\n'))
  }
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky }
}

const unitTests = (name, args, env, scratch) => {
  const file = join(scratch, `jest-${name.replaceAll(/\W+/g, '-')}.json`)
  return counted(name, [...JEST, ...args, '--json', `--outputFile=${file}`], env, file, jestCount)
}

/** One of two halves of what has neither page nor database. */
const core = (half, scratch) => () =>
  unitTests(
    `unit and property: core and demo, half ${half}`,
    ['--selectProjects', 'core', '--runInBand', `--shard=${half}/2`],
    {},
    scratch,
  )

/** Unit tests of one or more projects, in a process of their own. */
const unit = (projects, database, scratch) => () =>
  unitTests(
    projects.join(' and '),
    // A page waits for its next look at the time as long as it is there, and a server's helpers may still begin when it
    // is closed: what is left once all tests are told keeps nobody waiting.
    ['--selectProjects', ...projects, '--runInBand', '--forceExit'],
    { TEST_DATABASE_URL: database.url('zucchini_test_1') },
    scratch,
  )

/** One of two halves of the browser tests, each with a server, a database and a browser of its own. */
const browser = (half, database, scratch) => async () => {
  const file = join(scratch, `playwright-${half}.json`)
  await counted(
    `browser, half ${half}`,
    [
      bin('@playwright/test/cli.js'),
      'test',
      '-c',
      'e2e/playwright.config.ts',
      `--shard=${half}/2`,
      '--reporter=json,line',
    ],
    {
      E2E_DATABASE_URL: database.url(`zucchini_e2e_${half}`),
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
      PLAYWRIGHT_OUTPUT: join(scratch, `results-${half}`),
      CHROMIUM: ensureProgram(...BROWSER),
    },
    file,
    browserCount,
  )
}

/** Real processes, a short share of the long trials. */
const trials = async () => {
  const since = Date.now()
  const { code, output } = await run([join(root, 'tools/trials.mjs'), '--short'])
  const [, passed = '0', failed = '1'] = /(\d+) held, (\d+) broken/.exec(output) ?? []
  note('trials, the short share', since, Number(passed), code === 0 ? 0 : Math.max(1, Number(failed)), output)
}

/** Everything there is to do, the longest first, so that both cores end at about the same time. */
const tasksOf = (database, scratch) => [
  ...(wanted('browser') ? [browser(1, database, scratch), browser(2, database, scratch)] : []),
  ...(wanted('unit')
    ? [
        unit(['server'], database, scratch),
        unit(['web', 'tools'], database, scratch),
        core(1, scratch),
        core(2, scratch),
      ]
    : []),
  ...(wanted('lint')
    ? [
        () => single('lint: scripts', [bin('oxlint/bin/oxlint'), '--type-aware', '.']),
        () => single('lint: templates', [bin('eslint/bin/eslint.js'), 'web/**/*.vue']),
      ]
    : []),
  ...(wanted('trials') ? [trials] : []),
  ...(wanted('types')
    ? [
        () => single('types: web', [bin('vue-tsc/bin/vue-tsc.js'), '--noEmit', '-p', 'web/tsconfig.json']),
        () => single('types: server, demo, tools, tests', [bin('typescript-native/bin/tsc'), '-p', 'tsconfig.json']),
        () => single('types: core', [bin('typescript-native/bin/tsc'), '-p', 'core/tsconfig.json']),
      ]
    : []),
  ...(wanted('lint')
    ? [() => single('format', [bin('prettier/bin/prettier.cjs'), '--check', '.', '--log-level', 'warn'])]
    : []),
]

const workOff = async (tasks) => {
  const waiting = [...tasks]
  const lane = async () => {
    for (let task = waiting.shift(); task; task = waiting.shift()) await task()
  }
  await Promise.all(Array.from({ length: AT_ONCE }, lane))
}

const main = async () => {
  const since = Date.now()
  checkNode()
  for (const name of only)
    if (!['types', 'lint', 'unit', 'browser', 'trials'].includes(name))
      throw new Stop(`"${name}" is no part of the tests. Known: types, lint, unit, browser, trials.`)
  ensurePackages(root)
  if (wanted('browser')) ensureProgram(...BROWSER)
  const scratch = mkdtempSync(join(tmpdir(), 'zucchini-test-'))
  chmodSync(scratch, 0o755)
  const database =
    wanted('unit') || wanted('browser')
      ? await runDatabase({
          dir: join(scratch, 'db'),
          databases: ['zucchini_test_1_1', 'zucchini_e2e_1', 'zucchini_e2e_2'],
        })
      : undefined
  const end = async () => {
    await database?.stop()
    rmSync(scratch, { recursive: true, force: true })
  }
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void end().then(() => process.exit(130)))
  try {
    if (wanted('browser') || wanted('trials')) await buildAll()
    await workOff(tasksOf(database, scratch))
  } finally {
    await end()
  }
  tellSlowest()
  tellBroken()
  say(`All of it took ${seconds(since)}.`)
  say(`${tally.passed} passed, ${tally.failed} failed`)
  process.exit(tally.failed === 0 && tally.passed > 0 ? 0 : 1)
}

main().catch(fail)
