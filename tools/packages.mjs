import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { say, seconds, Stop } from './say.mjs'

const stampOf = (root) => join(root, 'node_modules', '.zucchini-lock')
const lockOf = (root) =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')

/** Are the locked packages installed, the very ones? */
export const packagesAreThere = (root) =>
  existsSync(stampOf(root)) && readFileSync(stampOf(root), 'utf8') === lockOf(root)

/** Installs the locked packages when they are missing or the lock has changed since. */
export const ensurePackages = (root) => {
  if (packagesAreThere(root)) return
  const since = Date.now()
  say('Installing packages ...')
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1 << 26,
  })
  if (done.status !== 0)
    throw new Stop(
      `The packages could not be installed. Check that the npm registry can be reached. npm's last words:\n${`${done.stdout ?? ''}${done.stderr ?? ''}`.trim().split('\n').slice(-8).join('\n')}`,
    )
  writeFileSync(stampOf(root), lockOf(root))
  say(`  done in ${seconds(since)}`)
}
