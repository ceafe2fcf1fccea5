// npm run trials: what is promised, tried at length: random rigs and parts, kills at random moments, full disks.
// Seeded; the seed is printed.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { buildAll, root } from './build.mjs'
import { ensureProgram } from './machine.mjs'
import { ensurePackages } from './packages.mjs'
import { fail, say, seconds } from './say.mjs'
import { names, randomOf, runTrial } from './trials/reliability.mjs'

const SHORT = ['second start', 'starter killed', 'database killed']
const TIMES = { short: 1, long: 8 }
/** Random trials of the unit tests are run so many times longer. */
const RANDOM_TIMES = 40
const SLOWEST = 10

const short = process.argv.includes('--short')
const seed = Number(process.env.TRIAL_SEED || (short ? 20_261_125 : Date.now() % 2 ** 31))
const tally = { held: 0, broken: 0 }
const times = []

const processes = async () => {
  for (const name of short ? SHORT : names) {
    try {
      const { saw, ms } = await runTrial(name, { random: randomOf(seed), times: short ? TIMES.short : TIMES.long })
      tally.held++
      times.push({ name, ms })
      say(`ok   ${name}: ${saw} (${(ms / 1000).toFixed(1)} s)`)
    } catch (error) {
      tally.broken++
      say(`FAIL ${name}: ${error?.stack ?? error}`)
    }
  }
}

/** The random trials among the unit tests, many times over: every test file that reads how often it is to run. */
const random = () =>
  new Promise((resolve) => {
    const since = Date.now()
    const jest = join(root, 'node_modules/jest/bin/jest.js')
    const child = spawn(
      process.execPath,
      [
        '--import',
        'tsx',
        '--no-warnings',
        jest,
        '--runInBand',
        '--selectProjects',
        'core',
        '--testPathPatterns',
        'finite|adopt|guarded|ground|properties|sun|run-down|engine|incremental|faults|build-order',
      ],
      {
        cwd: root,
        env: { ...process.env, TRIALS: String(RANDOM_TIMES), TRIAL_SEED: String(seed) },
        stdio: ['ignore', 'pipe', 'pipe'],
      },
    )
    let output = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk))
    child.once('close', (code) => {
      if (code === 0) tally.held++
      else tally.broken++
      times.push({ name: 'random rigs and parts', ms: Date.now() - since })
      say(
        code === 0
          ? `ok   random rigs and parts, ${RANDOM_TIMES} times as many (${seconds(since)})`
          : `FAIL random rigs and parts\n${output.slice(-8000)}`,
      )
      resolve()
    })
  })

const main = async () => {
  const since = Date.now()
  ensurePackages(root)
  ensureProgram('mariadbd', ['mariadb-server-core', 'mariadb-client-core'])
  await buildAll()
  say(`Seed ${seed}; TRIAL_SEED=${seed} npm run trials does the same again.`)
  if (!short) await random()
  await processes()
  say('The slowest trials:')
  for (const { name, ms } of times.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST))
    say(`  ${(ms / 1000).toFixed(1).padStart(6)} s  ${name}`)
  say(`All of it took ${seconds(since)}.`)
  say(`${tally.held} held, ${tally.broken} broken`)
  process.exit(tally.broken === 0 ? 0 : 1)
}

main().catch(fail)
